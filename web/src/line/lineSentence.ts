import { countWord } from '@logged-thermal/wording'
import { isPressing } from '@logged-thermal/core'
import type { JudgedBatch } from '../app/kitchen'

/** The Line as a sentence: what is urgent, then the rest. */
export function lineSentence(judged: readonly JudgedBatch[], now: number): { urgent: string | null; rest: string } {
  const count = (test: (batch: JudgedBatch) => boolean) => judged.filter(test).length
  const rescue = count(({ asks }) => asks.kind === 'rescue' && isPressing(asks, now))
  const later = count(({ asks }) => asks.kind === 'rescue' && !isPressing(asks, now))
  const lost = count(({ asks }) => asks.kind === 'lost')
  const due = count(({ asks }) => asks.kind === 'mark' || (asks.kind === 'read' && asks.at <= now))
  const discard = count(({ asks }) => asks.kind === 'discard')
  const today = count(({ asks }) => asks.kind === 'use today')
  const decide = count(({ asks }) => asks.kind === 'decide')
  const parts = [
    later && `${countWord(later)} to rescue before long`,
    discard && `${countWord(discard)} to bin`,
    due && `${countWord(due)} to see to now`,
    decide + lost > 0 && `${countWord(decide + lost)} for the lead to decide`,
    today && `${countWord(today)} to use today`,
  ].filter((part) => typeof part === 'string')
  const urgent = rescue ? `${capital(countWord(rescue))} ${rescue === 1 ? 'batch' : 'batches'} to rescue.` : null
  if (parts.length) return { urgent, rest: `${capital(parts.join(', '))}.` }
  if (judged.length === 0) return { urgent, rest: 'Nothing on the stove yet.' }
  return { urgent, rest: urgent ? '' : 'Nothing needs hands just now.' }
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
