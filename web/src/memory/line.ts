import type { SealedEntry } from '@logged-thermal/core'
import { comingMemory, memory } from './database'

/** What is kept of a Line: only by its number it is told from another. */
interface Numbered {
  seq: number
}

/** Keeps a Line as the server told it in the place of all before; what was entered here and is in it waits no more. */
export async function keepLine(line: Numbered): Promise<void> {
  const writing = memory()?.transaction(['answers', 'heard', 'outbox'], 'readwrite')
  if (!writing) return
  await writing.objectStore('answers').put(line, 'line')
  await writing.objectStore('heard').clear()
  for (let one = await writing.objectStore('outbox').openCursor(); one; one = await one.continue())
    if (one.value.seq !== null && one.value.seq <= line.seq) await one.delete()
  await writing.done
}

/** Keeps an entry that the stream told; one that was made here waits no more. */
export async function keepHeard(entry: SealedEntry): Promise<void> {
  const writing = memory()?.transaction(['heard', 'outbox'], 'readwrite')
  if (!writing) return
  await writing.objectStore('heard').put(entry)
  const n = await writing.objectStore('outbox').index('id').getKey(entry.claim.id)
  if (n !== undefined) await writing.objectStore('outbox').delete(n)
  await writing.done
}

/** The kept Line, and what follows it without a gap; null: none is kept. */
export async function keptLine<Line extends Numbered>(): Promise<{ line: Line; heard: SealedEntry[] } | null> {
  const reading = (await comingMemory())?.transaction(['answers', 'heard'])
  const line = (await reading?.objectStore('answers').get('line')) as Line | undefined
  if (!reading || !line) return null
  const after = await reading.objectStore('heard').getAll(IDBKeyRange.lowerBound(line.seq, true))
  return { line, heard: after.filter(({ seal }, i) => seal.seq === line.seq + 1 + i) }
}
