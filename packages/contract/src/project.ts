import { IsIn, IsOptional, IsString, Length, Matches } from 'class-validator'
import { limits } from './limits'

const nameRule = { message: `A project needs a name of 1 to ${limits.name} characters.` }
const withoutNul = /^[^\0]*$/

export class CreateProjectBody {
  @IsString(nameRule)
  @Length(1, limits.name, nameRule)
  @Matches(withoutNul, { message: 'The name holds a NUL character.' })
  name!: string

  /** What the project starts with: its basis alone, or the demo. */
  @IsOptional()
  @IsIn(['empty', 'demo'], { message: 'A project starts empty or as the demo.' })
  start?: 'empty' | 'demo'
}

export class RenameProjectBody {
  @IsString(nameRule)
  @Length(1, limits.name, nameRule)
  @Matches(withoutNul, { message: 'The name holds a NUL character.' })
  name!: string
}

export interface ProjectSummary {
  readonly id: string
  readonly name: string
  readonly counter: number
  readonly createdAt: string
  readonly changedAt: string
  readonly deleted: boolean
}
