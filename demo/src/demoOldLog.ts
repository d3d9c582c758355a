import { createHash } from 'node:crypto'
import { claimMaker, type Seeded } from '@logged-thermal/server'
import { DAY, HOUR, MINUTE, type AnyClaim, type Instant, type TranscribedCooling } from '@logged-thermal/core'

const SOURCE = 'cooling sheets of last autumn.csv'
/** The first of them, so many days ago; then one every three days. */
const [FIRST, EVERY] = [96, 3]

/** What stood on paper before this kitchen had tablets: dish, what was read, and minutes after it was poured. */
const SHEETS: readonly { what: string; celsius: number[]; minutes: number[]; note?: string }[] = [
  { what: 'Vanilla cream', celsius: [57, 20.5, 4.6], minutes: [0, 95, 250] },
  { what: 'Lemon curd', celsius: [56.5, 19, 4], minutes: [0, 110, 290] },
  { what: 'Vanilla cream', celsius: [57, 31], minutes: [0, 140], note: 'moved to the blast chiller' },
  { what: 'Rice pudding', celsius: [57, 34, 12], minutes: [0, 130, 300], note: 'thrown away' },
  { what: 'Lemon curd', celsius: [55, 20], minutes: [0, 90] },
  { what: 'Vanilla cream', celsius: [60, 20.9, 4.9], minutes: [0, 100, 260] },
  { what: 'Bread pudding', celsius: [56, 20.5, 8.5], minutes: [0, 115, 380] },
  { what: 'Vanilla cream', celsius: [57, 18.7, 4.1], minutes: [0, 85, 240] },
]

/** A log that the lead brought in as the kitchen began with this program. */
export function oldLogClaims({ kitchenId, people }: Pick<Seeded, 'kitchenId' | 'people'>, now: Instant): AnyClaim[] {
  const ilse = people.find(({ key }) => key === 'ilse')!.id
  const rows = SHEETS.map(({ what, celsius, minutes, note = null }, i): TranscribedCooling => {
    const poured = now - (FIRST - i * EVERY) * DAY
    const readings = celsius.map((value, of) => ({
      at: poured + minutes[of]! * MINUTE,
      typed: { value, unit: 'C' as const },
    }))
    return { line: i + 2, what, method: null, readings, note }
  })
  const sha256 = createHash('sha256').update(JSON.stringify(rows)).digest('hex')
  return [claimMaker(kitchenId)('log-transcribed', kitchenId, now - 26 * HOUR, ilse, { source: SOURCE, sha256, rows })]
}
