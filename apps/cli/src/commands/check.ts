import { ask, concernSentence, countOf, formatOf, severityOf } from '@hedrion/core'
import { openProject } from '../openProject'
import { print } from '../refusal'

/** Prints every concern; the exit code is 1 where one is blocking, so that a script can stop. */
export function check(path: string): void {
  const state = openProject(path)
  const concerns = ask(state, { kind: 'concerns' })
  for (const concern of concerns) print(`${severityOf(concern)}: ${concernSentence(concern, formatOf(state))}`)
  const count = countOf(concerns)
  print(count === 0 ? 'No concerns.' : `${count} concern${count === 1 ? '' : 's'}.`)
  if (concerns.some((concern) => severityOf(concern) === 'blocking')) process.exitCode = 1
}
