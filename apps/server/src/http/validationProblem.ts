import type { ValidationError } from '@nestjs/common'
import { Problem } from './problem'

interface Found {
  readonly path: string
  readonly problem: string
}

const flatten = (error: ValidationError, above: string): readonly Found[] => {
  const path = above === '' ? error.property : `${above}.${error.property}`
  const own = Object.values(error.constraints ?? {}).map((problem) => ({ path, problem }))
  return [...own, ...(error.children ?? []).flatMap((child) => flatten(child, path))]
}

/** What class-validator found, with the path of each field. */
export function validationProblem(errors: readonly ValidationError[]): Problem {
  const problems = errors.flatMap((error) => flatten(error, '')).slice(0, 50)
  const message = problems[0]?.problem ?? 'Required fields are missing from the request.'
  return new Problem(400, 'request.invalid', message, { problems })
}
