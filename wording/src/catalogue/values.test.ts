import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { isLiteralElement, parse, type MessageFormatElement } from '@formatjs/icu-messageformat-parser'
import ts from 'typescript'
import * as words from '../index'

const ROOT = join(__dirname, '..', '..', '..')

it('every message is given the values that it names, and no others', () => {
  const calls = sources().flatMap(callsIn)
  expect(calls.length).toBeGreaterThan(1500)
  const wrong = calls.filter(({ needs, given }) => needs.join() !== given.join())
  expect(wrong).toEqual([])
})

interface Call {
  where: string
  needs: string[]
  given: string[]
}

/** Calls of `say` with a key that stands there; one that is put together fills no message with values. */
function callsIn(file: string): Call[] {
  const text = readFileSync(file, 'utf8')
  const subject = /(?:speaks|speaker)\((\w+Messages)\)/.exec(text)?.[1]
  if (!subject) return []
  const messages = (words as unknown as Record<string, Record<string, string>>)[subject]!
  const calls: Call[] = []
  const visit = (node: ts.Node) => {
    if (ts.isCallExpression(node) && node.expression.getText() === 'say') {
      const at = node.arguments.findIndex(ts.isStringLiteralLike)
      const key = node.arguments[at]
      if (key && ts.isStringLiteralLike(key))
        calls.push({
          where: `${file.slice(ROOT.length + 1)}: ${key.text}`,
          needs: [...namesIn(parse(messages[key.text]!))].sort(),
          given: valuesOf(node.arguments[at + 1]).sort(),
        })
    }
    ts.forEachChild(node, visit)
  }
  visit(ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true))
  return calls
}

function valuesOf(values: ts.Expression | undefined): string[] {
  if (!values || !ts.isObjectLiteralExpression(values)) return []
  return values.properties.flatMap(({ name }) => (name && ts.isIdentifier(name) ? [name.text] : []))
}

function namesIn(message: MessageFormatElement[]): Set<string> {
  const names = new Set<string>()
  for (const element of message) {
    if ('options' in element)
      for (const { value } of Object.values(element.options)) namesIn(value).forEach((name) => names.add(name))
    if (!isLiteralElement(element) && 'value' in element) names.add(element.value)
  }
  return names
}

function sources(): string[] {
  return ['wording', 'web', 'checker', 'server']
    .map((part) => join(ROOT, part, 'src'))
    .flatMap((folder) => readdirSync(folder, { recursive: true, encoding: 'utf8' }).map((name) => join(folder, name)))
    .filter((name) => /\.tsx?$/.test(name) && !/\.test\./.test(name))
}
