import { id, list, object, oneOf, text, type Field } from '../../ground/field'
import { DAY, type Instant } from '../../ground/instant'
import { addDays, dayOf, startOfDay } from '../../ground/zone'
import type { Claim } from '../../ledger/entry'
import { SIGNED_AT_ONCE, SIGNED_WITHIN, type DaySigned } from '../../ledger/matter'
import { judgeBatch } from '../../judgement/batch/judgeBatch'
import { isSettled } from '../../judgement/log/settled'
import { standingForGood } from '../../judgement/log/standing'
import type { World } from '../../judgement/world'
import type { Standing } from '../../ledger/standing'
import type { Id } from '../../ledger/subject'
import type { BatchState } from '../../state/batch'
import { parseDayField } from '../../rules/parseVariance'
import type { KitchenState } from '../../state/kitchen'
import type { Read } from '../../state/state'
import { CORE_VERSION } from '../../version'
import { BY_THE_LEAD, type KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'day-signed': DaySigned
  }
}

/**
 * The lead signs a day, with how each of its batches stood then: those that began on it, whether the tablet knows of them
 * or not, and whatever else it showed. Nothing is signed over that waits for the lead; what is entered about the day
 * afterwards is known by it.
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
  readsThen: (claim, read, world) => batchesOf(claim, read, world).map((of) => ({ type: 'batch', id: of })),
  refuse(claim, read, world) {
    const { about, kitchen, at, body } = claim
    if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
    if (body.day > dayOf(at, world.zone)) return { code: 'day not over', field: 'body.day', day: body.day }
    if (at - startOfDay(addDays(body.day, 1), world.zone) > SIGNED_WITHIN)
      return { code: 'day long over', field: 'body.day', day: body.day, days: SIGNED_WITHIN / DAY }
    for (const of of batchesOf(claim, read, world)) {
      const batch = read('batch', of)
      if (!batch) return { code: 'not there', field: 'body.batches', what: 'batch' }
      if (!isSettled(batch, judgeBatch(batch, world, at))) return { code: 'matter open', field: 'body.batches' }
    }
    return null
  },
  derive(claim, read, world) {
    const batches = batchesOf(claim, read, world).map((of) => ({
      id: of,
      standing: standingNow(read('batch', of)!, world, claim.at),
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

/** All that began on the day, in the order they were entered, then what else was sent. */
function batchesOf({ kitchen, body }: Claim<'day-signed'>, read: Read, { zone }: World): Id[] {
  const begun = (read('kitchen', kitchen)?.begun ?? []).filter(({ at }) => dayOf(at, zone) === body.day)
  return [...new Set([...begun, ...body.batches].map((batch) => batch.id))]
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
