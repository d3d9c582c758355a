import { v7 as uuid } from 'uuid'
import {
  dayOf,
  heldTo,
  itemCard,
  itemWalls,
  nextItemCode,
  packageOf,
  partOf,
  portionOf,
  type AnyClaim,
  type BatchState,
  type Bodies,
  type Id,
  type ItemCard,
  type ItemState,
  type LimitSet,
  type LotReceived,
  type Method,
} from '@logged-thermal/core'
import type { TestKitchen } from './kitchen'
import { clock } from '../clock/clock'

const HOUR = 3_600_000

/** How an entry was answered. */
export interface Result {
  outcome: string
  code?: string
  sentence?: string
}

/** At a time before now. */
export const ago = (ms: number) => ({ at: Math.round(clock.now() - ms), madeAt: Math.round(clock.now() - ms) })

/** What a cook does with batches, lots and items in a test's kitchen, through the server. */
export function storeOf(kitchen: TestKitchen) {
  async function entered(...claims: AnyClaim[]): Promise<Result[]> {
    return ((await kitchen.post(claims)).body as { results: Result[] }).results
  }

  async function one(claim: AnyClaim): Promise<Result> {
    return (await entered(claim))[0]!
  }

  async function taken(...claims: AnyClaim[]): Promise<void> {
    const results = await entered(...claims)
    expect(results.filter(({ outcome }) => outcome !== 'accepted')).toEqual([])
  }

  async function signed(claim: AnyClaim): Promise<Result> {
    const { id, pin } = kitchen.person('ilse')
    const body = (await kitchen.post([{ ...claim, by: id }], { signer: id, pin })).body as { results: Result[] }
    return body.results[0]!
  }

  const unit = (name: string) => kitchen.starter.units.find((each) => each.unit.name === name)!.id
  const methodOf = (name: string): Method => kitchen.starter.methods.find((method) => method.name === name)!
  const limits = (): LimitSet => kitchen.starter.limits

  async function item(id: Id): Promise<ItemState> {
    return ((await kitchen.get(`/api/items/${id}`)).body as { item: ItemState }).item
  }
  async function card(id: Id): Promise<ItemCard> {
    const state = await item(id)
    return itemCard(state, itemWalls(state, 'UTC'))
  }
  async function batch(id: Id): Promise<BatchState> {
    return ((await kitchen.get(`/api/batches/${id}`)).body as { batch: BatchState }).batch
  }

  /** A jelly that was simmered and cooled as it should be, ended `hoursAgo`. */
  async function jelly(hoursAgo: number, proven = true): Promise<Id> {
    const id = uuid()
    const method = methodOf('Rhubarb jelly layer')
    const at = (minutes: number) => ago(hoursAgo * HOUR + (200 - minutes) * 60_000)
    const code = `j-${id.slice(-6)}`
    const start = kitchen.claim(
      'batch-started',
      id,
      {
        code,
        ...heldTo(method, 1, limits(), false, dayOf(at(0).at, 'UTC')),
        limits: { id: limits().id, version: 1 },
        vessel: method.vessel,
        factor: 1,
      },
      at(0),
    )
    const reads: [number, number][] = [
      [8, 92],
      [14, 57],
      [36, 19.4],
      ...(proven ? ([[150, 3.5]] as [number, number][]) : []),
    ]
    await taken(
      start,
      kitchen.reading(id, reads[0]![1], at(8)),
      kitchen.claim('step-marked', id, { step: 'cook', edge: 'done', reason: null }, at(10)),
      ...reads.slice(1).map(([minutes, celsius]) => kitchen.reading(id, celsius, at(minutes))),
    )
    return id
  }

  async function putAway(
    of: Id,
    value: number,
    more: Partial<Parameters<typeof portionOf>[2]> = {},
    hoursAgo = 0,
  ): Promise<[Id, Result]> {
    const state = await batch(of)
    const id = uuid()
    const when = ago(hoursAgo * HOUR)
    const code = nextItemCode(
      state.code,
      state.facts.portioned.map(({ value }) => value.code),
    )
    const said = {
      code,
      as: 'portion' as const,
      measure: { value, unit: 'g' as const },
      last: false,
      unit: unit('Walk-in 1'),
      shelf: 1,
      ...more,
    }
    const body = portionOf(state, methodOf(state.method.name), said, limits(), 'UTC', when.at)
    return [id, await one(kitchen.claim('portioned', id, body, when))]
  }

  const part = async (
    id: Id,
    into: Id,
    celsius: number,
    value = 100,
    exposed = { least: 0, likely: 0, most: 0 },
  ): Promise<Bodies['part-used']> => ({
    batch: into,
    step: 'assemble',
    measure: { value, unit: 'g' },
    typed: { value: celsius, unit: 'C' },
    instrument: kitchen.starter.probe.id,
    warm: false,
    condition: null,
    part: partOf(await item(id), exposed, 'UTC'),
  })

  /** A batch of a method, begun now. */
  async function begun(name: string): Promise<Id> {
    const id = uuid()
    const method = methodOf(name)
    await taken(
      kitchen.claim('batch-started', id, {
        code: `t-${id.slice(-6)}`,
        ...heldTo(method, 1, limits(), false, dayOf(clock.now(), 'UTC')),
        limits: { id: limits().id, version: 1 },
        vessel: method.vessel,
        factor: 1,
      }),
    )
    return id
  }

  const arrived = (more: Partial<LotReceived> = {}): Omit<LotReceived, 'held'> => ({
    code: 'MK-1',
    ingredient: 'milk',
    name: 'Whole milk',
    form: null,
    size: null,
    supplier: 'Hollin Gate dairy',
    useBy: '2099-01-01',
    pasteurized: null,
    scheme: null,
    treatment: null,
    received: { typed: { value: 3.9, unit: 'C' }, instrument: kitchen.starter.probe.id },
    condition: null,
    verdict: 'accept',
    why: null,
    ...more,
  })
  const receive = async (lot: Omit<LotReceived, 'held'>): Promise<{ id: Id; held: Id; result: Result }> => {
    const [id, held, when] = [uuid(), uuid(), ago(0)]
    const place = { unit: unit('Walk-in 1'), shelf: 1 }
    const measure = { value: 5000, unit: 'g' as const }
    const kept = {
      item: held,
      code: 'L-1',
      measure,
      cost: 400,
      ...place,
      ...packageOf(lot, limits(), dayOf(when.at, 'UTC'), when.at),
    }
    const result = await one(kitchen.claim('lot-received', id, { ...lot, held: kept }, when))
    return { id, held, result }
  }

  return {
    limits,
    one,
    taken,
    signed,
    unit,
    methodOf,
    item,
    card,
    batch,
    jelly,
    putAway,
    part,
    begun,
    arrived,
    receive,
  }
}
