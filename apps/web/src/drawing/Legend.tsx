import { formatValue, unitOf, type FloorView } from '@hedrion/core'
import { useEffect, useRef } from 'react'
import styled from 'styled-components'
import { useFormat } from '../compute/SessionContext'
import { usePalette } from '../ui/theme'
import { hatchPattern } from './hatches'
import { keyNumbers } from './planScene'
import type { KeyHatch, Mark } from './scene'

/** The load keys on the plan with their hatches and their values in the case. */
export function Legend({ floor, mark }: { readonly floor: FloorView; readonly mark: Mark }) {
  const format = useFormat()
  const numbers = keyNumbers(floor)
  const keys = new Map(floor.regions.filter(({ keyId }) => keyId !== null).map((entry) => [entry.keyId ?? '', entry]))
  if (mark === 'wind' || keys.size === 0) return null
  return (
    <List aria-label="Legend">
      {[...keys].map(([id, { keyName, keyCode, pressure }]) => (
        <li key={id}>
          <Sample hatch={{ mark, number: numbers.get(id) ?? 0 }} empty={pressure === 0} />
          {keyCode !== '' && <strong>{keyCode}</strong>}
          {pressure === 0
            ? `${keyName}: no load in this case`
            : `${keyName} ${formatValue(pressure, 'pressure', format)} ${unitOf('pressure', format)}`}
        </li>
      ))}
    </List>
  )
}

/** A piece of the hatch as the drawing paints it. */
export function Sample({ hatch, empty }: { readonly hatch: KeyHatch; readonly empty: boolean }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const { mark, number } = hatch
  const palette = usePalette()
  useEffect(() => {
    const pen = canvas.current?.getContext('2d')
    if (!pen) return
    pen.setTransform(2, 0, 0, 2, 0, 0)
    pen.clearRect(0, 0, 26, 16)
    pen.fillStyle = palette.floor
    pen.fillRect(0, 0, 26, 16)
    if (!empty) {
      pen.fillStyle = hatchPattern(pen, palette, { mark, number })
      pen.fillRect(0, 0, 26, 16)
    }
    pen.strokeStyle = palette.ink
    pen.strokeRect(0.5, 0.5, 25, 15)
  }, [mark, number, empty, palette])
  return <canvas ref={canvas} width={52} height={32} style={{ width: 26, height: 16 }} aria-hidden />
}

const List = styled.ul`
  flex: none;
  list-style: none;
  margin: 0;
  padding: 4px 16px 10px;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  font-size: 14px;
  li {
    display: flex;
    align-items: center;
    gap: 7px;
  }
`
