// Every slip of the list of mutants can be made: its text stands once in its file.
import { mutants } from './mutants/list.mjs'
import { misplaced } from './mutants/places.mjs'

const problems = misplaced(mutants)
for (const problem of problems) console.error(problem)
if (problems.length === 0) console.log(`${mutants.length} mutants in place`)
process.exitCode = problems.length > 0 ? 1 : 0
