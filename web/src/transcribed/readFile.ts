import { sha256 } from '@noble/hashes/sha2'
import { bytesToHex } from '@noble/hashes/utils'
import { parse } from 'csv-parse/browser/esm/sync'
import type { Hash } from '@logged-thermal/core'
import { tableOf, type Table } from './columns'

/** A larger file is no log that somebody kept by hand, bytes. */
const LARGEST = 5_000_000

/** A file of a log, as a table, with its name and hash. */
export interface LogFile {
  source: string
  sha256: Hash
  table: Table
}

/** Reads a file of cells between commas, semicolons or tabs; says why it is none. */
export async function readLogFile(file: File): Promise<LogFile | 'too large' | 'no table'> {
  if (file.size > LARGEST) return 'too large'
  const bytes = new Uint8Array(await file.arrayBuffer())
  const table = tableIn(textOf(bytes))
  return table ? { source: file.name.slice(0, 120), sha256: bytesToHex(sha256(bytes)), table } : 'no table'
}

function tableIn(text: string): Table | null {
  // A picture or a program has them in its first bytes.
  if (text.includes('\0')) return null
  try {
    const cells: string[][] = parse(text, {
      bom: true,
      delimiter: delimiterOf(text),
      relaxColumnCount: true,
      relaxQuotes: true,
    })
    return tableOf(cells)
  } catch {
    return null
  }
}

/** Whichever parts most cells: a comma may stand in a number. */
function delimiterOf(text: string): string {
  const beginning = text.slice(0, 20_000)
  const count = (mark: string) => beginning.split(mark).length
  return count('\t') > 2 ? '\t' : count(';') > count(',') ? ';' : ','
}

/** As spreadsheets save it: UTF-8 or UTF-16 with their mark, UTF-8 without one, or else the letters of Windows. */
function textOf(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes)
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes)
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}
