import type { Finding } from '@logged-thermal/core'
import { clock, limitDegreesOf, span, type Reader } from './figures'
import { held } from './limitWords'
import { speaker } from './catalogue/say'
import { needsMessages } from './catalogue/needs'

const say = speaker(needsMessages)

/** What reading proves it, or would have; null where none can. */
export function needSentence({ need, standing, because }: Finding, reader: Reader): string | null {
  if (!need) return null
  switch (need.code) {
    case 'hold': {
      const rows = need.rows.map(({ row, everyMs }) =>
        row.seconds === 0
          ? say(reader, 'oneReading', { degrees: limitDegreesOf(row.celsius, reader) })
          : say(reader, 'readAtLeastEvery', {
              degrees: limitDegreesOf(row.celsius, reader),
              span: held(row.seconds, reader),
              span2: span(everyMs, reader),
            }),
      )
      return `${standing === 'open' ? say(reader, 'provesIt') : say(reader, 'wouldHaveProven')}: ${rows.join('; or ')}.`
    }
    case 'under': {
      const reading = say(reader, 'readingAtOrUnder', {
        degrees: limitDegreesOf(need.celsius, reader, 'under'),
        time: clock(need.by, reader),
      })
      if (standing === 'open') return say(reader, 'provesIt2', { reading })
      return because.code === 'doubtful'
        ? say(reader, 'wouldHaveProvenWith', { reading })
        : say(reader, 'wouldHaveProven2', { reading })
    }
    case 'start':
      return say(reader, 'wouldHaveProvenStart', { degrees: limitDegreesOf(need.celsius, reader) })
    case 'under now':
      return say(reader, 'countsFromReadingAt', { degrees: limitDegreesOf(need.celsius, reader, 'under') })
  }
}
