import {
  bySeriousness,
  failureOf,
  lookBack,
  waitsFor,
  type BatchState,
  type Id,
  type Instant,
  type ItemState,
  type LotState,
  type UnitState,
} from '@logged-thermal/core'
import type { LookedBackBatch, LookedBackItem, LookedBackLot, LookedBackUnit } from '../http/lookBackAnswer'

interface Asked {
  /** The entry of the failed check. */
  check: Id
  /** What stands in doubt by it. */
  instruments: readonly Id[]
  /** Lists of states as JSON: the thread that serves need not read them. */
  batches: string
  items: string
  lots: string
  units: string
  zone: string
  now: Instant
}

export interface LookedBackAt {
  batches: Omit<LookedBackBatch, 'items'>[]
  items: LookedBackItem[]
  lots: LookedBackLot[]
  units: LookedBackUnit[]
}

/** What a failed check throws doubt on, judged again with its error both ways: the most serious first. */
export function lookedBack({ check, instruments, batches, items, lots, units, zone, now }: Asked): LookedBackAt {
  return {
    batches: (JSON.parse(batches) as BatchState[])
      .map((batch) => {
        const { id, code, method, startedAt, vessel } = batch
        return { id, code, name: method.name, startedAt, vessel: vessel.name, ...lookBack(batch, check, { zone }, now) }
      })
      .filter(({ doubted }) => doubted.length > 0)
      .sort((a, b) => bySeriousness(a, b) || a.startedAt - b.startedAt),
    items: (JSON.parse(items) as ItemState[]).flatMap((item) => {
      const fails = item.fails.filter(({ entry }) => entry === check)
      const doubted = item.readings.filter((fact) => !fact.void && failureOf({ ...fact, accepted: null }, fails))
      const open = item.readings.filter((fact) => !fact.void && failureOf(fact, fails))
      const { id, code, name } = item
      return doubted.length
        ? [{ id, code, name, doubted: doubted.map(({ entry }) => entry), decided: open.length === 0 }]
        : []
    }),
    lots: (JSON.parse(lots) as LotState[])
      .map((lot) => {
        const { id, code, name, receivedAt, decided, held } = lot
        const fails = lot.fails.filter(({ entry }) => entry === check)
        return {
          id,
          code,
          name,
          receivedAt,
          decided: !!decided && fails.some(({ knownAt }) => decided.knownAt >= knownAt),
          waits: ['probe failed', 'probe fell'].includes(waitsFor({ ...lot, fails }) ?? ''),
          item: held?.item ?? null,
        }
      })
      .sort((a, b) => Number(b.waits) - Number(a.waits) || a.receivedAt - b.receivedAt),
    units: (JSON.parse(units) as UnitState[]).flatMap(({ id, name, airs }) => {
      const doubted = airs
        .filter((air) => air.doubt && air.instrument && instruments.includes(air.instrument))
        .map(({ entry }) => entry)
      return doubted.length > 0 ? [{ id, name, doubted }] : []
    }),
  }
}
