import { useState } from 'react'
import { useNavigate } from 'react-router'
import { addDays, DAY, dayOf, MINUTE, openingsOf, weekdayOf, whoSigns, type Week } from '@logged-thermal/core'
import { hoursWritten, signingMessages, weekdayName, type Reader } from '@logged-thermal/wording'
import { useHand, useLine } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { useNow } from '../app/now'
import { shutUnless } from '../app/shut'
import { View } from '../app/View'
import { Key } from '../kit/Key'
import { PinPad } from '../kit/PinPad'
import { RowKey } from '../kit/RowKey'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { useLeadSigns } from '../login/useLeadSigns'
import { DayHours } from './DayHours'
import styles from './signing.module.css'

const say = speaks(signingMessages)

const CLOSED: Week = Array.from({ length: 7 }, () => null)

/** When the kitchen is open and who signs then, day by day. Nothing changes before the lead has signed all of it. */
export function HoursView() {
  const line = useLine()
  return line && <Hours line={line} />
}

function Hours({ line }: { line: LineData }) {
  const { person, reader, open } = useHand(line)
  const navigate = useNavigate()
  const [draft, setDraft] = useState<Week | null>(null)
  const [day, setDay] = useState<number | null>(null)
  const [signing, setSigning] = useState(false)
  const { sign, busy, refusal } = useLeadSigns('week-set', () => void navigate('/people'))
  const week = draft ?? line.week ?? CLOSED
  const lead = person?.role === 'lead' ? person : line.people.find(({ role }) => role === 'lead')
  return (
    <View
      place="hours"
      sentence={<WeekSentence line={line} week={week} />}
      keys={
        draft && (
          <Key look="primary" why={shutUnless(open, lead !== undefined)} onClick={() => setSigning(true)}>
            {say('saveFromNow')}
          </Key>
        )
      }
    >
      <div className={styles.hours}>
        <p className="muted">{say('whatChanges')}</p>
        <p className={styles.axis} aria-hidden="true">
          {[0, 6, 12, 18].map((hour) => (
            <span key={hour}>{hoursWritten(`${String(hour).padStart(2, '0')}:00`, reader)}</span>
          ))}
        </p>
        <ul className={styles.week} aria-label={say('week')}>
          {week.map((_, i) => (
            <li key={i}>
              <RowKey aria-label={say('edit', { day: dayWord(i, reader) })} onClick={() => setDay(i)}>
                <DayRow week={week} i={i} line={line} reader={reader} />
              </RowKey>
            </li>
          ))}
        </ul>
      </div>
      {day !== null && (
        <DayHours
          week={week}
          i={day}
          people={line.people}
          title={dayWord(day, reader)}
          hours={reader.hours}
          onDone={(next) => {
            setDraft(next)
            setDay(null)
          }}
          onClose={() => setDay(null)}
        />
      )}
      {signing && lead && (
        <Sheet open onClose={() => setSigning(false)} title={say('signs')}>
          <p className="sentence">{say('whatChanges')}</p>
          <PinPad of={lead} busy={busy} sentence={refusal} onPin={(pin) => void sign(pin, line.kitchen.id, { week })} />
        </Sheet>
      )}
    </View>
  )
}

/** How long it is open in a week, and for how much of that nobody can sign. */
function WeekSentence({ line, week }: { line: LineData; week: Week }) {
  const now = useNow(60_000)
  const { zone } = line.kitchen
  const monday = addDays(dayOf(now, zone), -weekdayOf(dayOf(now, zone)))
  // A week of seven even days: what the clocks do on one of them is not what the house sets.
  const from = Date.parse(`${monday}T00:00:00Z`)
  const house = { week, deputies: [] }
  const all = { from, until: from + 7 * DAY }
  const openings = openingsOf(week, all, 'UTC').filter((opening) => opening.from >= from)
  const openMs = openings.reduce((sum, opening) => sum + opening.until - opening.from, 0)
  if (openMs === 0) return <strong>{say('closedAllWeek')}</strong>
  const gapMs = openings
    .flatMap((opening) => whoSigns(house, line.people, opening, 'UTC').filter((each) => each.from >= opening.from))
    .filter(({ who }) => who.length === 0)
    .reduce((sum, each) => sum + each.until - each.from, 0)
  return (
    <>
      <strong>{say('openHours', { hours: hoursOf(openMs) })}</strong>{' '}
      {gapMs > 0 ? say('gaps', { hours: hoursOf(gapMs) }) : say('noGaps')}
    </>
  )
}

/** One day as a bar of 24 hours, and in words. */
function DayRow({ week, i, line, reader }: { week: Week; i: number; line: LineData; reader: Reader }) {
  const day = week[i] ?? null
  const from = Date.parse(`${MONDAY}T00:00:00Z`) + i * DAY
  const percent = (ms: number) => `${(((ms - from) / DAY) * 100).toFixed(2)}%`
  const only = week.map((each, at) => (at === i ? each : null))
  const spans = whoSigns({ week: only, deputies: [] }, line.people, { from, until: from + 2 * DAY }, 'UTC')
  const name = (id: string) => line.people.find((person) => person.id === id)?.name.split(' ')[0] ?? ''
  return (
    <>
      <strong>{dayWord(i, reader)}</strong>
      <span className={styles.lane} aria-hidden="true">
        {spans.map(({ from: begins, until, who }) => (
          <span
            key={begins}
            className={who.length === 0 ? styles.hatched : styles.solid}
            style={{ left: percent(begins), width: percent(from + until - begins) }}
          >
            {who.map(name).join(', ')}
          </span>
        ))}
      </span>
      <span>
        {day
          ? say('span', { from: hoursWritten(day.opens, reader), until: hoursWritten(day.closes, reader) })
          : say('closed')}
        <small>{day?.signs.map(({ person }) => name(person)).join(', ')}</small>
      </span>
    </>
  )
}

/** Any Monday: days of the week are told by its seven. */
const MONDAY = '2026-11-23'

function dayWord(i: number, reader: Reader): string {
  return weekdayName(addDays(MONDAY, i), reader)
}

/** In hours, however many: a week is not said in days. */
function hoursOf(ms: number): string {
  const all = Math.round(ms / MINUTE)
  const [hours, minutes] = [Math.floor(all / 60), all % 60]
  return minutes ? say('hoursMinutes', { hours, minutes }) : say('hours', { hours })
}
