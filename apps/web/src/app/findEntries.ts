import { best, fitting, indexed, type FindEntry, type Fit, type Found } from '@hedrion/core'
import { commands as named, type CommandName } from '../state/commands'
import { stepNames, stepTitles } from './steps'

/** Something that Find can reach: of the project, a step, or a command. */
export interface Reached extends FindEntry {
  readonly command?: 'undo' | 'redo' | 'projects' | CommandName
}

const steps = stepNames.map((step): Reached => ({
  id: `step ${step}`,
  text: stepTitles[step],
  kind: 'step',
  steps: [step],
}))

const commands: readonly Reached[] = [
  ...Object.entries(named).map(([name, { text, step }]): Reached => ({
    id: `command ${name}`,
    text,
    kind: 'command',
    steps: [step],
    command: name as CommandName,
  })),
  { id: 'command undo', text: 'Undo last change', kind: 'command', command: 'undo' },
  { id: 'command redo', text: 'Redo', kind: 'command', command: 'redo' },
  { id: 'command projects', text: 'All projects', kind: 'command', command: 'projects' },
]

/** Steps and commands, which the interface knows; the rest is asked of the worker. */
const ofInterface = indexed([...steps, ...commands])

/**
 * What a text reaches, the best first. Steps and commands are there at once; what the project has is left out until the answer to this
 * very text has come.
 */
export function reachedBy(text: string, found: Found | undefined, most: number): readonly Reached[] {
  const ofProject: readonly Fit<Reached>[] = found?.text === text ? found.fits : []
  return best([...fitting(ofInterface, text), ...ofProject], most).map(({ entry }) => entry)
}

/** Where an entry is shown: in the step that is open where it can be, otherwise in its own. */
export const stepFor = ({ steps: shown }: Reached, open: string): string | undefined =>
  shown === undefined ? undefined : (shown.find((step) => step === open) ?? shown[0])
