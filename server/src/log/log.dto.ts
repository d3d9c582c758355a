import { Type } from 'class-transformer'
import { IsIn, IsInt, IsOptional, IsString, IsUUID, Length, Max, Min } from 'class-validator'
import { DAY, PACE_MEASURES, type Id, type Instant, type PaceMeasure, type Standing } from '@logged-thermal/core'
import { Problem } from '../http/problem'

/** The last instant that a date can be. */
const END_OF_TIME = 8.64e15

/** From when until when, ms. */
export class LogPeriod {
  @Type(() => Number)
  @IsInt()
  @Min(0)
  @Max(END_OF_TIME)
  from: Instant

  @Type(() => Number)
  @IsInt()
  @Min(0)
  @Max(END_OF_TIME)
  to: Instant
}

/** Which batches of a period: all that is given has to fit. */
export class LogQuery extends LogPeriod {
  /** Words that are in its name, its code, its lots, its notes, or the name of who logged it; each of them has to be. */
  @IsOptional()
  @IsString()
  @Length(0, 80)
  words?: string

  @IsOptional()
  @IsUUID()
  person?: Id

  @IsOptional()
  @IsUUID()
  method?: Id

  @IsOptional()
  @IsUUID()
  instrument?: Id

  @IsOptional()
  @IsUUID()
  unit?: Id

  @IsOptional()
  @IsUUID()
  lot?: Id

  @IsOptional()
  @IsIn(['open', 'proven', 'unproven', 'missed'])
  standing?: Standing

  /** Only what began before this batch of the answer before: its beginning and its id. */
  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(0)
  before?: Instant

  @IsOptional()
  @IsUUID()
  beforeId?: Id

  /** So many at most; 200 without it. */
  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(1)
  @Max(1000)
  most?: number
}

/** Which batches, and what of them is looked at. */
export class TrendQuery extends LogQuery {
  /** How they were read while they cooled; left out: what was to spare at a gate. */
  @IsOptional()
  @IsIn(PACE_MEASURES)
  pace?: PaceMeasure

  /** The check whose gate is looked at; left out, or unknown: the one that most of them have. */
  @IsOptional()
  @IsString()
  @Length(1, 80)
  gate?: string
}

/** Nothing is kept longer, and a slip of the finger asks for a century. */
const LONGEST_YEARS = 10
const LONGEST = LONGEST_YEARS * 366 * DAY

/** Throws a Problem with status 422 for a period that ends before it begins, or is longer than anything is kept. */
export function requirePeriod({ from, to }: LogPeriod): void {
  if (to < from) throw new Problem(422, 'bad period', 'The period ends before it begins.', 'to')
  if (to - from > LONGEST)
    throw new Problem(422, 'bad period', `That is more than ${LONGEST_YEARS} years. Ask for a shorter period.`, 'to')
}
