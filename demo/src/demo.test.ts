import fc from 'fast-check'
import { v7 as uuid } from 'uuid'
import { apply, attention, batchStanding, dayOf, judgeBatch, touches, type BatchState } from '@logged-thermal/core'
import { asOwner, openKitchen } from '../../server/src/test/kitchen'
import { DEMO_PEOPLE, demoClaims, seedDemo } from './seed'
import { starter } from '@logged-thermal/repertoire'
import { clock, worseBatches } from '@logged-thermal/server'

const seeded = {
  kitchenId: uuid(),
  people: DEMO_PEOPLE.map((person) => ({ ...person, id: uuid() })),
  starter: starter(0, 'UTC'),
}

/** What each dish of the demo is there to show. */
const SHOWN = {
  'Bay-leaf pouring custard': 'open, rescue',
  'Burnt-honey churned base': 'proven, step',
  'Hazel mousse with set yolk': 'open, read',
  'Lemon-thyme pouring custard': 'open, read',
  'Quince-skin curd': 'proven, use today',
  'Rye-malt custard': 'unproven, decide',
  'Sea-buckthorn curd': 'open, read',
  'Smoked-honey eggnog': 'missed, decide',
  'Toasted-barley custard': 'proven, keep',
  'Walnut-leaf nog': 'open, read',
}

function shownAt(now: number, zone: string): Record<string, string> {
  const batches = new Map<string, BatchState>()
  for (const claim of demoClaims(seeded, zone, now)) {
    for (const { id } of touches(claim).filter(({ type }) => type === 'batch')) {
      const state = apply.batch(id, batches.get(id) ?? null, { claim, seal: null })
      if (state) batches.set(id, state)
    }
  }
  const shown = [...batches.values()].flatMap((batch): [string, string][] => {
    const findings = judgeBatch(batch, { zone }, now)
    const { kind } = attention(batch, findings, { zone }, now)
    return kind === 'closed' ? [] : [[batch.method.name, `${batchStanding(findings)}, ${kind}`]]
  })
  return Object.fromEntries(shown)
}

describe('the demo', () => {
  it('shows every stage of a batch, whatever the minute and the zone it is started in', () => {
    const zones = fc.constantFrom('UTC', 'Europe/London', 'America/Los_Angeles', 'Asia/Kathmandu', 'Pacific/Auckland')
    // Two years of minutes: every hour of the day, and the days on which the clocks change.
    const minutes = fc.integer({ min: 0, max: 2 * 365 * 24 * 60 })
    fc.assert(
      fc.property(minutes, zones, (minute, zone) => {
        expect(shownAt(Date.UTC(2026, 0, 1) + minute * 60_000, zone)).toEqual(SHOWN)
      }),
      { numRuns: 40 * Number(process.env.LT_TIMES ?? 1) },
    )
  })

  it('gives every batch of a day its own code, and nothing a time ahead of now', () => {
    const now = Date.UTC(2026, 10, 24, 0, 10)
    const claims = demoClaims(seeded, 'UTC', now)
    expect(claims.every(({ at }) => at <= now)).toBe(true)
    const codes = claims.flatMap((claim) => (claim.kind === 'batch-started' ? [claim.body.code] : []))
    expect(new Set(codes).size).toBe(18)
  })

  it('is taken whole by the server, begun at any hour of the day', async () => {
    const kitchen = await openKitchen()
    const midnight = Date.parse(`${dayOf(clock.now() - 2 * 86_400_000, 'UTC')}T00:00Z`)
    for (const hour of [1, 9, 17.5]) {
      const { kitchenId } = await asOwner((owner) => seedDemo(owner, 'UTC', midnight + hour * 3_600_000))
      const [row] = await kitchen.scope.inKitchen(kitchenId, (em) =>
        em.execute<{ held: string }[]>('select count(*) as held from item where live'),
      )
      expect(Number(row!.held)).toBeGreaterThan(15)
      expect(await worseBatches(kitchen.scope, kitchenId)).toEqual([])
    }
    await kitchen.app.close()
  }, 120_000)
})
