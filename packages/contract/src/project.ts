import { IsIn, IsOptional, IsString, Length, Matches } from 'class-validator'
import { limits } from './limits'
import { plainText, plainTextRule } from './plainText'

const nameRule = { message: `A project must have a name of 1 to ${limits.name} characters.` }
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

/** Which projects are listed, and after which the page begins. */
export class ProjectsQuery {
  /** Those that were deleted, instead of those that are there. */
  @IsOptional()
  @IsIn(['yes'], { message: 'deleted must be “yes” or omitted.' })
  deleted?: 'yes'

  /** When the last project of the page before was changed, and its id: `changedAt,id`. */
  @IsOptional()
  @Matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z,[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/, {
    message: 'after is the time and the id of the last project of the page before: changedAt,id.',
  })
  after?: string
}

/** Whether the history goes into a project file. */
export class ProjectFileQuery {
  @IsOptional()
  @IsIn(['yes'], { message: 'history must be “yes” or omitted.' })
  history?: 'yes'
}

export interface ProjectSummary {
  readonly id: string
  readonly name: string
  readonly counter: number
  readonly createdAt: string
  readonly changedAt: string
  readonly deleted: boolean
}
