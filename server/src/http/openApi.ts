import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { INestApplication } from '@nestjs/common'
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger'

type Schemas = NonNullable<NonNullable<OpenAPIObject['components']>['schemas']>

/** What `npm run openapi` made of the types of the answers. */
const ANSWERS = join(__dirname, '../../openapi/answers.json')

/** The OpenAPI document of every route: what it takes and what it answers, so that a client can be generated. */
export function openApi(app: INestApplication): OpenAPIObject {
  // JSON Schema as it is, with null and const, is OpenAPI from 3.1 on.
  const about = new DocumentBuilder().setTitle('Logged Thermal').setVersion('1').setOpenAPIVersion('3.1.0').build()
  const document = SwaggerModule.createDocument(app, about)
  const answers = JSON.parse(readFileSync(ANSWERS, 'utf8')) as Schemas
  return {
    ...document,
    components: { ...document.components, schemas: { ...document.components?.schemas, ...answers } },
  }
}
