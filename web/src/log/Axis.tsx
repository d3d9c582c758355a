import { logMessages, type Reader } from '@logged-thermal/wording'
import { speaks } from '../kit/language'
import type { Lens } from '../parts/lens'
import { NowFlag } from '../parts/NowFlag'
import { clockMarks } from './clockMarks'

const say = speaks(logMessages)

interface Props {
  lens: Lens
  clock: { from: number; to: number }
  now: number
  reader: Reader
}

/** The clock over a time that is looked at, with now on it where it lies in it. */
export function Axis({ lens, clock, now, reader }: Props) {
  return (
    <svg width={lens.width} height="28" style={{ display: 'block', overflow: 'visible' }}>
      {clockMarks(clock.from, clock.to, reader).map(({ at, words }) => (
        <text key={at} x={lens.x(at)} y="20" textAnchor="middle">
          {words}
        </text>
      ))}
      {now > clock.from && now < clock.to && <NowFlag x={lens.nowX} word={say('now')} />}
    </svg>
  )
}
