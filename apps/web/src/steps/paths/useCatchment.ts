import { middleAlong, type BeamView, type FloorView } from '@hedrion/core'
import { useCallback, useMemo } from 'react'
import { useAnswer } from '../../compute/SessionContext'
import type { Label, Scene, Shape } from '../../drawing/scene'
import { useCaseId } from '../../drawing/useCaseInView'
import { useLook } from '../../state/look'

interface Catchment {
  /** Panels that feed what is picked. */
  readonly lit: ReadonlySet<string>
  /** The same with the beams that feed it. */
  readonly litInSpace: readonly string[]
  /** Draws the beams that feed it, and its name. */
  readonly more: (scene: Scene, floor: FloorView) => Scene
}

const nothing = { beams: [], panels: [] } as const

/** Lights what feeds the picked member, on whichever level is in view and in space: panels, and beams that rest on it or on each other. */
export function useCatchment(): Catchment {
  const [look] = useLook()
  const caseId = useCaseId()
  const picked = look.picked.at(-1) ?? ''
  const member = useAnswer({ kind: 'member', expandedId: picked, caseId })
  const column = useAnswer({ kind: 'column', expandedId: picked, caseId })
  const feeding = member?.feeding ?? column?.feeding ?? nothing
  const lit = useMemo(() => new Set(feeding.panels), [feeding])
  const more = useCallback(
    (scene: Scene, floor: FloorView): Scene => {
      const beams = new Set(feeding.beams)
      const shapes = floor.beams.filter(({ expandedId }) => beams.has(expandedId)).map(lightBeam)
      return { ...scene, shapes: [...scene.shapes, ...shapes], labels: [...scene.labels, ...nameOf(floor, picked)] }
    },
    [feeding, picked],
  )
  const litInSpace = useMemo(() => [...feeding.panels, ...feeding.beams], [feeding])
  return { lit, litInSpace, more }
}

const lightBeam = ({ path }: BeamView): Shape => ({
  kind: 'line',
  points: path,
  stroke: { tone: 'accent', width: 2.4, dash: [7, 3] },
})

function nameOf(floor: FloorView, picked: string): readonly Label[] {
  const name = { tone: 'accent', bold: true, priority: 95, must: true } as const
  const beam = floor.beams.find(({ expandedId }) => expandedId === picked)
  if (beam) return [{ ...name, text: beam.label, at: middleAlong(beam.path), dy: 14 }]
  const column = floor.columns.find(({ expandedId }) => expandedId === picked)
  return column ? [{ ...name, text: column.label, at: column.at, dx: 20, dy: 14 }] : []
}
