import { id, list, object, oneOf, text, type Field } from '../../ground/field'
import { dayOf } from '../../ground/zone'
import { SIGNED_AT_ONCE, type DaySigned } from '../../ledger/matter'
import { judgeBatch } from '../../judgement/batch/judgeBatch'
import { isSettled } from '../../judgement/log/settled'
import { standingForGood } from '../../judgement/log/standing'
import type { World } from '../../judgement/world'
import type { Instant } from '../../ground/instant'
import type { Standing } from '../../ledger/standing'
import type { BatchState } from '../../state/batch'
import { parseDayField } from '../../rules/parseVariance'
import type { KitchenState } from '../../state/kitchen'
import { CORE_VERSION } from '../../version'
import { BY_THE_LEAD, type KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'day-signed': DaySigned
  }
}

/**
 * The lead signs a day, with how each of its batches stood then. Nothing is signed over that waits for the lead; what is
 * entered about the day afterwards is known by it.
 */
export const daySigned: KindOf<'day-signed'> = {
  kind: 'day-signed',
  v: 1,
  about: 'kitchen',
  ...BY_THE_LEAD,
  parse(body) {
    const { day, batches, core } = object(body, ['day', 'batches', 'core'])
    return {
      day: parseDayField(day),
      batches: list(batches, parseStood, SIGNED_AT_ONCE),
      core: text(core, 20),
    }
  },
  writes: ({ about }) => [about],
  reads: ({ body }) => body.batches.map((batch) => ({ type: 'batch', id: batch.id })),
  refuse({ about, kitchen, at, body }, read, world) {
    if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
    if (body.day > dayOf(at, world.zone)) return { code: 'day not over', field: 'body.day', day: body.day }
    for (const { id: of } of body.batches) {
      const batch = read('batch', of)
      if (!batch) return { code: 'not there', field: 'body.batches', what: 'batch' }
      if (!isSettled(batch, judgeBatch(batch, world, at))) return { code: 'matter open', field: 'body.batches' }
    }
    return null
  },
  derive({ at, body }, read, world) {
    const batches = body.batches.map(({ id: of }) => ({
      id: of,
      standing: standingNow(read('batch', of)!, world, at),
    }))
    return { batches, core: CORE_VERSION }
  },
  folds: {
    kitchen: (state, { claim: { at, by, body }, seal }) => ({
      ...state,
      signedDays: withDay(state.signedDays, { day: body.day, at, by, seq: seal?.seq ?? null }),
    }),
  },
}

/** As the tablet saw it: how each stands is core's to find, and what it finds counts. */
function parseStood(field: Field): DaySigned['batches'][number] {
  const { id: batch, standing } = object(field, ['id', 'standing'])
  return { id: id(batch), standing: oneOf(standing, ['open', 'proven', 'unproven', 'missed'] as const) }
}

function standingNow(batch: BatchState, world: World, at: Instant): Standing {
  return standingForGood(batch, judgeBatch(batch, world, at))
}

/** So many signed days a kitchen knows by heart; older ones are looked up in the logbook. */
const KEPT = 62

function withDay(
  days: KitchenState['signedDays'],
  signed: KitchenState['signedDays'][number],
): KitchenState['signedDays'] {
  return [...days.filter(({ day }) => day !== signed.day), signed].slice(-KEPT)
}
