import { applyDecorators } from '@nestjs/common'
import { ApiDefaultResponse, ApiResponse } from '@nestjs/swagger'
import type { Answers as AllAnswers } from './answers'

/** Names what a route answers, for the OpenAPI document; a failure is a problem at every route. */
export function Answers(name: keyof AllAnswers, status = 200): MethodDecorator {
  return applyDecorators(
    ApiResponse({ status, description: name, schema: { $ref: schemaPath(name) } }),
    ApiDefaultResponse({
      description: 'A problem',
      content: { 'application/problem+json': { schema: { $ref: schemaPath('Problem') } } },
    }),
  )
}

/** Names the kind of file that a route answers. */
export function AnswersFile(mediaType: string): MethodDecorator {
  const schema = { type: 'string', format: 'binary' }
  return ApiResponse({ status: 200, description: mediaType, content: { [mediaType]: { schema } } })
}

function schemaPath(name: keyof AllAnswers): string {
  return `#/components/schemas/${name}Answer`
}
