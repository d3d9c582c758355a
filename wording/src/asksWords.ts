import type { Attention, CoolTarget } from '@logged-thermal/core'
import { actionWord } from './coolingWords'
import { clock, largeSpan, limitDegrees, limitDegreesOf, type Reader } from './figures'
import { stepName } from './methodWords'
import { checkTitle } from './findingWords'
import { speaker } from './catalogue/say'
import { asksMessages } from './catalogue/asks'

const say = speaker(asksMessages)

/** What a batch asks for: verb first, clock time second, reason last; and the number that matters. */
export interface AsksWords {
  action: string
  reason: string
  number: string
  unit: string
}

/** Empty for what asks for nothing now: null. */
export function asksWords(asks: Attention, now: number, reader: Reader): AsksWords | null {
  switch (asks.kind) {
    case 'rescue': {
      const [number, unit] = largeSpan(asks.by - now, reader)
      return {
        action: actionWord(asks.first, reader),
        reason: say(reader, 'beforeOrMisses', {
          time: clock(asks.by, reader),
          degrees: limitDegreesOf(asks.gate.level, reader),
        }),
        number,
        unit: say(reader, 'leftUnit', { unit }),
      }
    }
    case 'lost': {
      const [number, unit] = largeSpan(asks.by - now, reader)
      return {
        action: say(reader, 'leadReworkOrBin'),
        reason: say(reader, 'nothingLeftSaves', { check: checkTitle(asks.finding, reader) }),
        number,
        unit: say(reader, 'toIt', { unit }),
      }
    }
    case 'read': {
      if (asks.finding.check.bake && asks.at > now) {
        const [number, unit] = largeSpan(asks.at - now, reader)
        return {
          action: say(reader, 'outOvenAt', { time: clock(asks.at, reader) }),
          reason: say(reader, 'validatedBake'),
          number,
          unit,
        }
      }
      const late = now - asks.at
      const [number, unit] = largeSpan(Math.abs(late), reader)
      if (late >= 60_000)
        return {
          action: say(reader, 'readNow'),
          reason: asks.target ? towards(asks.target, reader) : say(reader, 'wasDue', { time: clock(asks.at, reader) }),
          number,
          unit: say(reader, 'lateUnit', { unit }),
        }
      return {
        action: late >= 0 ? say(reader, 'readNow') : say(reader, 'readAt', { time: clock(asks.at, reader) }),
        reason: asks.target ? towards(asks.target, reader) : checkTitle(asks.finding, reader),
        number,
        unit,
      }
    }
    case 'mark':
      if (asks.edge === 'started')
        return { action: say(reader, 'intoOven'), reason: say(reader, 'itsMinutesCountFrom'), number: '', unit: '' }
      return asks.edge === 'combined'
        ? { action: say(reader, 'combineAll'), reason: say(reader, 'thenReadMixture'), number: '', unit: '' }
        : { action: say(reader, 'takeOffHeat'), reason: say(reader, 'floorProven'), number: '', unit: '' }
    case 'serve': {
      const [number, unit] = largeSpan(asks.by - now, reader)
      return {
        action: say(reader, 'serveIt'),
        reason: say(reader, 'byRestDiscard', { time: clock(asks.by, reader) }),
        number,
        unit,
      }
    }
    case 'discard':
      return { action: say(reader, 'binIt'), reason: checkTitle(asks.finding, reader), number: '', unit: '' }
    case 'step': {
      const step = stepName(asks.of, reader)
      if (asks.at === null)
        return {
          action: say(reader, 'nextStep', { step }),
          reason: say(reader, 'everyGateSettled'),
          number: '',
          unit: '',
        }
      const time = clock(asks.at, reader)
      if (asks.at <= now)
        return {
          action: say(reader, 'readySince', { step, time }),
          reason: say(reader, 'thenGoesOn'),
          number: '',
          unit: '',
        }
      const [number, unit] = largeSpan(asks.at - now, reader)
      return { action: say(reader, 'readyAt', { step, time }), reason: say(reader, 'waitsItself'), number, unit }
    }
    case 'use today':
      return { action: say(reader, 'useToday'), reason: say(reader, 'binAtEndToday'), number: '', unit: '' }
    case 'keep':
    case 'decide':
    case 'held':
    case 'closed':
      return null
  }
}

/** Where it is cooled to, and what comes then. */
function towards({ to, then }: CoolTarget, reader: Reader): string {
  const degrees = limitDegrees(to, 'C', reader, 'under')
  return then === null
    ? say(reader, 'toOnly', { degrees })
    : say(reader, 'toThen', { degrees, step: stepName(then, reader).toLowerCase() })
}
