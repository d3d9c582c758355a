import fc from 'fast-check'
import { HOUR } from '../../ground/instant'
import { loggedBatch, type LoggedBatch } from '../../judgement/log/loggedBatch'
import { factOf } from '../../state/fact'
import type { InstrumentState } from '../../state/instrument'
import { limitsFrom, tooSlow, wellMade, world } from '../../test/story'
import { unitOf } from '../../test/shelf'
import { at } from '../../test/traces'
import { likelyCauses } from './likelyCause'
import { raisedByDay, raisedIn, roundsWalked, type Raised, type RaisedIn } from './raised'

const day = (n: number) => at(n * 24 * 60)
const base = limitsFrom('us-food-code-2022')
const quiet: RaisedIn = {
  from: day(0) - 10 * HOUR,
  to: day(9),
  begun: 0,
  zone: 'UTC',
  versions: [{ ...base, practice: { ...base.practice, rounds: [] } }],
  batches: [],
  units: [],
  instruments: [],
  matters: [],
  lists: { lists: [], listsDone: [] },
  binned: [],
}
const now = day(9)

const missedBatch = loggedBatch(tooSlow().batch, world)
const well = loggedBatch(wellMade().batch, world)
// As it stands before its last day is over.
const provenBatch: LoggedBatch = { ...well, stands: well.stands.slice(0, 1) }

/** Batches of which these failed, by a cook with a probe each. */
function batchesOf(all: readonly { fails: boolean; person: string; instrument: string }[]): LoggedBatch[] {
  return all.map(({ fails, person, instrument }, i) => ({
    ...(fails ? missedBatch : provenBatch),
    id: String(i),
    people: [person],
    instruments: [instrument],
    units: [],
    vessel: 'pan',
    startedAt: day(i % 9),
  }))
}

describe('what came up', () => {
  it('is told of each kind by the day it was, and also once it was closed', () => {
    const check = (n: number, passed: boolean) => ({ entry: `c${n}`, at: day(n), passed, error: 2, by: 'mina' })
    const probe = {
      id: 'P2',
      history: [check(1, false), check(1.2, true), check(3, false)],
    } as unknown as InstrumentState
    const warm = unitOf(
      [
        [0, 3],
        [60, 9],
        [120, 9],
        [180, 3],
      ],
      { id: 'walk-in', kind: 'refrigerator' },
    )
    const told = { id: 'i', at: day(2), madeAt: day(2), by: 'teo' }
    const incident = factOf({ claim: told, seal: null, lateAfter: 0 } as never, day(2), {
      what: 'glass',
      note: '',
      items: [],
      batches: [],
    } as never)
    const asked: RaisedIn = {
      ...quiet,
      batches: batchesOf([
        { fails: true, person: 'a', instrument: 'P1' },
        { fails: false, person: 'a', instrument: 'P1' },
      ]),
      units: [warm],
      instruments: [probe],
      matters: [{ id: 'i', incident, closings: [] }],
      binned: [{ at: day(4), unit: 'walk-in' }],
    }
    const raised = raisedIn(asked, now)
    expect(raised.map(({ of }) => of).sort()).toEqual(['batch', 'incident', 'instrument', 'instrument', 'item', 'unit'])
    const { days, rows } = raisedByDay(raised, quiet.from, day(9), 'UTC')
    expect(days).toHaveLength(10)
    expect(rows[0]).toMatchObject({ of: 'instrument', all: 2, counts: [0, 1, 0, 1, 0, 0, 0, 0, 0, 0] })
    // Nothing of outside of the time, and nothing that is still to come.
    expect(raisedIn({ ...asked, from: day(3), to: day(3.5) }, now).map(({ of }) => of)).toEqual(['instrument'])
    expect(
      raisedIn(asked, day(0.5))
        .map(({ of }) => of)
        .sort(),
    ).toEqual(['batch', 'unit'])
  })

  it('has every round that nobody walked, under the rounds of its day', () => {
    const rounds = (version: number, from: number, times: string[]) => ({
      ...base,
      version,
      from,
      practice: { ...base.practice, rounds: times },
    })
    const versions = [rounds(1, 0, ['07:00', '21:00']), rounds(2, day(2), ['07:00'])]
    const unit = unitOf([[0, 3]], { kind: 'refrigerator' })
    const raised = raisedIn({ ...quiet, begun: day(0) - 10 * HOUR, versions, units: [unit] }, day(4))
    const rows = raisedByDay(raised, quiet.from, day(4), 'UTC').rows
    // At ten somebody looked: three hours after the round at seven, when it was missed.
    expect(rows).toMatchObject([{ of: 'round', counts: [2, 2, 1, 1, 1] }])
  })

  it('counts the rounds by how late they were walked, each once, and raises none that was', () => {
    const versions = [{ ...base, practice: { ...base.practice, rounds: ['11:00'] } }]
    // The walk is over with its last unit, minutes after eleven; null: it was not walked.
    const late = fc.option(fc.integer({ min: -59, max: 179 }), { nil: null })
    fc.assert(
      fc.property(fc.array(late, { minLength: 1, maxLength: 8 }), (days) => {
        const looks = days.map((minutes, i) => (minutes === null ? null : i * 24 * 60 + 60 + minutes))
        const walked = looks.filter((look) => look !== null)
        const first = unitOf([[-60, 3], ...walked.map((look): [number, number] => [look - 1, 3])], { id: 'first' })
        const last = unitOf([[-60, 3], ...walked.map((look): [number, number] => [look, 3])], { id: 'last' })
        const asked = { ...quiet, begun: day(0), versions, units: [first, last] }
        const over = day(days.length)
        const counted = (is: (minutes: number) => boolean) => days.filter((each) => each !== null && is(each)).length
        expect(roundsWalked(asked, over)).toEqual({
          inTime: counted((minutes) => minutes <= 0),
          aLittleLate: counted((minutes) => minutes > 0 && minutes <= 30),
          later: counted((minutes) => minutes > 30),
          missed: days.filter((each) => each === null).length,
        })
        expect(raisedIn(asked, over)).toHaveLength(days.filter((each) => each === null).length)
      }),
    )
  })
})

describe('a likely cause', () => {
  const raisedOf = (batches: LoggedBatch[]) => raisedIn({ ...quiet, batches }, now)

  it('is the probe that those have which fail, and not who cooks them all', () => {
    const some = Array.from({ length: 12 }, () => ({ fails: true, person: 'a', instrument: 'P2' }))
    const others = Array.from({ length: 12 }, (_, i) => ({ fails: i < 2, person: 'a', instrument: 'P1' }))
    const batches = batchesOf([...some, ...others])
    const found = likelyCauses(raisedOf(batches), batches, now)
    // The check that they missed is the same one in all of them, and comes first; without it the probe is what they share.
    expect(found).toMatchObject([{ of: 'batch', count: 14, common: { of: 'check' }, shared: 14 }])
    const without = raisedOf(batches).map((each) => ({
      ...each,
      common: each.common.filter(({ of }) => of !== 'check'),
    }))
    expect(likelyCauses(without, batches, now)).toMatchObject([
      { of: 'batch', count: 14, common: { of: 'instrument', id: 'P2' }, shared: 12 },
    ])
  })

  it('is looked for in more than ten of a kind, and none where nothing is shared', () => {
    const round = (n: number, time: string): Raised => ({ of: 'round', at: day(n), common: [{ of: 'time', time }] })
    const ten = Array.from({ length: 10 }, (_, i) => round(i, '14:00'))
    expect(likelyCauses(ten, [], now)).toEqual([])
    expect(likelyCauses([...ten, round(3, '07:00')], [], now)).toEqual([
      { of: 'round', count: 11, common: { of: 'time', time: '14:00' }, shared: 10 },
    ])
    const spread = Array.from({ length: 12 }, (_, i) => round(i, `${String(i + 7).padStart(2, '0')}:00`))
    expect(likelyCauses(spread, [], now)).toEqual([{ of: 'round', count: 12, common: null, shared: 0 }])
  })

  it('never blames what those that held have as often', () => {
    fc.assert(
      fc.property(fc.array(fc.boolean(), { minLength: 30, maxLength: 60 }), (fails) => {
        // Whoever is 'a' cooks three of four, and fails as often as 'b' does.
        const batches = batchesOf(
          fails.flatMap((each) => [
            { fails: each, person: 'a', instrument: 'P1' },
            { fails: each, person: 'a', instrument: 'P1' },
            { fails: each, person: 'a', instrument: 'P1' },
            { fails: each, person: 'b', instrument: 'P1' },
          ]),
        )
        const raised = raisedOf(batches).map((each) => ({
          ...each,
          common: each.common.filter(({ of }) => of !== 'check'),
        }))
        for (const { common } of likelyCauses(raised, batches, now)) expect(common).toBeNull()
      }),
      { numRuns: 50 },
    )
  })
})
