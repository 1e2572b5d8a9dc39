import {
  gridCrossings,
  isSpaceTool,
  readSpacePlaces,
  strutBetween,
  type Point,
  type Point3,
  placeExampleWords,
} from '@hedrion/core'
import { useMemo, useRef } from 'react'
import { useAnswer, useFormat, useGetDocument, useRecords } from '../../compute/SessionContext'
import { useLook } from '../../state/look'
import type { Sight } from '../sight'
import { addPoints, useTakeMade } from './drawing'
import { placingKey, takePlaces } from './placingKeys'
import { firstSnap, nextSnap, snapped } from './snaps'
import { setCursor, setProblem, useTool } from './toolStore'
import { pixelReach } from './usePlacing'
import type { SpacePlacing } from './spacePlacing'

/** A snap with the place where it is seen, y upwards. */
interface Seen {
  readonly at: Point3
  readonly on: Point
  readonly away: number
}

/** Drawing of members in space from joint to joint, in space; beside all joints a point falls on the level at the elevation given. Null in other views and for other tools. */
export function useJointPlacing(z: number): SpacePlacing | null {
  const getDocument = useGetDocument()
  const format = useFormat()
  const take = useTakeMade()
  const [look] = useLook()
  const tool = useTool((state) => state.tool)
  const active = look.view === 'space' && tool !== null && isSpaceTool(tool)
  const joints = useAnswer({ kind: 'joints', wanted: active })
  const grid = useRecords('gridLine')
  const levels = useRecords('level')
  const snaps = useMemo(() => {
    const heights = levels.map(({ elevation }) => elevation)
    return [...(joints ?? []), ...gridCrossings(grid).flatMap((at) => heights.map((height): Point3 => [...at, height]))]
  }, [joints, grid, levels])
  const seenOf = useSeen(snaps)
  if (!active) return null

  const end = ([from, to]: readonly Point3[]) => {
    if (!from || !to) return setProblem('Two points are needed.')
    const made = strutBetween(tool, [from, to], getDocument(), Math.random)
    take(tool, made, made.levelId, [from, to])
  }
  const set = (added: readonly Point3[]) => addPoints(added, 'segment', end)
  const finish = () => end(useTool.getState().points)
  const under = (pixels: Point, sight: Sight): Point3 | null => {
    const joint = nearestOf(seenOf(sight), upwards(pixels))
    if (joint) return joint
    const at = sight.atElevation(pixels, z)
    return at && [...snapped(at, [], 0), z]
  }
  const type = (text: string): boolean => {
    const named = new Map(levels.map(({ name, elevation }) => [name, elevation]))
    return takePlaces(
      readSpacePlaces(text, { grid, levels: named, format, last: useTool.getState().points.at(-1) }),
      set,
    )
  }
  return {
    placing: {
      tool,
      shape: 'segment',
      onPlace: undefined,
      onHover: undefined,
      onKey: () => false,
      type,
      finish,
      examples: placeExampleWords('space', format),
    },
    onPlace: (pixels, sight) => {
      const at = under(pixels, sight)
      if (at) set([at])
    },
    onHover: (pixels, sight) => {
      const at = under(pixels, sight)
      if (at) setCursor(at)
    },
    onKey: (event, sight) =>
      placingKey(event, {
        step: (direction) => {
          const next = nextSeen(seenOf(sight), useTool.getState().cursor, direction, sight)
          if (next) setCursor(next)
        },
        set: () => {
          const { cursor } = useTool.getState()
          if (cursor) set([cursor])
        },
        finish,
      }),
    place: (at, sight) => sight.seen(at),
    plane: z,
  }
}

const upwards = ([x, y]: Point): Point => [x, -y]

/** The snaps that are in sight; worked out once for each sight. */
function useSeen(snaps: readonly Point3[]): (sight: Sight) => readonly Seen[] {
  const held = useRef<{ readonly sight: Sight; readonly snaps: readonly Point3[]; readonly seen: readonly Seen[] }>(
    null,
  )
  return (sight) => {
    if (held.current?.sight !== sight || held.current.snaps !== snaps) {
      const seen = snaps.flatMap((at): Seen[] => {
        const on = sight.seen(at)
        return on ? [{ at, on: upwards(on), away: sight.away(at) }] : []
      })
      held.current = { sight, snaps, seen }
    }
    return held.current.seen
  }
}

/** The snap nearest to a place of the screen, within reach; of those on one another that nearest to the viewer. */
function nearestOf(seen: readonly Seen[], [x, y]: Point): Point3 | undefined {
  const near = seen
    .map(({ at, on, away }) => ({ at, away, off: Math.round(Math.hypot(on[0] - x, on[1] - y)) }))
    .filter(({ off }) => off <= pixelReach)
  near.sort((p, q) => p.off - q.off || p.away - q.away)
  return near[0]?.at
}

/** The next snap in a direction of the screen; the one farthest down and left where there is no cursor yet. */
function nextSeen(seen: readonly Seen[], cursor: Point3 | null, direction: Point, sight: Sight): Point3 | undefined {
  const places = seen.map(({ on }) => on)
  const from = cursor && sight.seen(cursor)
  const next = from ? nextSnap(upwards(from), direction, places) : firstSnap(places)
  return seen[places.indexOf(next)]?.at
}
