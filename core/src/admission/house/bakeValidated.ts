import type { Id } from '../../ledger/subject'
import { type ValidatedBake, VALIDATING_BAKES } from '../../recipe/checks/signed'
import { addDays, dayOf } from '../../ground/zone'
import { MINUTE, type Instant } from '../../ground/instant'
import { id, list, number, object, text, typedTemperature, whole, type Field } from '../../ground/field'
import type { BakeNotShown, Refusal } from '../guard/refusal'
import { families } from '../../recipe/method/families'
import { limitsAt } from '../../rules/limitSet'
import { heatPlan } from '../../recipe/method/heatPlan'
import type { Method } from '../../recipe/method/method'
import { celsiusOf, SAME_DEGREE } from '../../ground/temperature'
import type { BatchState } from '../../state/batch'
import { approvedOf } from '../../state/method'
import { SAME_DEPTH } from '../../judgement/batch/baked'
import { shownBake } from '../../judgement/batch/shownBake'
import type { KindOf } from '../guard/kindOf'
import { parseDayField } from '../../rules/parseVariance'

declare module '../../ledger/entry' {
  interface Bodies {
    /** null: taken back, and it is read in the middle again. */
    'bake-validated': { limits: Id; step: string; bake: Omit<ValidatedBake, 'step'> | null }
  }
}

/**
 * The lead signs that crumb or dry pieces of a method are heated through by oven, minutes and cue: after three bakes of
 * this version read at 90 °C in the middle, none in a hotter oven or sooner read than signed, or by a written study.
 */
export const bakeValidated: KindOf<'bake-validated'> = {
  kind: 'bake-validated',
  v: 1,
  about: 'method',
  may: ['lead'],
  signed: true,
  parse(body) {
    const { limits, step, bake } = object(body, ['limits', 'step', 'bake'])
    return { limits: id(limits), step: text(step, 40), bake: bake.value === null ? null : parseBake(bake) }
  },
  writes: ({ about }) => [about],
  reads: ({ body: { limits, bake } }) => [
    { type: 'limits', id: limits },
    ...(bake && 'batches' in bake.shownBy
      ? bake.shownBy.batches.map((batch) => ({ type: 'batch' as const, id: batch }))
      : []),
  ],
  refuse({ about, at, body: { limits: of, step, bake } }, read, { zone }) {
    const method = approvedOf(read('method', about.id))
    if (!method) return { code: 'not there', field: 'about.id', what: 'method' }
    if (bake === null) return null
    const limits = limitsAt(read('limits', of)?.versions ?? [], at)
    if (!limits) return { code: 'not there', field: 'body.limits', what: 'limits' }
    if (bake.version !== method.version) return { code: 'older version', field: 'body', current: method.version }
    if (!families[method.family].crumb) return { code: 'not crumb', field: 'about.id' }
    if (heatPlan(method).killed?.step !== step || !isBake(method, step))
      return { code: 'not there', field: 'body.step', what: 'step' }
    const day = dayOf(at, zone)
    const last = addDays(day, limits.practice.bakeDays)
    if (bake.validUntil < day || bake.validUntil > last)
      return { code: 'signed too long', field: 'body.bake.validUntil', last }
    if ('study' in bake.shownBy) return null
    if (bake.shownBy.batches.length < VALIDATING_BAKES) return { code: 'bakes wanting', field: 'body.bake.shownBy' }
    const since = at - limits.practice.bakeDays * 24 * 60 * MINUTE
    for (const batch of bake.shownBy.batches) {
      const refusal = notShown(read('batch', batch), method, step, bake, since, zone, at)
      if (refusal) return refusal
    }
    return null
  },
  folds: {
    method: (state, { claim: { body } }) => ({
      ...state,
      signed: { ...state.signed, bake: body.bake && { step: body.step, ...body.bake } },
    }),
  },
}

function parseBake(field: Field): Omit<ValidatedBake, 'step'> {
  const { version, oven, minutes, cue, shownBy, validUntil } = object(field, [
    'version',
    'oven',
    'minutes',
    'cue',
    'shownBy',
    'validUntil',
  ])
  return {
    version: whole(version, 1, 1e6),
    oven: typedTemperature(oven),
    minutes: number(minutes, 1, 1440),
    cue: text(cue, 120),
    shownBy: parseShown(shownBy),
    validUntil: parseDayField(validUntil),
  }
}

function parseShown(field: Field): ValidatedBake['shownBy'] {
  const { batches, study } = object(field, ['batches', 'study'])
  if (study.value !== undefined) return { study: text(study, 300) }
  const found = [...new Set(list(batches, id, VALIDATING_BAKES))]
  return { batches: found }
}

function isBake({ steps }: Method, step: string): boolean {
  return steps.some(({ key, kind }) => key === step && kind === 'bake')
}

/** Why a batch does not show that this bake heats it through; null when it does. */
function notShown(
  batch: BatchState | null,
  method: Method,
  step: string,
  { version, oven, minutes }: Omit<ValidatedBake, 'step'>,
  since: Instant,
  zone: string,
  now: Instant,
): Refusal | null {
  if (!batch) return { code: 'not there', field: 'body.bake.shownBy', what: 'batch' }
  const shows = (why: BakeNotShown): Refusal => ({
    code: 'bake not shown',
    field: 'body.bake.shownBy',
    batch: batch.code,
    why,
  })
  if (batch.method.id !== method.id || batch.method.version !== version || batch.startedAt < since)
    return shows('other method')
  const shown = shownBake(batch, zone, now)
  if (!shown || shown.step !== step) return shows('not read')
  if (shown.depth < method.vessel.fillDepth - SAME_DEPTH) return shows('shallower')
  if (celsiusOf(shown.oven) > celsiusOf(oven) + SAME_DEGREE) return shows('hotter oven')
  return shown.minutes > minutes ? shows('longer') : null
}
