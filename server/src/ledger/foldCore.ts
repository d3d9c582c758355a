import { createHash } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import { dirname, extname, join, relative } from 'node:path'
import type { SqlEntityManager } from '@mikro-orm/postgresql'
import { query } from '../database/query'

/**
 * Which code folds: SHA-256 over every file of core that what is stored depends on, as it runs here. Whoever changes the
 * fold, a card or a wall changes it, and need not remember a number.
 */
export function foldDigest(): string {
  digest ??= digestOf(join(dirname(CORE), `kitchen/projection${extname(CORE)}`))
  return digest
}

let digest: string | null = null
const CORE = require.resolve('@logged-thermal/core')

/** Of a module and all that it imports from beside it; by path and content, in the order of the paths. */
export function digestOf(entry: string): string {
  const found = new Set<string>()
  const open = [entry]
  for (let file = open.pop(); file; file = open.pop()) {
    if (found.has(file)) continue
    found.add(file)
    for (const [, to] of readFileSync(file, 'utf8').matchAll(IMPORTS)) {
      const base = join(dirname(file), to!)
      const next = [base, base + extname(entry), join(base, `index${extname(entry)}`)].find((path) => isFile(path))
      if (next) open.push(next)
    }
  }
  const hash = createHash('sha256')
  const root = dirname(entry)
  for (const file of [...found].sort()) hash.update(`${relative(root, file)}\n${readFileSync(file, 'utf8')}\n`)
  return hash.digest('hex')
}

const IMPORTS = /(?:from |require\(|import )['"](\.[^'"]+)['"]/g

function isFile(path: string): boolean {
  return extname(path) !== '' && existsSync(path)
}

/** The number of this code in the order in which the database met such code: a higher one is newer. */
export async function foldCore(em: SqlEntityManager): Promise<number> {
  if (own === null) {
    await query(em, { sql: 'insert into fold_core (digest) values (?) on conflict do nothing', params: [foldDigest()] })
    const [row] = await query<{ number: number }>(em, {
      sql: 'select number from fold_core where digest = ?',
      params: [foldDigest()],
    })
    own = row!.number
  }
  return own
}

// One process serves one database.
let own: number | null = null
