import { ApiProperty } from '@nestjs/swagger'
import { IsUUID, Length, Matches } from 'class-validator'

export class OpenShiftDto {
  @ApiProperty({ description: 'As the login names it' })
  @Length(1, 100, { message: 'Choose a kitchen.' })
  kitchen: string

  @ApiProperty({ description: 'As the login names them' })
  @Length(1, 100, { message: 'Tap your name.' })
  person: string

  @ApiProperty({ example: '0000', description: 'Four to twelve digits' })
  @Matches(/^\d{4,12}$/, { message: 'A PIN has four digits or more.' })
  pin: string

  @ApiProperty({ format: 'uuid', description: 'The tablet, made by it once and kept.' })
  @IsUUID(undefined, { message: 'The tablet has to name itself with a UUID.' })
  device: string
}
