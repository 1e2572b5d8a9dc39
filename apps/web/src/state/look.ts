import { create } from 'zustand'

export type View = 'plan' | 'x' | 'y' | 'space'
/** Area loads, member loads, both on one another, or one left and one right of a line. */
export type Shown = 'area' | 'member' | 'both' | 'split'
/** Which loads of a floor are drawn: all, what patches bring alone, or the default alone. */
export type Parts = 'all' | 'patches' | 'default'
/** Numbers at everything, or at what is picked alone. */
export type Numbers = 'all' | 'picked'
export type TextSize = 'usual' | 'large' | 'larger'
export type SheetWidth = 'narrow' | 'wide' | 'table'

/** What is looked at: it stands in the address, so that it survives a reload and can be sent to a colleague. */
export interface Look {
  readonly level: string | null
  readonly case: string | null
  readonly view: View
  readonly shown: Shown
  readonly parts: Parts
  readonly numbers: Numbers
  readonly text: TextSize
  /** Expanded ids of what is picked. */
  readonly picked: readonly string[]
  readonly sheet: SheetWidth
  /** Whether the list "What is drawn" stands beside the picture. */
  readonly list: boolean
  /** Whether lines part what goes to one member from what goes to another. */
  readonly dividing: boolean
  /** Rule and effect that envelopes look at. */
  readonly rule: string | null
  readonly effect: string | null
}

const oneOf = <T extends string>(value: string | null, choices: readonly T[], otherwise: T): T =>
  choices.find((choice) => choice === value) ?? otherwise

function read(params: URLSearchParams): Look {
  return {
    level: params.get('level'),
    case: params.get('case'),
    view: oneOf(params.get('view'), ['plan', 'x', 'y', 'space'], 'plan'),
    shown: oneOf(params.get('shown'), ['area', 'member', 'both', 'split'], 'member'),
    parts: oneOf(params.get('parts'), ['all', 'patches', 'default'], 'all'),
    numbers: oneOf(params.get('numbers'), ['all', 'picked'], 'all'),
    text: oneOf(params.get('text'), ['usual', 'large', 'larger'], 'usual'),
    picked: params.get('pick')?.split(',').filter(Boolean) ?? [],
    sheet: oneOf(params.get('sheet'), ['narrow', 'wide', 'table'], 'narrow'),
    list: params.get('list') === 'shown',
    dividing: params.get('dividing') === 'shown',
    rule: params.get('rule'),
    effect: params.get('effect'),
  }
}

const names: Readonly<Record<keyof Look, string>> = {
  level: 'level',
  case: 'case',
  view: 'view',
  shown: 'shown',
  parts: 'parts',
  numbers: 'numbers',
  text: 'text',
  picked: 'pick',
  sheet: 'sheet',
  list: 'list',
  dividing: 'dividing',
  rule: 'rule',
  effect: 'effect',
}

const textOf = (value: Look[keyof Look]): string => {
  if (typeof value === 'boolean') return value ? 'shown' : ''
  return typeof value === 'string' ? value : (value?.join(',') ?? '')
}

const usual = read(new URLSearchParams())

/** What is looked at as it stands in an address; what is usual is left out. */
export function addressOf(look: Look): string {
  const params = new URLSearchParams()
  for (const field of Object.keys(names) as (keyof Look)[]) {
    const text = textOf(look[field])
    if (text !== textOf(usual[field])) params.set(names[field], text)
  }
  const search = params.toString()
  return search === '' ? '' : `?${search}`
}

export const lookAt = (search: string): Look => read(new URLSearchParams(search))

/** Changes at once, whatever the router is at: fast keys must find what the key before has done. */
const store = create<Look>(() => usual)

export const setLook = (look: Look): void => store.setState(look, true)

export type ChangeLook = (change: Partial<Look>) => void

const changeLook: ChangeLook = (change) => store.setState(change)

/** Reads and changes what is looked at. */
export const useLook = (): readonly [Look, ChangeLook] => [store(), changeLook]

/** Whether one thing is picked: what asks this is drawn anew when that changes, not at every pick. */
export const useIsPicked = (id: string): boolean => store(({ picked }) => picked.includes(id))

/** Picks without looking. */
export const pickNow = (picked: readonly string[]): void => store.setState({ picked })

/** What was looked at just now, for what happens later than drawing. */
export const lookNow = (): Look => store.getState()
