import type { Finding } from '@logged-thermal/core'
import { clock, limitDegreesOf, span, type Reader } from './figures'
import { held } from './limitWords'

/** What reading proves it, or would have; null where none can. */
export function needSentence({ need, standing, because }: Finding, reader: Reader): string | null {
  if (!need) return null
  switch (need.code) {
    case 'hold': {
      const rows = need.rows.map(({ row, everyMs }) =>
        row.seconds === 0
          ? `one reading of ${limitDegreesOf(row.celsius, reader)}`
          : `${limitDegreesOf(row.celsius, reader)} ${held(row.seconds)}, read at least every ${span(everyMs)}`,
      )
      return `${standing === 'open' ? 'Proves it' : 'Would have proven it'}: ${rows.join('; or ')}.`
    }
    case 'under': {
      const reading = `a reading at or under ${limitDegreesOf(need.celsius, reader, 'under')} by ${clock(need.by, reader)}`
      if (standing === 'open') return `Proves it: ${reading}.`
      return because.code === 'doubtful'
        ? `Would have proven it: ${reading}, with a probe and entered in time.`
        : `Would have proven it: ${reading}.`
    }
    case 'start':
      return `Would have proven the start: a reading at or over ${limitDegreesOf(need.celsius, reader)} as it began to cool.`
    case 'under now':
      return `Counts from a reading at or under ${limitDegreesOf(need.celsius, reader, 'under')}.`
  }
}
