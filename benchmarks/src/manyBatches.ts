import { v7 as uuid } from 'uuid'
import { dayOf, heldTo, MINUTE, type BatchState, type Id } from '@logged-thermal/core'
import { claimMaker, type KitchenScope, type Seeded } from '@logged-thermal/server'

const DISHES = [
  'Quince curd',
  'Juniper mousse',
  'Bay-leaf custard',
  'Rye-malt cream',
  'Elderflower posset',
  'Hazel fool',
]

/** One batch as it is cooked and cooled, by the server itself. */
export async function cooked(
  kitchen: Seeded,
  device: Id,
  post: (claims: unknown[]) => Promise<{ text: string }>,
): Promise<Id> {
  const id = uuid()
  const { starter, people } = kitchen
  const claim = claimMaker(kitchen.kitchenId, device)
  const by = people.find(({ key }) => key === 'mina')!.id
  const at = Date.now() - 30 * MINUTE
  const method = starter.methods[0]!
  const start = {
    code: 'b-0',
    ...heldTo(method, 1, starter.limits, false, dayOf(at, 'UTC')),
    limits: { id: starter.limits.id, version: 1 },
    vessel: method.vessel,
    factor: 1,
  }
  const readings = Array.from({ length: 12 }, (_, i) =>
    claim('reading-taken', id, at + (i + 2) * MINUTE, by, {
      typed: { value: 60 + i * 2, unit: 'C' },
      where: 'core',
      of: 'mixture',
      instrument: starter.probe.id,
    }),
  )
  const { text } = await post([claim('batch-started', id, at, by, start), ...readings])
  if (text.includes('refused')) throw new Error(text)
  return id
}

/**
 * The same batch so many times, each under an id, a code and a name of its own: states alone, the logbook holds the one.
 * @param apart one began so much before the other, ms
 */
export async function multiplied(
  scope: KitchenScope,
  kitchenId: Id,
  of: Id,
  { batches, apart }: { batches: number; apart: number },
): Promise<void> {
  const state = await scope.inKitchen(kitchenId, async (em) => {
    const [row] = await em.execute<{ state: BatchState; core: number }[]>(
      'select state, core from batch where kitchen_id = ? and id = ?',
      [kitchenId, of],
    )
    return row!
  })
  for (let from = 1; from < batches; from += 500) {
    const rows = Array.from({ length: Math.min(500, batches - from) }, (_, i) => {
      const number = from + i
      const shifted = earlier(state.state, number * apart)
      const id = uuid()
      const method = { ...shifted.method, name: `${DISHES[number % DISHES.length]} ${number % 40}` }
      return { id, state: { ...shifted, id, code: `b-${number}`, method } }
    })
    await scope.inKitchen(kitchenId, (em) =>
      em.execute(
        `insert into batch (kitchen_id, id, seq, core, state, put_away)
         select ?::uuid, (row ->> 'id')::uuid, 1, ?, row -> 'state', true from jsonb_array_elements(?::jsonb) row`,
        [kitchenId, state.core, JSON.stringify(rows)],
      ),
    )
  }
}

/** The same with each instant in it so much earlier, ms. */
function earlier<T>(value: T, ms: number): T {
  const isInstant = (_: string, each: unknown) => (typeof each === 'number' && each > 1e12 ? each - ms : each)
  return JSON.parse(JSON.stringify(value), isInstant) as T
}
