import type { Attention } from '@logged-thermal/core'
import { actionWord } from './coolingWords'
import { clock, largeSpan, limitDegreesOf, type Reader } from './figures'
import { checkTitle } from './findingWords'

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
      const [number, unit] = largeSpan(asks.by - now)
      return {
        action: actionWord(asks.first),
        reason: `before ${clock(asks.by, reader)} or it misses ${limitDegreesOf(asks.gate.level, reader)}`,
        number,
        unit: `${unit} left`,
      }
    }
    case 'lost': {
      const [number, unit] = largeSpan(asks.by - now)
      return {
        action: 'Lead: rework or bin',
        reason: `nothing left saves ${checkTitle(asks.finding, reader)}`,
        number,
        unit: `${unit} to it`,
      }
    }
    case 'read': {
      if (asks.finding.check.bake && asks.at > now) {
        const [number, unit] = largeSpan(asks.at - now)
        return { action: `Out of the oven at ${clock(asks.at, reader)}`, reason: 'a validated bake', number, unit }
      }
      const late = now - asks.at
      const [number, unit] = largeSpan(Math.abs(late))
      if (late >= 60_000)
        return { action: 'Read now', reason: `was due ${clock(asks.at, reader)}`, number, unit: `${unit} late` }
      return {
        action: late >= 0 ? 'Read now' : `Read at ${clock(asks.at, reader)}`,
        reason: checkTitle(asks.finding, reader),
        number,
        unit,
      }
    }
    case 'mark':
      if (asks.edge === 'started')
        return { action: 'Into the oven', reason: 'its minutes count from there', number: '', unit: '' }
      return asks.edge === 'combined'
        ? { action: 'Combine all', reason: 'then read the mixture', number: '', unit: '' }
        : { action: 'Take it off the heat', reason: 'the floor is proven', number: '', unit: '' }
    case 'serve': {
      const [number, unit] = largeSpan(asks.by - now)
      return { action: 'Serve it', reason: `by ${clock(asks.by, reader)}, the rest to discard`, number, unit }
    }
    case 'discard':
      return { action: 'Bin it', reason: checkTitle(asks.finding, reader), number: '', unit: '' }
    case 'use today':
      return { action: 'Use it today', reason: 'bin at the end of today', number: '', unit: '' }
    case 'keep':
    case 'decide':
    case 'held':
    case 'closed':
      return null
  }
}
