import Ajv, { type ValidateFunction } from 'ajv'
import type { OpenAPIObject } from '@nestjs/swagger'
import { v7 as uuid } from 'uuid'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { storeOf } from '../test/storeKitchen'
import { openApi } from './openApi'

type Response = { content?: Record<string, { schema?: { $ref?: string } }> }

let kitchen: TestKitchen
let document: OpenAPIObject
let answers: (name: string) => ValidateFunction

beforeAll(async () => {
  kitchen = await openKitchen()
  document = openApi(kitchen.app)
  const ajv = new Ajv({ strict: false, allErrors: false })
  ajv.addSchema({ $id: 'openapi', components: document.components })
  answers = (name) => ajv.getSchema(`openapi#/components/schemas/${name}Answer`)!
})
afterAll(() => kitchen.app.close())

/** What is wrong with an answer; nothing where it is as the document says. */
function wrong(name: string, body: unknown): string {
  const validate = answers(name)
  return validate(body) ? '' : JSON.stringify(validate.errors)
}

it('says of every route what it answers: a schema that is there, or another kind of file', () => {
  const unsaid = Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.entries(methods as Record<string, { responses: Record<string, Response> }>).flatMap(([method, of]) => {
      const content = Object.entries(of.responses).find(([status]) => status.startsWith('2'))?.[1].content ?? {}
      const [[kind, { schema }] = ['', {}]] = Object.entries(content) as [string, { schema?: { $ref?: string } }][]
      const name = schema?.$ref?.replace('#/components/schemas/', '')
      const isThere = name !== undefined && document.components?.schemas?.[name] !== undefined
      const isFile = kind !== '' && kind !== 'application/json'
      return isThere || isFile || path === '/metrics' ? [] : [`${method} ${path}`]
    }),
  )
  expect(unsaid).toEqual([])
})

it('answers as its document says', async () => {
  const store = storeOf(kitchen)
  const batch = await store.jelly(20)
  const [item] = await store.putAway(batch, 400)
  const method = store.methodOf('Rhubarb jelly layer').id
  const routes: [string, string][] = [
    ['Login', '/api/login'],
    ['Shift', '/api/shift'],
    ['Line', '/api/line'],
    ['Batch', `/api/batches/${batch}`],
    ['BatchEntries', `/api/batches/${batch}/entries`],
    ['Bakes', `/api/methods/${method}/bakes`],
    ['Learned', '/api/cooling/learned'],
    ['Store', '/api/store'],
    ['DueToday', '/api/store/discards'],
    ['Barred', '/api/store/barred'],
    ['Discarded', '/api/store/discarded?from=0&to=99'],
    ['Found', '/api/store/find?code=62-1'],
    ['Search', '/api/store/search?text=jelly'],
    ['Item', `/api/items/${item}`],
    ['Lineage', `/api/lineage/batch/${batch}`],
    ['Calendar', '/api/store/feed'],
    ['Clock', '/api/live/now'],
    ['Live', '/health/live'],
    ['Ready', '/health/ready'],
    ['Problem', `/api/batches/${uuid()}`],
  ]
  const said = []
  for (const [name, path] of routes) said.push([path, wrong(name, (await kitchen.get(path)).body)])
  expect(said).toEqual(routes.map(([, path]) => [path, '']))
  const [good, bad] = [kitchen.reading(batch, 3, { at: Date.now() }), kitchen.reading(uuid(), 3)]
  expect(wrong('Posted', (await kitchen.post([good, bad])).body)).toBe('')
  expect(wrong('Line', { seq: 1 })).not.toBe('')
})
