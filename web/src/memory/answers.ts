import { comingMemory, inTime, memory, READS_WITHIN } from './database'

/** Keeps what the server answered to a question, in the place of its answer before. A tablet that cannot goes without. */
export function keepAnswer(asked: string, answer: unknown): void {
  void memory()
    ?.put('answers', { answer, at: Date.now() }, asked)
    .catch(() => undefined)
}

/** What the server answered last, at most so long ago, ms; null: nothing that is kept. */
export async function keptAnswer(asked: string, atMost: number): Promise<unknown> {
  const reading = comingMemory()?.then((database) => database?.get('answers', asked).catch(() => undefined))
  const kept = (await (reading && inTime(reading, undefined, READS_WITHIN))) as
    { answer: unknown; at: number } | undefined
  return kept && Date.now() - kept.at <= atMost ? kept.answer : null
}
