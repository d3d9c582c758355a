import { MINUTE, type Instant } from '../../ground/instant'
import { dayOf } from '../../ground/zone'
import { isUnitKind } from '../../physics/cooling/place'
import type { Id } from '../../ledger/subject'
import type { HeatStatus, ItemFacts, Part, Portioned, Spot } from '../../ledger/storeEntries'
import { catalogue } from '../../recipe/ingredient/catalogue'
import type { LimitSet } from '../../rules/limit'
import { factsOf, type DietClaim } from '../../recipe/method/facts'
import { heatPlan } from '../../recipe/method/heatPlan'
import type { Method } from '../../recipe/method/method'
import { unanswered, type BatchState } from '../../state/batch'
import { standing } from '../../state/fact'
import { HOTTEST, SAME_DEGREE } from '../../ground/temperature'
import type { Bounded } from '../../physics/trace/reading'
import { addInterval } from '../../physics/trace/timeInBand'
import { mixtureTrace } from '../evidence/evidence'
import { holdsUntreatedFruit, isMoistened } from '../batch/checksNow'
import { isReleased, releaseShut, type Shut } from '../batch/disposition'
import { timelineOf } from '../timeline/timeline'
import type { Finding } from '../finding'
import { batchStanding, judgeBatch } from '../batch/judgeBatch'
import type { Dating, Keep } from '../../ledger/dating'
import type { Measure } from '../../ground/measure'
import { coldLevel } from '../../recipe/checks/unitKind'

/** What the person says when some of a batch is put away; all else follows from the batch. */
export interface PutAway extends Spot {
  code: string
  as: Portioned['as']
  measure: Measure
  last: boolean
}

/** An item of a batch: its dates from the checks the batch is held to, its allergens and heat from all that is in it. */
export function portionOf(
  batch: BatchState,
  method: Method,
  { code, as, measure, last, unit, shelf }: PutAway,
  limits: LimitSet,
  zone: string,
  at: Instant,
): Portioned {
  const name = as === 'portion' ? method.name : `${method.name}, ${as}`
  return {
    batch: batch.id,
    batchCode: batch.code,
    method: method.id,
    code,
    name,
    as,
    measure,
    dating: datingOf(batch, limits, zone, at),
    facts: itemFactsOf(batch, method, limits, zone, at),
    ready: readyAt(batch, method),
    coldAt: firstCold(batch, limits, zone, at),
    carried: carriedInto(batch, limits, zone, at),
    unit,
    shelf,
    last,
  }
}

/** What dates a batch's items: the checks it was started with, and the parts that pass theirs on. */
export function datingOf(batch: BatchState, limits: Pick<LimitSet, 'practice'>, zone: string, at: Instant): Dating {
  const proven = isFloorProven(batch, zone, at)
  const { raw, marks } = timelineOf(batch)
  // What went in raw and is not proven to be cooked counts the hours of the raw class, whatever its method said.
  const isRaw = raw.some(({ what }) => what !== 'fruit') && !proven
  const has = batch.checks.some(({ limit }) => limit.key === 'raw-class')
  const checks = [
    ...batch.checks,
    ...(isRaw && !has ? batch.terms.ifRaw.hours : []),
    ...(isMoistened(batch) ? batch.terms.ifMoist : []),
    ...(holdsUntreatedFruit(batch) ? batch.terms.ifFruit : []),
  ]
  const keeps = checks.flatMap(({ limit, evidence }): Keep[] => {
    const { rule, force, source } = limit
    if (rule.kind === 'days') return [{ what: 'days', count: rule.days, from: null, force, source }]
    if (rule.kind !== 'hours' || limit.key === 'serve-by') return []
    const from = marks.first(evidence.from) ?? (raw.length ? Math.min(...raw.map((each) => each.at)) : null)
    return [{ what: 'hours', count: rule.hours, from, force, source }]
  })
  const parts = passingOn(batch, limits.practice.partsPassOn === 'every part', proven)
  return { prepared: batch.startedAt, keeps, useBy: null, parts: parts.flatMap(datesOfPart) }
}

/** The dates that a part passes on: each as an instant with its kind, where it says them. */
function datesOfPart({ code, name, lastDay, walls }: Part): Dating['parts'] {
  const called = `${name} ${code}`
  if (walls?.length)
    return walls.map((wall) => ({ name: called, lastDay: wall.lastDay, until: wall.until, kind: wall.kind }))
  return lastDay === null ? [] : [{ name: called, lastDay }]
}

/**
 * The parts whose date, heat and advisory pass on: all but those that went in before a floor that is proven, and were not
 * ready to eat. A release proves nothing, and no heat makes what was ready younger.
 * @param proven whether every floor of the batch is proven, by readings
 */
export function passingOn(
  { method, facts: { 'part-used': parts } }: Pick<BatchState, 'facts' | 'method'>,
  every: boolean,
  proven: boolean,
): Part[] {
  const { killed } = heatPlan(method)
  const at = (key: string) => method.steps.findIndex((step) => step.key === key)
  return standing(parts)
    .filter(({ value }) => every || isReady(value.part) || !proven || !killed || at(value.step) > at(killed.step))
    .map(({ value }) => value.part)
}

function isReady({ ready, facts }: Part): boolean {
  return ready ?? facts.heat === 'cooked'
}

/** Whether every floor that its heat is held to is proven by readings; without a floor nothing is. */
export function isFloorProven(batch: BatchState, zone: string, at: Instant): boolean {
  const floors = floorsOf(batch, zone, at)
  return floors.length > 0 && floors.every(({ standing: of }) => of === 'proven')
}

function floorsOf(batch: BatchState, zone: string, at: Instant): Finding[] {
  return judgeBatch(batch, { zone }, at).filter(
    ({ check: { limit, evidence } }) =>
      ['hold', 'equivalent'].includes(limit.rule.kind) &&
      (limit.force === 'law' || limit.force === 'house') &&
      evidence.of === 'mixture' &&
      limit.key !== 'reheat',
  )
}

/** What its items begin with above the cold limit: the time on the bench, on top of what its worst part brought along. */
function carriedInto(batch: BatchState, limits: LimitSet, zone: string, at: Instant): Bounded {
  const room = roomTime(batch, at)
  const own = warmInBatch(batch, limits, zone, at)
  // The longest of its parts, never their sum; and no later heat clears it: a floor kills cells, not toxins.
  const worst = (bound: keyof Bounded) =>
    Math.round(
      Math.max(room[bound], own[bound]) +
        Math.max(0, ...standing(batch.facts['part-used']).map(({ value }) => value.part.carried[bound])),
    )
  return { least: worst('least'), likely: worst('likely'), most: worst('most') }
}

/** How long the batch itself was above the cold limit once it had been cold, ms: between its readings, and since the last. */
function warmInBatch(batch: BatchState, limits: LimitSet, zone: string, at: Instant): Bounded {
  const cold = firstCold(batch, limits, zone, at)
  const level = coldLevel(limits, dayOf(at, zone))
  const sum: Bounded = { least: 0, likely: 0, most: 0 }
  if (cold === null || !level) return sum
  const read = mixtureTrace(batch).filter((each) => each.at >= cold && each.at <= at)
  const isWarm = (celsius: number) => celsius > level.celsius + SAME_DEGREE
  read.slice(1).forEach((next, i) => {
    const last = read[i]!
    if (isWarm(last.celsius) || isWarm(next.celsius))
      addInterval(sum, last.celsius, next.celsius, next.at - last.at, level.celsius, HOTTEST)
  })
  const last = read.at(-1)
  if (last && isWarm(last.celsius)) sum.most += at - last.at
  return sum
}

/** Time out of the cold while it was put together: from its first part until it went into the cold, ms. */
export function roomTime(
  { method, facts: { 'part-used': parts, placed: placements } }: BatchState,
  at: Instant,
): Bounded {
  const began = Math.min(...standing(parts).map((part) => part.at))
  if (method.cooling !== 'ambient' || began === Infinity) return { least: 0, likely: 0, most: 0 }
  const cold = placements.filter(({ void: gone, at: when, value }) => !gone && when >= began && isUnitKind(value.place))
  const ms = Math.max(0, Math.min(at, ...cold.map((placed) => placed.at)) - began)
  return { least: ms, likely: ms, most: ms }
}

function itemFactsOf(batch: BatchState, method: Method, limits: LimitSet, zone: string, at: Instant): ItemFacts {
  const own = factsOf(method, () => null)
  const parts = standing(batch.facts['part-used']).map(({ value }) => value.part)
  const passed = passingOn(batch, limits.practice.partsPassOn === 'every part', isFloorProven(batch, zone, at))
  const added = standing(batch.facts.added).flatMap(({ value }) => catalogue[value.ingredient]?.allergens ?? [])
  const named = (name: string) => parts.some((part) => part.name === name)
  const unknown = [...own.unknown.filter((name) => !named(name)), ...parts.flatMap(({ facts }) => facts.unknown)]
  // A component that went in is known by its item; one that did not leaves the claims open.
  const ofMethod = own.unknown.length ? factsOf({ ...method, components: [] }, () => null).claims : own.claims
  const claims = unknown.length
    ? []
    : parts.reduce<DietClaim[]>((left, { facts }) => left.filter((claim) => facts.claims.includes(claim)), ofMethod)
  const heat = worstHeat([ownHeat(batch, zone, at), ...passed.map(({ facts }) => facts.heat)])
  const egg = timelineOf(batch).raw.some(({ what }) => what === 'egg') || batch.terms.eggs.uses.length > 0
  return {
    allergens: [...new Set([...own.allergens, ...added, ...parts.flatMap(({ facts }) => facts.allergens)])].sort(),
    claims: added.length ? [] : claims,
    // The word to the guest is for raw or undercooked egg, never for fruit.
    advisory: (heat === 'raw' && egg) || passed.some(({ facts }) => facts.advisory),
    ...(holdsUntreatedFruit(batch) ? { untreatedFruit: true as const } : {}),
    heat,
    needsCold: batch.method.cooling !== 'dry' || isMoistened(batch) || heat === 'raw',
    unknown,
  }
}

/** What heat did to it, by what is proven: a release is no proof. */
function ownHeat(batch: BatchState, zone: string, at: Instant): HeatStatus {
  const { raw } = timelineOf(batch)
  if (raw.some(({ onPurpose }) => onPurpose)) return 'raw'
  const { killed } = heatPlan(batch.method)
  if (killed) {
    const floors = floorsOf(batch, zone, at)
    if (floors.length === 0) return raw.length ? 'raw' : 'no heat asked'
    return floors.every(({ standing: of }) => of === 'proven') ? 'cooked' : 'raw'
  }
  if (raw.length > 0) return 'raw'
  const eggs = standing(batch.facts['eggs-taken'])
  if (eggs.length > 0) return 'pasteurized'
  // Egg that the method takes and nobody named is raw until somebody does.
  return batch.terms.eggs.uses.some(({ grams }) => grams > 0) &&
    standing(batch.facts['part-used']).every(({ value }) => value.part.egg === null)
    ? 'raw'
    : 'no heat asked'
}

const WORST_FIRST: HeatStatus[] = ['raw', 'no heat asked', 'pasteurized', 'cooked']

function worstHeat(all: HeatStatus[]): HeatStatus {
  return WORST_FIRST.find((each) => all.includes(each)) ?? 'raw'
}

/** Set or aged: when the least that its method gives it to stand has passed. Quality, not safety. */
function readyAt(batch: BatchState, method: Method): Instant | null {
  const { lastHeat, assembled } = heatPlan(batch.method)
  const begins = timelineOf(batch).at(method.cooling === 'stages' && lastHeat ? lastHeat : assembled)
  const minutes = method.steps
    .filter(({ kind }) => kind === 'set' || kind === 'cool')
    .reduce((sum, { key }) => sum + (method.instructions[key]?.passiveMinutes?.least ?? 0), 0)
  return begins === null || minutes === 0 ? null : begins + minutes * MINUTE
}

function firstCold(batch: BatchState, limits: LimitSet, zone: string, at: Instant): Instant | null {
  const level = coldLevel(limits, dayOf(at, zone))
  const { lastHeat, assembled } = heatPlan(batch.method)
  const since = timelineOf(batch).at(batch.method.cooling === 'stages' && lastHeat ? lastHeat : assembled)
  if (!level || since === null) return null
  const cold = mixtureTrace(batch).find((read) => read.at >= since && read.at <= at && read.celsius <= level.celsius)
  return cold?.at ?? null
}

/** What of a batch counts for what was made of it: not its own dates, for an item has its own, which the frost stops. */
function standsFor(batch: BatchState, zone: string, now: Instant): Finding[] {
  return judgeBatch(batch, { zone }, now).filter(({ check }) => !['days', 'hours'].includes(check.limit.rule.kind))
}

/** Why the lead cannot let go on what was made of a batch, as the batch itself could not be released; null when it can be. */
export function releaseBar(batch: BatchState, zone: string, now: Instant): Shut | null {
  return releaseShut(standsFor(batch, zone, now))
}

/** Whether what a batch became may go on: every gate proven, or released by the lead and no worse since. */
export function isCleared(batch: BatchState, zone: string, now: Instant): boolean {
  const { disposition, recalls } = batch
  const decided = disposition?.void ? undefined : disposition?.value.decision
  if (decided === 'hold' || decided === 'discard' || recalls.length > 0) return false
  const findings = standsFor(batch, zone, now)
  if (isReleased(batch, findings)) return true
  return unanswered(batch).length === 0 && batchStanding(findings) === 'proven'
}

/** The batch that an item was made of; null for what was made of none. */
export function batchOf({ from }: { from: readonly { type: string; id: Id }[] }): Id | null {
  return from.find(({ type }) => type === 'batch')?.id ?? null
}
