import { ApiProperty } from '@nestjs/swagger'
import { IsUUID, Matches } from 'class-validator'

/** What the food-safety lead, or whoever may in their place, signs with a PIN. */
export class SignedDto {
  @ApiProperty({ format: 'uuid', description: 'Who signs' })
  @IsUUID(undefined, { message: 'The food-safety lead signs this.' })
  signer: string

  @ApiProperty({ description: 'Their digits' })
  @Matches(/^\d{4,12}$/, { message: 'A PIN has four digits or more.' })
  pin: string
}
