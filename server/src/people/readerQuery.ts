import { IsIn, IsOptional } from 'class-validator'
import type { TemperatureScale } from '@logged-thermal/core'
import { LANGUAGES, type Language } from '@logged-thermal/wording'

/** What every record may be asked with: for whom it is. */
export class ReaderQuery {
  /** In which scale it is read; as the kitchen reads, if left out. */
  @IsOptional()
  @IsIn(['C', 'F'])
  scale?: TemperatureScale | undefined

  /** In which language it is read; British English, if left out. */
  @IsOptional()
  @IsIn(LANGUAGES)
  language?: Language | undefined
}
