import { boxOf, pointsOf, type ChangePicture, type Drawn, type Point } from '@hedrion/core'
import { useEffect, useRef } from 'react'
import styled from 'styled-components'
import { recordPath } from '../drawing/recordPath'

const [width, tall, margin] = [250, 130, 10]
/** So many layouts are drawn; of more it is said how many. */
const most = 4

/** What a change does to the drawing of each layout that it reaches: what stays, what goes, what comes. */
export function ChangePictures({ pictures }: { readonly pictures: readonly ChangePicture[] }) {
  const box = useRef<HTMLSpanElement>(null)
  // the line that is typed in may stand at the very end of the sheet
  const drawn = Math.min(pictures.length, most)
  useEffect(() => {
    // a browser may answer with a promise, which is no clean-up
    box.current?.scrollIntoView({ block: 'nearest' })
  }, [drawn])
  return (
    <Stack ref={box}>
      {pictures.slice(0, most).map((picture) => (
        <Figure key={picture.layoutId}>
          <Plan picture={picture} />
          <span>{captionOf(picture)}</span>
        </Figure>
      ))}
      {pictures.length > most && <span>and {pictures.length - most} more layouts</span>}
      <Key>
        <i data-what="comes" /> comes <i data-what="goes" /> goes <i data-what="stays" /> stays
      </Key>
    </Stack>
  )
}

function captionOf({ layoutName, levels, comes, goes }: ChangePicture): string {
  const [first, last] = [levels[0], levels.at(-1)]
  const where =
    first === undefined ? 'on no level' : levels.length === 1 ? `level ${first}` : `levels ${first} to ${last}`
  return `${layoutName}, ${where}: ${comes.length} more, ${goes.length} fewer`
}

function Plan({ picture }: { readonly picture: ChangePicture }) {
  const { stays, goes, comes } = picture
  const points = [...stays, ...goes, ...comes].flatMap(pointsOf)
  if (points.length === 0) return null
  const { x0, y0, x1, y1 } = boxOf(points)
  const scale = Math.min((width - 2 * margin) / Math.max(x1 - x0, 0.1), (tall - 2 * margin) / Math.max(y1 - y0, 0.1))
  const place = ([x, y]: Point): Point => [
    width / 2 + (x - (x0 + x1) / 2) * scale,
    tall / 2 - (y - (y0 + y1) / 2) * scale,
  ]
  const lines = (list: readonly Drawn[]) => list.map((record) => recordPath(record, place, 3)).join('')
  return (
    <svg width={width} height={tall} role="img" aria-label={captionOf(picture)}>
      <path data-what="stays" d={lines(stays)} />
      <path data-what="goes" d={lines(goes)} />
      <path data-what="comes" d={lines(comes)} />
    </svg>
  )
}

const Stack = styled.span`
  display: flex;
  flex-direction: column;
  gap: 6px;
  margin: 6px 0;
  [data-what='unchanged'] {
    stroke: var(--border);
    stroke-width: 1;
    border-top: 1px solid var(--border);
  }
  [data-what='deleted'] {
    stroke: var(--warm);
    stroke-width: 2.4;
    stroke-dasharray: 5 4;
    border-top: 2.4px dashed var(--warm);
  }
  [data-what='added'] {
    stroke: var(--accent);
    stroke-width: 2;
    border-top: 2px solid var(--accent);
  }
`
const Figure = styled.span`
  display: block;
  svg {
    display: block;
    background: var(--film);
    border: 1px solid var(--hairline);
    fill: none;
  }
  span {
    color: var(--ink);
  }
`
const Key = styled.span`
  display: flex;
  align-items: center;
  gap: 6px;
  i {
    width: 22px;
    margin-left: 8px;
  }
  i:first-child {
    margin-left: 0;
  }
`
