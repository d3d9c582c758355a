import { parse } from 'csv-parse/browser/esm/sync'
import { recipesInTable, type TableRead } from '@logged-thermal/core'

/** A larger file is no table of recipes, bytes. */
const LARGEST = 2_000_000

/** Reads a file of many recipes: commas, semicolons or tabs between its cells. null: it is no table. */
export async function readTable(file: File): Promise<TableRead | null> {
  if (file.size > LARGEST) return null
  try {
    const rows: string[][] = parse(await file.text(), {
      bom: true,
      delimiter: [',', ';', '\t'],
      relaxColumnCount: true,
      skipEmptyLines: true,
    })
    return recipesInTable(rows)
  } catch {
    return null
  }
}
