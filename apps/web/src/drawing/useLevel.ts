import type { LevelView } from '@hedrion/core'
import { useAnswer } from '../compute/SessionContext'
import { useLook } from '../state/look'

export interface LevelInView {
  /** Every level, bottom first. */
  readonly levels: readonly LevelView[]
  /** The level that the plan shows: one that carries a layout. */
  readonly level: LevelView | undefined
  readonly choose: (id: string) => void
  /** One level up or down, as far as there is one. */
  readonly go: (by: 1 | -1) => void
}

/** The level in view: the one in the address, else the lowest that carries a layout. */
export function useLevel(): LevelInView {
  const overview = useAnswer({ kind: 'overview' })
  const [look, change] = useLook()
  const levels = overview?.levels ?? []
  const carrying = levels.filter(({ layoutId }) => layoutId !== null)
  const level = carrying.find(({ id }) => id === look.level) ?? carrying[0]
  const choose = (id: string) =>
    change({
      level: id,
      // what was picked stays picked on the other level, where it is there too
      picked: look.picked.map((picked) => picked.replace(/@.*$/, `@${id}`)),
    })
  const go = (by: 1 | -1) => {
    const next = level && carrying[carrying.indexOf(level) + by]
    if (next) choose(next.id)
  }
  return { levels, level, choose, go }
}
