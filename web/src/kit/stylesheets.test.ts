import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

const WEB = join(__dirname, '..')
const sheets = readdirSync(WEB, { recursive: true, encoding: 'utf8' }).filter((name) => name.endsWith('.css'))
const found = (what: RegExp) =>
  sheets.flatMap((name) => (readFileSync(join(WEB, name), 'utf8').match(what) ?? []).map((text) => `${name}: ${text}`))

it('stylesheets lie beside their component, and know tokens for colours and no class of the library', () => {
  expect(sheets.length).toBeGreaterThan(20)
  expect(sheets.filter((name) => !name.endsWith('.module.css'))).toEqual(['kit/base.css'])
  expect(found(/#[0-9a-f]{3,8}\b|rgba?\(/gi)).toEqual([])
  expect(found(/\.Mui\w*/g)).toEqual([])
})
