import { IsIn, IsOptional, IsString, Length, Matches } from 'class-validator'
import { limits } from './limits'
import { plainText, plainTextRule } from './plainText'

const nameRule = { message: `A project needs a name of 1 to ${limits.name} characters.` }
export class CreateProjectBody {
  @IsString(nameRule)
  @Length(1, limits.name, nameRule)
  @Matches(plainText, plainTextRule('name'))
  name!: string

  /** What the project starts with: its basis alone, or the demo. */
  @IsOptional()
  @IsIn(['empty', 'demo'], { message: 'A project starts empty or as the demo.' })
  start?: 'empty' | 'demo'
}

export class RenameProjectBody {
  @IsString(nameRule)
  @Length(1, limits.name, nameRule)
  @Matches(plainText, plainTextRule('name'))
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
