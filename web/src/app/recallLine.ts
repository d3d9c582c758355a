import { DAY, type Id } from '@logged-thermal/core'
import { keptAnswer } from '../memory/answers'
import { inTime, READS_WITHIN } from '../memory/database'
import { keptLine } from '../memory/line'
import { loadLedger } from './ledger'
import type { LineData } from './lineData'

/** Whether the shift that this tablet was told last was in a kitchen. */
export async function wasInKitchen(): Promise<boolean> {
  return (await keptShift())?.shift != null
}

async function keptShift(): Promise<{ shift: { kitchen: Id } | null } | null> {
  return (await keptAnswer('shift', DAY)) as { shift: { kitchen: Id } | null } | null
}

/** The Line of this tablet's shift as it knows it without the server; null: it has kept none. */
export async function recallLine(): Promise<LineData | null> {
  const answered = await keptShift()
  const reading = keptLine<LineData>().catch(() => null)
  const kept = await inTime(reading, null, READS_WITHIN)
  if (kept?.line.kitchen.id !== answered?.shift?.kitchen) return null
  if (!kept) return null
  const { foldLine } = await loadLedger()
  return Object.freeze(kept.heard.reduce(foldLine, kept.line))
}
