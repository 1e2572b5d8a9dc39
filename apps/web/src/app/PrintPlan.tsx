import { displayFactor, formatQuantity, unitOf } from '@hedrion/core'
import { useEffect, useMemo, useRef } from 'react'
import { Link } from 'react-router'
import styled, { createGlobalStyle } from 'styled-components'
import { useAnswer, useFormat, useRecords } from '../compute/SessionContext'
import { Legend } from '../drawing/Legend'
import { markOf } from '../drawing/marks'
import { paint, textSizes } from '../drawing/paint'
import { paperView, scaleFor, type Room } from '../drawing/paper'
import { planScene } from '../drawing/planScene'
import type { Scene } from '../drawing/scene'
import { useCaseInView } from '../drawing/useCaseInView'
import { useLevel } from '../drawing/useLevel'
import { addressOf, useLook } from '../state/look'
import { Button } from '../ui/Button'
import { withoutAction } from './caseWords'
import { light, type } from '../ui/tokens'

/** An A3 sheet across (420 by 297 mm) less margins of 10 mm and the block at its foot. */
const room: Room = { width: 400, height: 240, margin: 20 }
/** Dots for each CSS pixel: about 290 to an inch. */
const fineness = 3

/** The loading plan of a level to scale, with legend and title block, on white paper. */
export function PrintPlan({ base }: { readonly base: string }) {
  const [look] = useLook()
  const format = useFormat()
  const { level } = useLevel()
  const seen = useCaseInView()
  const caseId = seen?.loadCase.id ?? ''
  const floor = useAnswer({ kind: 'floor', levelId: level?.id ?? '', caseId })
  const grid = useRecords('gridLine')
  const scene = useMemo(
    () =>
      planScene(floor, grid, {
        format,
        mark: markOf(caseId),
        area: true,
        member: false,
        names: true,
        spans: true,
        parts: look.parts,
      }),
    [floor, grid, format, caseId, look.parts],
  )
  const scale = scaleFor(scene.box, room)
  if (!floor || !seen) return <Waiting>Loading …</Waiting>
  return (
    <Paper>
      <PageSize />
      <Tools>
        <Link to={`${base}/actions${addressOf(look)}`}>Back to Actions</Link>
        <Button kind="primary" onPress={() => print()}>
          Print
        </Button>
      </Tools>
      <Sheet>
        <Picture scene={scene} scale={scale} size={textSizes[look.text]} />
        <Block>
          <div>
            <Legend floor={floor} mark={markOf(caseId)} />
          </div>
          <Title
            rows={[
              ['Level', `${floor.name}, ${formatQuantity(floor.elevation, 'length', format)}`],
              [
                'Load',
                `${seen.action.name}: ${withoutAction(seen.loadCase.name, seen.action.name)}, in ${unitOf('pressure', format)}, characteristic${partWords[look.parts]}`,
              ],
              ['Scale', `1:${scale} on A3`],
            ]}
          />
        </Block>
      </Sheet>
    </Paper>
  )
}

/** Said on paper where not all of the floor's loads are drawn. */
const partWords = { all: '', patches: '; patches only', default: '; default load only' } as const

function Picture({ scene, scale, size }: { readonly scene: Scene; readonly scale: number; readonly size: number }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const format = useFormat()
  const view = useMemo(() => paperView(scene.box, room, scale), [scene, scale])
  useEffect(() => {
    const pen = canvas.current?.getContext('2d')
    if (!pen) return
    pen.setTransform(fineness, 0, 0, fineness, 0, 0)
    const unit = { symbol: unitOf('length', format), metres: displayFactor('length', format.system) }
    paint(pen, scene, view, { ...light, film: '#ffffff', floor: '#ffffff' }, { sans: type.sans, size }, unit)
  }, [scene, view, format, size])
  return (
    <canvas
      ref={canvas}
      width={Math.round(view.width * fineness)}
      height={Math.round(view.height * fineness)}
      style={{ width: `${room.width}mm`, height: `${room.height}mm` }}
      role="img"
      aria-label={`Loading plan, 1 to ${scale}`}
    />
  )
}

/** Who made it for whom, and what it shows. */
function Title({ rows }: { readonly rows: readonly (readonly [name: string, text: string])[] }) {
  const [basis] = useRecords('basis')
  const facts: readonly (readonly [string, string])[] = [
    ['Project', [basis?.number, basis?.name].filter(Boolean).join(' · ')],
    ['Client', basis?.client ?? ''],
    ['By', [basis?.author, basis?.date].filter(Boolean).join(', ')],
    ['Checked', basis?.checker ?? ''],
  ]
  return (
    <Facts>
      {[...facts, ...rows]
        .filter(([, text]) => text !== '')
        .map(([name, text]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{text}</dd>
          </div>
        ))}
    </Facts>
  )
}

const PageSize = createGlobalStyle`
  @page { size: A3 landscape; margin: 10mm; }
  @media print {
    html, body { background: #fff; }
    #root { display: block; }
  }
`
const Waiting = styled.p`
  padding: 40px;
`
const Paper = styled.main`
  background: var(--film);
  min-height: 100vh;
  overflow: auto;
  color-scheme: light;
  @media print {
    background: #fff;
    overflow: visible;
  }
`
const Tools = styled.nav`
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding: 10px 20px;
  max-width: 400mm;
  a {
    color: var(--accent);
    text-underline-offset: 3px;
  }
  @media print {
    display: none;
  }
`
const Sheet = styled.article`
  width: 400mm;
  margin: 0 auto 20px;
  background: #fff;
  color: ${light.ink};
  canvas {
    display: block;
  }
`
const Block = styled.footer`
  display: flex;
  justify-content: space-between;
  gap: 10mm;
  border-top: 0.4mm solid ${light.ink};
  padding: 2mm 0;
  > div {
    flex: 1;
  }
`
const Facts = styled.dl`
  margin: 0;
  width: 200mm;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 6mm;
  font-size: 14px;
  div {
    display: flex;
    gap: 3mm;
    border-bottom: 0.2mm solid ${light.hairline};
    padding: 0.6mm 0;
  }
  dt {
    flex: none;
    width: 18mm;
    color: ${light.quiet};
  }
  dd {
    margin: 0;
  }
`
