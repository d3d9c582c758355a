import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger'
import {
  ArrayNotEmpty,
  ArrayUnique,
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Max,
  Min,
} from 'class-validator'
import { SYMPTOMS, type Instant, type Symptom } from '@logged-thermal/core'
import { SignedDto } from '../access/signed.dto'

/** The last instant that a date can be. */
const END_OF_TIME = 8.64e15

export class UnfitDto extends SignedDto {
  @ApiProperty({ format: 'uuid', description: 'Who is not fit to work with food' })
  @IsUUID(undefined, { message: 'Tap a name.' })
  person: string

  @ApiProperty({ enum: SYMPTOMS, isArray: true })
  @ArrayNotEmpty({ message: 'Tap what they have.' })
  @ArrayUnique({ message: 'Name each once.' })
  @IsIn(SYMPTOMS, { each: true, message: 'Tap what they have.' })
  symptoms: Symptom[]

  @ApiProperty({ description: 'When the first of it began, ms' })
  @IsInt({ message: 'Say when it began.' })
  @Min(0, { message: 'Say when it began.' })
  @Max(END_OF_TIME, { message: 'Say when it began.' })
  onset: Instant

  @ApiPropertyOptional({ description: 'Since when they are free of all of it, ms' })
  @IsOptional()
  @IsInt({ message: 'Say since when they are free of it.' })
  @Min(0, { message: 'Say since when they are free of it.' })
  @Max(END_OF_TIME, { message: 'Say since when they are free of it.' })
  freeSince?: Instant
}

export class BackDto extends SignedDto {
  @ApiProperty({ description: 'Which paper was seen, of whom and of which day; empty: none is asked for' })
  @IsString({ message: 'Say which paper you saw.' })
  @Length(0, 200, { message: 'Say which paper you saw, in 200 letters at most.' })
  papers: string

  @ApiProperty({ description: 'A wound stays under a cover that keeps tight' })
  @IsBoolean({ message: 'Covered is yes or no.' })
  covered: boolean
}
