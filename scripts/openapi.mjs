// npm run openapi: the schemas of what every route answers, made of the types in server/src/http/answers.ts, for the OpenAPI
// document at /api/docs. --check: whether they are made of the types as they are now.
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import schemasOfTypes from 'typescript-json-schema'
import { ROOT } from './run.mjs'

const FILE = join(ROOT, 'server/openapi/answers.json')
const MOST_CHARACTERS = 60

// Types are checked by the compiler of the project.
const program = schemasOfTypes.programFromConfig(join(ROOT, 'server/tsconfig.json'), [
  join(ROOT, 'server/src/http/answers.ts'),
])
const { definitions, properties } = schemasOfTypes
  .buildGenerator(program, { required: true, ignoreErrors: true, strictNullChecks: true })
  .getSchemaForSymbol('Answers')

const names = new Map()
for (const name of Object.keys(definitions)) names.set(name, freeName(nameOf(name)))
const answers = Object.entries(properties).map(([name, schema]) => [`${name}Answer`, schema])
const schemas = [
  ...Object.entries(definitions).map(([name, schema]) => [names.get(name), schema]),
  // An answer that is a type of its own name is there already.
  ...answers.filter(([name]) => !(name in definitions)),
].sort(([a], [b]) => (a < b ? -1 : 1))
const lines = schemas.map(([name, schema]) => `  ${JSON.stringify(name)}: ${JSON.stringify(schema, linked)}`)
const text = `{\n${lines.join(',\n')}\n}\n`

// What is handed out: whoever reads packets by a program finds it described beside them.
const ofWording = (file, symbol, title) => {
  const words = schemasOfTypes.programFromConfig(join(ROOT, 'wording/tsconfig.json'), [join(ROOT, 'wording/src', file)])
  const generator = schemasOfTypes.buildGenerator(words, { required: true, ignoreErrors: true, strictNullChecks: true })
  return `${JSON.stringify({ title, ...generator.getSchemaForSymbol(symbol) }, null, 2)}\n`
}
const RECORD = join(ROOT, 'docs/record.schema.json')
const LIST = join(ROOT, 'docs/list.schema.json')

const files = [
  [FILE, text],
  [RECORD, ofWording('batchRecord.ts', 'BatchRecord', 'Logged Thermal record')],
  [LIST, ofWording('listRecord.ts', 'ListRecord', 'Logged Thermal list')],
]
if (process.argv.includes('--check')) {
  const others = files.filter(([file, made]) => !existsSync(file) || readFileSync(file, 'utf8') !== made)
  for (const [file] of others) console.error(`${file} says other than the types do: run npm run openapi.`)
  process.exit(others.length === 0 ? 0 : 1)
}
mkdirSync(dirname(FILE), { recursive: true })
for (const [file, made] of files) writeFileSync(file, made)
console.log(
  `${schemas.length} schemas in server/openapi/answers.json, docs/record.schema.json and docs/list.schema.json`,
)

function linked(key, value) {
  if (key !== '$ref') return value
  return `#/components/schemas/${names.get(decodeURIComponent(value.replace('#/definitions/', '')))}`
}

/** A name that OpenAPI allows: Fact<Placement> is Fact.Placement, and a type without a name is called by its members. */
function nameOf(type) {
  const members = type.replace(/(['\w-]+)\??:[^;{}]*;/g, '$1.')
  return members
    .replace(/[^\w-]+/g, '.')
    .replace(/^\.|\.$/g, '')
    .slice(0, MOST_CHARACTERS)
}

function freeName(wanted) {
  const taken = new Set(names.values())
  for (let i = 1; ; i++) {
    const name = i === 1 ? wanted : `${wanted}.${i}`
    if (!taken.has(name)) return name
  }
}
