import {
  ask,
  effectKinds,
  formatOf,
  labelOf,
  recordIdOf,
  traceLines,
  type ProjectState,
  type Traced,
} from '@hedrion/core'
import { openProject } from '../openProject'
import { print, Refusal } from '../refusal'

/** Prints the trace behind a number: of a column's label, an effect, or an address from another trace. */
export function why(path: string, effect: string): void {
  const state = openProject(path)
  const traced = byAddress(state, effect) ?? byLabel(state, effect)
  if (!traced)
    throw new Refusal(
      `“${effect}” is not an effect of this project. Enter a column label (C5), an effect (reaction:MEMBER@LEVEL:Z), or an address from a trace.`,
    )
  for (const line of traceLines(traced, formatOf(state))) print(line)
}

/** An effect alone stands for its most under the strength rules. */
function byAddress(state: ProjectState, text: string): Traced | null {
  const isEffect = effectKinds.some((kind) => text.startsWith(`${kind}:`))
  return ask(state, { kind: 'why', address: isEffect ? `extreme:strength:most:${text}` : text })
}

const layoutNameOf = ({ document }: ProjectState, expandedId: string): string => {
  const record = document.records.get(recordIdOf(expandedId))
  return record && 'layout' in record && record.layout !== null
    ? `layout ${labelOf(document, record.layout)}`
    : 'no layout'
}

/** A column's label stands for its vertical reaction; where several have it they are listed. */
function byLabel(state: ProjectState, label: string): Traced | null {
  const rows = ask(state, { kind: 'envelopes', set: 'strength', effects: 'reaction' }).filter(
    ({ label: named, component, expandedId }) =>
      component === 'Z' && [named, labelOf(state.document, recordIdOf(expandedId))].includes(label),
  )
  const [row, ...others] = rows
  if (others.length > 0)
    throw new Refusal(
      `${rows.length} columns have the label ${label}. Enter one of their effects:\n${rows
        .map(({ key, expandedId, levelName }) => `  ${key} (${layoutNameOf(state, expandedId)}, level ${levelName})`)
        .join('\n')}`,
    )
  return row ? ask(state, { kind: 'why', address: `extreme:strength:most:${row.key}` }) : null
}
