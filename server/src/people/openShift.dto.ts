import { ApiProperty } from '@nestjs/swagger'
import { IsUUID, Matches } from 'class-validator'

export class OpenShiftDto {
  @ApiProperty({ format: 'uuid' })
  @IsUUID(undefined, { message: 'Choose a kitchen.' })
  kitchen: string

  @ApiProperty({ format: 'uuid' })
  @IsUUID(undefined, { message: 'Tap your name.' })
  person: string

  @ApiProperty({ example: '0000', description: 'Four digits' })
  @Matches(/^\d{4}$/, { message: 'A PIN has four digits.' })
  pin: string

  @ApiProperty({ format: 'uuid', description: 'The tablet, made by it once and kept.' })
  @IsUUID(undefined, { message: 'The tablet has to name itself with a UUID.' })
  device: string
}
