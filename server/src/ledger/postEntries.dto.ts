import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger'
import type { ClockHours, TemperatureScale } from '@logged-thermal/core'
import { LANGUAGES, type Language } from '@logged-thermal/wording'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsOptional,
  IsUUID,
  Matches,
  Max,
  Min,
} from 'class-validator'

export const MOST_ENTRIES = 500

const SENT_AT = { message: '"sentAt" has to be whole milliseconds since 1970.' }

/** One or many entries. Each is checked by itself, so that one bad one does not hold up the others. */
export class PostEntriesDto {
  @ApiProperty({ description: "When it was sent, by the tablet's clock, ms since 1970" })
  @IsInt(SENT_AT)
  @Min(0, SENT_AT)
  @Max(Number.MAX_SAFE_INTEGER, SENT_AT)
  sentAt: number

  @ApiProperty({ type: 'array', items: { type: 'object' }, maxItems: MOST_ENTRIES })
  @IsArray({ message: '"entries" has to be a list.' })
  @ArrayMinSize(1, { message: 'Send at least one entry.' })
  @ArrayMaxSize(MOST_ENTRIES, { message: `Send at most ${MOST_ENTRIES} entries at a time.` })
  entries: unknown[]

  @ApiPropertyOptional({ format: 'uuid', description: 'Who signs what only the lead may do' })
  @IsOptional()
  @IsUUID(undefined, { message: 'Tap the name of who signs.' })
  signer?: string

  @ApiPropertyOptional({ description: 'The PIN of who signs' })
  @IsOptional()
  @Matches(/^\d{4,12}$/, { message: 'A PIN has four digits or more.' })
  pin?: string

  @ApiPropertyOptional({ format: 'uuid', description: 'Who signs beside them, where the house asks for a second' })
  @IsOptional()
  @IsUUID(undefined, { message: 'Tap the name of who signs beside you.' })
  second?: string

  @ApiPropertyOptional({ description: 'The PIN of the second' })
  @IsOptional()
  @Matches(/^\d{4,12}$/, { message: 'A PIN has four digits or more.' })
  secondPin?: string

  @ApiPropertyOptional({
    enum: ['C', 'F'],
    description: 'In which scale refusals are read; as the kitchen reads, if left out',
  })
  @IsOptional()
  @IsIn(['C', 'F'], { message: '"scale" has to be C or F.' })
  scale?: TemperatureScale

  @ApiPropertyOptional({
    enum: LANGUAGES,
    description: 'In which language refusals are read; British English, if left out',
  })
  @IsOptional()
  @IsIn(LANGUAGES, { message: `"language" has to be one of ${LANGUAGES.join(', ')}.` })
  language?: Language

  @ApiPropertyOptional({ enum: [12, 24], description: 'On which clock refusals are read; of 24 hours, if left out' })
  @IsOptional()
  @IsIn([12, 24], { message: '"hours" has to be 12 or 24.' })
  hours?: ClockHours
}
