/** JSON Schema of an object with these properties and no others. */
export const record = (properties: Record<string, object>, optional: string[] = []) => ({
  type: 'object',
  properties,
  required: Object.keys(properties).filter((name) => !optional.includes(name)),
  additionalProperties: false,
})

/** JSON Schema of what may be left empty. */
export const orNull = (schema: object) => ({ anyOf: [schema, { type: 'null' }] })
