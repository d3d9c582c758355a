import { countWord, lineMessages } from '@logged-thermal/wording'
import { isPressing } from '@logged-thermal/core'
import type { JudgedBatch } from '../app/kitchen'
import { speaks, spoken } from '../kit/language'

const say = speaks(lineMessages)

/** The Line as a sentence: what is urgent, then the rest. */
export function lineSentence(judged: readonly JudgedBatch[], now: number): { urgent: string | null; rest: string } {
  const count = (test: (batch: JudgedBatch) => boolean) => judged.filter(test).length
  const rescue = count(({ asks }) => asks.kind === 'rescue' && isPressing(asks, now))
  const later = count(({ asks }) => asks.kind === 'rescue' && !isPressing(asks, now))
  const lost = count(({ asks }) => asks.kind === 'lost')
  const due = count(({ asks }) => isDue(asks, now))
  const discard = count(({ asks }) => asks.kind === 'discard')
  const today = count(({ asks }) => asks.kind === 'use today')
  const decide = count(({ asks }) => asks.kind === 'decide')
  const parts = [
    later && say('rescueBeforeLong', { count: countWord(later, spoken) }),
    discard && say('toBin', { count: countWord(discard, spoken) }),
    due && say('seeNow', { count: countWord(due, spoken) }),
    decide + lost > 0 && say('forLeadDecide', { count: countWord(decide + lost, spoken) }),
    today && say('useToday', { count: countWord(today, spoken) }),
  ].filter((part) => typeof part === 'string')
  const urgent = rescue ? say('batchBatchesRescue', { count: capital(countWord(rescue, spoken)), rescue }) : null
  if (parts.length) return { urgent, rest: `${capital(parts.join(', '))}.` }
  if (judged.length === 0) return { urgent, rest: say('nothingOnStoveYet') }
  return { urgent, rest: urgent ? '' : say('nothingNeedsHandsJust') }
}

/** Hands are wanted: a mark, a reading, or the next step of the method. */
export function isDue(asks: JudgedBatch['asks'], now: number): boolean {
  if (asks.kind === 'step') return asks.at === null || asks.at <= now
  return asks.kind === 'mark' || (asks.kind === 'read' && asks.at <= now)
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
