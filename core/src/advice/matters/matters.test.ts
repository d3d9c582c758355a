import { HOUR, MINUTE } from '../../ground/instant'
import { factOf } from '../../state/fact'
import type { MatterState } from '../../state/matter'
import type { InstrumentState } from '../../state/instrument'
import { loggedBatch, type LoggedBatch } from '../../judgement/log/loggedBatch'
import { limitsFrom, tooSlow, wellMade, world } from '../../test/story'
import { unitOf } from '../../test/shelf'
import { at } from '../../test/traces'
import type { AskingItem } from './matter'
import { mattersOf, type Unresolved } from './mattersOf'

const kitchen: Unresolved = {
  kitchen: 'kitchen',
  begun: 0,
  batches: [],
  items: [],
  units: [],
  instruments: [],
  matters: [],
  lists: { lists: [], listsDone: [] },
  zone: 'UTC',
  limits: { ...limitsFrom('us-food-code-2022'), practice: { ...limitsFrom('us-food-code-2022').practice, rounds: [] } },
}
const missed = (): LoggedBatch => loggedBatch(tooSlow().batch, world)
const item = (
  id: string,
  unit: string | null,
  asks: AskingItem['standing']['asks'],
  why: AskingItem['standing']['why'],
): AskingItem => ({
  card: { id, code: id, name: id, unit, made: at(0), held: asks === 'held' } as AskingItem['card'],
  standing: { asks, why, until: null, daysLeft: null },
})
const closed = (id: string, of: 'unit' | 'round', since: number, minutes: number): MatterState => {
  const claim = { id: `closing of ${id}`, at: at(minutes), madeAt: at(minutes), by: 'ilse' }
  const body = {
    of,
    subject: { type: 'unit' as const, id: 'walk-in' },
    since,
    action: 'shut',
    why: 'open',
    prevents: 'a bell',
  }
  return { id, incident: null, closings: [factOf({ claim, seal: null, lateAfter: 0 } as never, at(minutes), body)] }
}
/** Warm from 60 to 120 minutes after ten. */
const warm = unitOf(
  [
    [0, 3],
    [60, 9],
    [90, 9.5],
    [120, 3],
  ],
  { id: 'walk-in', name: 'Walk-in', kind: 'refrigerator' },
)

describe('matters', () => {
  it('are none where every batch stands, and one where a limit was missed', () => {
    expect(mattersOf({ ...kitchen, batches: [loggedBatch(wellMade().batch, world)] }, at(900))).toEqual([])
    const [matter, ...others] = mattersOf({ ...kitchen, batches: [missed()] }, at(300))
    expect(matter).toMatchObject({ of: 'batch', settled: false, cause: { stand: { standing: 'missed' } } })
    expect(others).toEqual([])
  })

  it('are one for a unit that was warm, with all that it made warm in it and nothing beside it', () => {
    const items = [item('a', 'walk-in', 'use now', 'exposure'), item('b', 'other', 'use now', 'exposure')]
    const found = mattersOf({ ...kitchen, units: [warm], items }, at(130))
    expect(found.map(({ of, id }) => [of, of === 'item' ? id : 'unit'])).toEqual([
      ['item', 'b'],
      ['unit', 'unit'],
    ])
    const unit = found.find(({ of }) => of === 'unit')!
    expect(unit.items.map(({ card }) => card.id)).toEqual(['a'])
    expect(unit.settled).toBe(false)
    // Cold again, and what was in it has gone: only to be closed.
    expect(mattersOf({ ...kitchen, units: [warm] }, at(130))[0]).toMatchObject({ settled: true })
  })

  it('go once they are closed; the same cause opens another, which counts the one before', () => {
    const [first] = mattersOf({ ...kitchen, units: [warm] }, at(130))
    const matters = [closed(first!.id, 'unit', first!.since, 140)]
    expect(mattersOf({ ...kitchen, units: [warm], matters }, at(150))).toEqual([])
    const again = unitOf(
      [
        [0, 3],
        [60, 9],
        [90, 9.5],
        [120, 3],
        [300, 9],
        [330, 9],
      ],
      { id: 'walk-in', name: 'Walk-in', kind: 'refrigerator' },
    )
    const [second, ...others] = mattersOf(
      { ...kitchen, units: [again], matters: [{ ...matters[0]!, id: again.airs[1]!.entry }] },
      at(340),
    )
    expect(second).toMatchObject({ of: 'unit', settled: false })
    expect(second!.before).toHaveLength(1)
    expect(others).toEqual([])
  })

  it('hold an incident open until what it happened to is decided and let go', () => {
    const story = wellMade()
    const told = { what: 'glass' as const, note: 'a jar broke', items: ['tub'], batches: ['batch'] }
    const entry = story.enter('incident-told', 300, told)
    const incident = story.batch.facts['incident-told'][0]!
    const matters: MatterState[] = [{ id: entry, incident, closings: [] }]
    const asked = () => ({
      ...kitchen,
      matters,
      batches: [loggedBatch(story.batch, world)],
      items: [item('tub', null, 'held', 'held')],
    })
    const found = mattersOf(asked(), at(310))
    expect(found).toHaveLength(1)
    expect(found[0]).toMatchObject({ of: 'incident', settled: false, batches: [{ batch: { id: 'batch' } }] })
    expect(found[0]!.items).toHaveLength(1)
    story.decide(320, 'release', 'looked through by two, nothing found')
    const [only] = mattersOf({ ...asked(), items: [] }, at(330))
    expect(only).toMatchObject({ of: 'incident', settled: true, batches: [] })
  })

  it('are one for an instrument that failed, until it passes and its batches are decided', () => {
    const check = { entry: 'check', at: at(400), passed: false, error: 2, by: 'mina' }
    const probe = (...more: object[]) =>
      ({ id: 'P2', code: 'P2', gone: null, history: [check, ...more] }) as unknown as InstrumentState
    const doubted: LoggedBatch = { ...missed(), doubted: [at(10)] }
    const [matter, ...others] = mattersOf({ ...kitchen, instruments: [probe()], batches: [doubted] }, at(410))
    expect(matter).toMatchObject({ of: 'instrument', id: 'check', settled: false })
    expect(matter!.batches).toHaveLength(1)
    // Its batch is not told twice.
    expect(others).toEqual([])
    const passed = { ...check, entry: 'again', at: at(500), passed: true }
    expect(mattersOf({ ...kitchen, instruments: [probe(passed)] }, at(510))[0]).toMatchObject({ settled: true })
    expect(mattersOf({ ...kitchen, instruments: [probe()] }, at(510))[0]).toMatchObject({ settled: false })
  })

  it('tell a round that nobody walked, and what somebody may eat before all else', () => {
    const limits = { ...kitchen.limits, practice: { ...kitchen.limits.practice, rounds: ['07:00'] } }
    const cold = unitOf([[0, 3]], { id: 'walk-in', name: 'Walk-in', kind: 'refrigerator' })
    const later = at(24 * 60 + 60)
    const found = mattersOf(
      { ...kitchen, limits, units: [cold], items: [item('old', null, 'discard', 'past its day')], batches: [missed()] },
      later,
    )
    expect(found.map(({ of }) => of)).toEqual(['item', 'batch', 'round', 'round'])
    // Closed one by one: another morning is another round.
    const round = found.at(-1)!
    const matters = [{ ...closed('kitchen', 'round', round.since, 1500), id: 'kitchen' }]
    const left = mattersOf({ ...kitchen, limits, units: [cold], matters }, later)
    expect(left.map(({ of }) => of)).toEqual(['round'])
    expect(round.since - left[0]!.since).toBe(24 * HOUR)
    // Nobody closes beforehand what has not come about.
    const ahead = closed('kitchen', 'round', round.since, (round.since - at(0)) / MINUTE + 60)
    expect(mattersOf({ ...kitchen, limits, units: [cold], matters: [ahead] }, later)).toHaveLength(2)
    // Before the kitchen began nobody was to walk.
    expect(mattersOf({ ...kitchen, begun: later, limits, units: [cold] }, later)).toEqual([])
  })
})
