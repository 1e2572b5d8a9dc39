import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator'
import { limits } from './limits'
import { plainText, plainTextRule } from './plainText'

/** One edit; the records inside go through the core's reader, as in a project file. */
export class EditBody {
  @Matches(/^[a-zA-Z]+:[0-9a-z]{12,40}$/, { message: 'An edit must have the id of its record.' })
  id!: string

  @IsOptional()
  @IsObject()
  before!: Record<string, unknown> | null

  @IsOptional()
  @IsObject()
  after!: Record<string, unknown> | null
}

export class ChangeSetBody {
  @IsUUID(undefined, { message: 'A change set must have a uuid.' })
  id!: string

  @IsInt()
  @Min(0)
  @Max(limits.counter)
  seen!: number

  @IsString()
  @MaxLength(limits.note)
  @Matches(plainText, plainTextRule('note'))
  note!: string

  @IsArray()
  @ArrayMinSize(1, { message: 'A change set must have at least one edit.' })
  @ArrayMaxSize(limits.edits)
  @ValidateNested({ each: true })
  @Type(() => EditBody)
  edits!: EditBody[]
}
