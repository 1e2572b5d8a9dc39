import { ask, concernSentence, formatOf } from '@hedrion/core'
import { openProject } from '../openProject'
import { print } from '../refusal'

/** Prints every concern; the exit code is 1 where one is blocking, so that a script can stop. */
export function check(path: string): void {
  const state = openProject(path)
  const concerns = ask(state, { kind: 'concerns' })
  for (const concern of concerns) print(`${concern.severity}: ${concernSentence(concern, formatOf(state))}`)
  print(concerns.length === 0 ? 'No concerns.' : `${concerns.length} concern${concerns.length === 1 ? '' : 's'}.`)
  if (concerns.some(({ severity }) => severity === 'blocking')) process.exitCode = 1
}
