import type { Point, Point3, Tool } from '@hedrion/core'
import { create } from 'zustand'

interface ToolState {
  /** What is being drawn; null while picking. */
  readonly tool: Tool | null
  /** On a plan x and y, in an elevation the way to the right and the elevation; the third is a height where members go from joint to joint in space, else 0. */
  readonly points: readonly Point3[]
  readonly cursor: Point3 | null
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

export const withHeight = ([x, y, z = 0]: Point | Point3): Point3 => [x, y, z]
export const inPlane = ([x, y]: Point3): Point => [x, y]

export const setCursor = (cursor: Point | Point3, reach = useTool.getState().reach): void =>
  useTool.setState({ cursor: withHeight(cursor), reach })

export const setProblem = (problem: string | null): void => useTool.setState({ problem })

export const takeBackPoint = (): void =>
  useTool.setState(({ points }) => ({ points: points.slice(0, -1), problem: null }))

/** Another view sees other places: what is drawn begins anew with the same tool. */
export const beginAnew = (): void => useTool.setState({ points: [], cursor: null, problem: null })

export const startOver = (): void => useTool.setState({ points: [], problem: null })

export const setPoints = (points: readonly Point3[]): void =>
  useTool.setState({ points, cursor: points.at(-1) ?? null, problem: null })
