import type { Point } from '@hedrion/core'
import { useCallback, useState } from 'react'
import styled from 'styled-components'
import { hit } from './hit'
import type { Scene } from './scene'
import type { TextsOfView } from './texts'
import type { Viewport } from './viewport'

interface Pointed {
  readonly at: Point
  readonly id: string
}

interface PointedTextsProps {
  readonly pointed: Pointed | null
  readonly said: readonly string[]
}

/** What the pointer is over, where texts of it found no room. */
export function usePointed(scene: Scene, view: Viewport | null, texts: TextsOfView | null) {
  const [pointed, setPointed] = useState<Pointed | null>(null)
  const missing = texts?.leftOut ?? []
  const pointAt = (at: Point): void => {
    const id = view && missing.length > 0 ? hit(scene.targets, view, at)?.id : undefined
    const said = id !== undefined && missing.some(({ of }) => of === id)
    // a move over the same thing draws nothing anew
    if (said ? pointed?.id !== id : pointed !== null) setPointed(said ? { at, id } : null)
  }
  const leave = useCallback(() => setPointed(null), [])
  const said = missing.flatMap(({ of, text }) => (of !== undefined && of === pointed?.id ? text : []))
  return { pointed, pointAt, leave, said: [...new Set(said)] }
}

/** Beside the pointer: the numbers and names that found no room at what it is over. */
export function PointedTexts({ pointed, said }: PointedTextsProps) {
  if (!pointed || said.length === 0) return null
  return (
    <Card role="tooltip" style={{ left: pointed.at[0] + 14, top: pointed.at[1] + 14 }}>
      {said.map((text) => (
        <span key={text}>{text}</span>
      ))}
    </Card>
  )
}

/** How many numbers and names found no room, beside the unit of those that did. */
export function LeftOut({ count, at: [x, y] }: { readonly count: number; readonly at: Point }) {
  if (count === 0) return null
  return (
    <Quiet style={{ left: x, top: y - 10 }} data-testid="left out" title="Zoom in, point at an element or select it">
      {`${count} ${count === 1 ? 'label' : 'labels'} left out`}
    </Quiet>
  )
}

const Quiet = styled.span`
  position: absolute;
  line-height: 20px;
  white-space: nowrap;
  font-size: 13px;
  color: var(--quiet);
`
const Card = styled.div`
  position: absolute;
  display: flex;
  flex-direction: column;
  padding: 3px 8px;
  background: var(--raised);
  border: 1px solid var(--border);
  border-radius: 4px;
  font-size: 13px;
  pointer-events: none;
`
