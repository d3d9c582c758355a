import { Controller, Get, Header } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import { methodSchema } from '@logged-thermal/core'

@ApiTags('methods')
@Controller('methods')
export class MethodsController {
  /** The JSON Schema of the file in which methods are exchanged. */
  @Get('schema.json')
  @Header('Content-Type', 'application/schema+json')
  schema() {
    return methodSchema
  }
}
