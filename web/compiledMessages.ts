import { parse } from '@formatjs/icu-messageformat-parser'
import ts from 'typescript'
import type { Plugin } from 'vite'

/**
 * Compiles the catalogue's messages, so that no page has to parse them: each text of an object `…Messages` becomes its parts.
 * What parses is left out of the program by the alias below.
 */
export function compiledMessages(): Plugin {
  return {
    name: 'compiled-messages',
    enforce: 'pre',
    config: () => ({
      resolve: {
        alias: { '@formatjs/icu-messageformat-parser': '@formatjs/icu-messageformat-parser/lib/no-parser.js' },
      },
    }),
    transform: {
      filter: { id: /\/wording\/src\/catalogue\/\w+\.ts$/ },
      handler: (code, id) => ({ code: compiled(code, id), map: null }),
    },
  }
}

function compiled(code: string, id: string): string {
  const source = ts.createSourceFile(id, code, ts.ScriptTarget.Latest, true)
  const texts: ts.StringLiteralLike[] = []
  for (const statement of source.statements) {
    if (!ts.isVariableStatement(statement)) continue
    for (const { name, initializer } of statement.declarationList.declarations)
      if (initializer && name.getText(source).endsWith('Messages')) texts.push(...textsIn(initializer))
  }
  return texts.reduceRight(
    (made, text) =>
      made.slice(0, text.getStart(source)) +
      JSON.stringify(parse(text.text, { ignoreTag: true })) +
      made.slice(text.end),
    code,
  )
}

function textsIn(messages: ts.Expression): ts.StringLiteralLike[] {
  const object = ts.isAsExpression(messages) ? messages.expression : messages
  if (!ts.isObjectLiteralExpression(object)) return []
  return object.properties.flatMap((each) =>
    ts.isPropertyAssignment(each) && ts.isStringLiteralLike(each.initializer) ? [each.initializer] : [],
  )
}
