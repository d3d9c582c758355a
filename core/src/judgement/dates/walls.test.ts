import fc from 'fast-check'
import { HOUR } from '../../ground/instant'
import { addDays, startOfDay } from '../../ground/zone'
import { itemOf, storeOf } from '../../test/shelf'
import { at } from '../../test/traces'
import type { Dating, Keep } from '../../ledger/dating'
import { wallsOf } from './walls'
import { itemStanding } from '../keeping/itemStanding'

describe('the dates of an item', () => {
  const source = { document: 'x', section: '', edition: '', confidence: 'high' as const }
  const keep = (what: Keep['what'], count: number): Keep => ({ what, count, from: null, force: 'house', source })
  const dating = (more: Partial<Dating>): Dating => ({ prepared: at(0), keeps: [], useBy: null, parts: [], ...more })

  it('has the earliest rule and names it: days, hours, an opened package, a use-by, a part', () => {
    const zone = 'UTC'
    expect(wallsOf(dating({ keeps: [keep('days', 7), keep('days', 3)] }), null, [], zone)[0]).toMatchObject({
      lastDay: '2027-03-05',
      keep: { count: 3 },
    })
    expect(wallsOf(dating({ keeps: [keep('hours', 24), keep('days', 7)] }), null, [], zone)[0]?.until).toBe(at(24 * 60))
    const carton = dating({ useBy: '2027-03-20', keeps: [keep('once opened', 3)] })
    expect(wallsOf(carton, null, [], zone)[0]).toMatchObject({ lastDay: '2027-03-20' })
    expect(wallsOf(carton, at(48 * 60), [], zone)[0]).toMatchObject({
      lastDay: '2027-03-07',
      keep: { what: 'once opened' },
    })
    const built = dating({ keeps: [keep('days', 3)], parts: [{ name: 'custard', lastDay: '2027-03-04' }] })
    expect(wallsOf(built, null, [], zone)[0]).toMatchObject({ ruledBy: 'custard', lastDay: '2027-03-04' })
    expect(wallsOf(dating({}), null, [], zone)).toEqual([])
  })

  it('stops while frozen and goes on after, a use-by never', () => {
    const carton = dating({ useBy: '2027-03-20', keeps: [keep('days', 7)] })
    const frozen = wallsOf(carton, null, [{ from: at(24 * 60) }], 'UTC')
    expect(frozen.map(({ lastDay, daysLeft }) => lastDay ?? daysLeft)).toEqual(['2027-03-20', 5])
    expect(
      wallsOf(dating({ keeps: [keep('days', 7)] }), null, [{ from: at(24 * 60), to: at(15 * 24 * 60) }], 'UTC')[0]
        ?.lastDay,
    ).toBe('2027-03-22')
  })

  it('ends with a day of the kitchen, whatever the clocks do: today is the last day until midnight there', () => {
    const zones = fc.constantFrom('Europe/London', 'America/St_Johns', 'Asia/Kathmandu', 'Pacific/Auckland', 'UTC')
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 900 }), zones, fc.integer({ min: 1, max: 9 }), (n, zone, count) => {
        const made = startOfDay(addDays('2027-01-01', n), zone) + 22 * HOUR
        const [wall] = wallsOf(dating({ prepared: made, keeps: [keep('days', count)] }), null, [], zone)
        const last = addDays(addDays('2027-01-01', n), count - 1)
        expect(wall).toMatchObject({ lastDay: last, until: startOfDay(addDays(last, 1), zone) })
        const item = itemOf({
          dating: dating({ prepared: made, keeps: [keep('days', count)] }),
          coldAt: made,
          moves: [],
        })
        const store = { ...storeOf([]), zone }
        expect(itemStanding(item, store, wall!.until! - 1).asks).toBe('use today')
        expect(itemStanding(item, store, wall!.until!).asks).toBe('discard')
      }),
      { numRuns: 60 },
    )
  })
})
