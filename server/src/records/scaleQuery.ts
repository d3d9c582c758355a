import { IsIn, IsOptional } from 'class-validator'
import type { TemperatureScale } from '@logged-thermal/core'

/** What every record may be asked with. */
export class ScaleQuery {
  /** In which scale it is read; as the kitchen reads, if left out. */
  @IsOptional()
  @IsIn(['C', 'F'])
  scale?: TemperatureScale
}
