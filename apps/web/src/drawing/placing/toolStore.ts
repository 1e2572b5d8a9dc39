import type { Point, Tool } from '@hedrion/core'
import { create } from 'zustand'

interface ToolState {
  /** What is being drawn; null while picking. */
  readonly tool: Tool | null
  readonly points: readonly Point[]
  readonly cursor: Point | null
  /** Metres within which the pointer falls on a snap, as it last saw the plan. */
  readonly reach: number
  /** Of the plane in which an elevation is drawn on, m; null until one is chosen. */
  readonly depth: number | null
  /** What is wrong with what was typed or drawn last. */
  readonly problem: string | null
}

const idle: ToolState = { tool: null, points: [], cursor: null, reach: 0.3, depth: null, problem: null }

/** The drawing under way; not part of the project until it ends. */
export const useTool = create<ToolState>(() => idle)

export const takeTool = (tool: Tool | null): void => useTool.setState(({ depth }) => ({ ...idle, tool, depth }))

/** Another plane begins another drawing. */
export const setDepth = (depth: number): void => useTool.setState({ depth, points: [], problem: null })

export const setCursor = (cursor: Point, reach = useTool.getState().reach): void => useTool.setState({ cursor, reach })

export const setProblem = (problem: string | null): void => useTool.setState({ problem })

export const takeBackPoint = (): void =>
  useTool.setState(({ points }) => ({ points: points.slice(0, -1), problem: null }))

export const startOver = (): void => useTool.setState({ points: [], problem: null })

export const setPoints = (points: readonly Point[]): void =>
  useTool.setState({ points, cursor: points.at(-1) ?? null, problem: null })
