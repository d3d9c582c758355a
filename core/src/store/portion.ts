import { MINUTE, type Instant } from '../calendar/instant'
import { dayOf } from '../calendar/zone'
import { isUnitKind } from '../cooling/place'
import type { Id } from '../ledger/entry'
import type { HeatStatus, ItemFacts, Part, Portioned, Spot } from '../ledger/storeEntries'
import { catalogue } from '../ingredient/catalogue'
import type { LimitSet } from '../limits/limit'
import { factsOf, type DietClaim } from '../method/facts'
import { heatPlan } from '../method/heatPlan'
import type { Method } from '../method/method'
import type { BatchState } from '../state/batch'
import { standing } from '../state/fact'
import type { Bounded } from '../trace/reading'
import { mixtureTrace } from '../verdict/evidence'
import { releaseShut, type Shut } from '../verdict/disposition'
import type { Finding } from '../verdict/finding'
import { batchStanding, judgeBatch } from '../verdict/judgeBatch'
import { firstMark } from '../verdict/marks'
import { instantOf } from '../verdict/offHeat'
import type { Dating, Keep } from './dating'
import type { Measure } from './measure'
import { coldLevel } from './unitKind'

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
    dating: datingOf(batch, limits),
    facts: itemFactsOf(batch, method, limits, zone, at),
    ready: readyAt(batch, method),
    coldAt: firstCold(batch, limits, zone, at),
    carried: carriedInto(batch, at),
    unit,
    shelf,
    last,
  }
}

/** What dates a batch's items: the checks it was started with, and the parts that pass theirs on. */
export function datingOf(batch: BatchState, limits: Pick<LimitSet, 'practice'>): Dating {
  const keeps = batch.checks.flatMap(({ limit, evidence }): Keep[] => {
    const { rule, force, source } = limit
    if (rule.kind === 'days') return [{ what: 'days', count: rule.days, from: null, force, source }]
    if (rule.kind !== 'hours' || limit.key === 'serve-by') return []
    return [{ what: 'hours', count: rule.hours, from: firstMark(evidence.from, batch), force, source }]
  })
  const parts = passingOn(batch, limits.practice.partsPassOn === 'every part')
  return {
    prepared: batch.startedAt,
    keeps,
    useBy: null,
    parts: parts.flatMap(({ code, name, lastDay }) => (lastDay === null ? [] : [{ name: `${name} ${code}`, lastDay }])),
  }
}

/** The parts whose date, heat and advisory pass on: those that no floor of the batch killed after. */
export function passingOn({ parts, method }: Pick<BatchState, 'parts' | 'method'>, every = false): Part[] {
  const { killed } = heatPlan(method)
  const at = (key: string) => method.steps.findIndex((step) => step.key === key)
  return parts
    .filter(({ void: gone, value }) => !gone && (every || !killed || at(value.step) > at(killed.step)))
    .map(({ value }) => value.part)
}

/** What its items begin with above the cold limit: the time on the bench, on top of what its worst part brought along. */
function carriedInto(batch: BatchState, at: Instant): Bounded {
  const room = roomTime(batch, at)
  const worst = (bound: keyof Bounded) =>
    room[bound] + Math.max(0, ...passingOn(batch).map(({ carried }) => carried[bound]))
  return { least: worst('least'), likely: worst('likely'), most: worst('most') }
}

/** Time out of the cold while it was put together: from its first part until it went into the cold, ms. */
export function roomTime({ parts, placements, method }: BatchState, at: Instant): Bounded {
  const began = Math.min(...standing(parts).map((part) => part.at))
  if (method.cooling !== 'ambient' || began === Infinity) return { least: 0, likely: 0, most: 0 }
  const cold = placements.filter(({ void: gone, at: when, value }) => !gone && when >= began && isUnitKind(value.place))
  const ms = Math.max(0, Math.min(at, ...cold.map((placed) => placed.at)) - began)
  return { least: ms, likely: ms, most: ms }
}

function itemFactsOf(batch: BatchState, method: Method, limits: LimitSet, zone: string, at: Instant): ItemFacts {
  const own = factsOf(method, () => null)
  const parts = standing(batch.parts).map(({ value }) => value.part)
  const passed = passingOn(batch, limits.practice.partsPassOn === 'every part')
  const added = standing(batch.additions).flatMap(({ value }) => catalogue[value.ingredient]?.allergens ?? [])
  const named = (name: string) => parts.some((part) => part.name === name)
  const unknown = [...own.unknown.filter((name) => !named(name)), ...parts.flatMap(({ facts }) => facts.unknown)]
  // A component that went in is known by its item; one that did not leaves the claims open.
  const ofMethod = own.unknown.length ? factsOf({ ...method, components: [] }, () => null).claims : own.claims
  const claims = unknown.length
    ? []
    : parts.reduce<DietClaim[]>((left, { facts }) => left.filter((claim) => facts.claims.includes(claim)), ofMethod)
  const rawOnPurpose = batch.terms.eggs.unheated === 'shell with advisory' && hasRawShell(batch)
  return {
    allergens: [...new Set([...own.allergens, ...added, ...parts.flatMap(({ facts }) => facts.allergens)])].sort(),
    claims: added.length ? [] : claims,
    advisory: rawOnPurpose || passed.some(({ facts }) => facts.advisory),
    heat: worstHeat([ownHeat(batch, zone, at), ...passed.map(({ facts }) => facts.heat)]),
    needsCold: true,
    unknown,
  }
}

function hasRawShell({ eggs, terms, method }: BatchState): boolean {
  const { killed } = heatPlan(method)
  const at = (key: string) => method.steps.findIndex((step) => step.key === key)
  const heated = (step: string) =>
    terms.eggs.uses.find((use) => use.step === step)?.heated ?? (killed !== null && at(step) <= at(killed.step))
  return eggs.some(({ void: gone, value }) => !gone && value.form === 'shell' && !heated(value.step))
}

/** What heat did to it, by what is proven or the lead has released. */
function ownHeat(batch: BatchState, zone: string, at: Instant): HeatStatus {
  const { killed } = heatPlan(batch.method)
  if (killed) {
    const floors = judgeBatch(batch, { zone }, at).filter(
      ({ check: { limit } }) =>
        ['hold', 'equivalent'].includes(limit.rule.kind) && (limit.force === 'law' || limit.force === 'house'),
    )
    if (floors.length === 0) return hasRawShell(batch) ? 'raw' : 'no heat asked'
    const released = batch.disposition?.value.decision === 'release'
    const proven = floors.every(({ standing }) => standing === 'proven')
    return proven || released ? (hasRawShell(batch) ? 'raw' : 'cooked') : 'raw'
  }
  const eggs = standing(batch.eggs)
  if (eggs.length === 0) return 'no heat asked'
  return eggs.every(({ value }) => value.form === 'pasteurized') ? 'pasteurized' : 'raw'
}

const WORST_FIRST: HeatStatus[] = ['raw', 'no heat asked', 'pasteurized', 'cooked']

function worstHeat(all: HeatStatus[]): HeatStatus {
  return WORST_FIRST.find((each) => all.includes(each)) ?? 'raw'
}

/** Set or aged: when the least that its method gives it to stand has passed. Quality, not safety. */
function readyAt(batch: BatchState, method: Method): Instant | null {
  const { lastHeat, assembled } = heatPlan(batch.method)
  const begins = instantOf(method.cooling === 'stages' && lastHeat ? lastHeat : assembled, batch)
  const minutes = method.steps
    .filter(({ kind }) => kind === 'set' || kind === 'cool')
    .reduce((sum, { key }) => sum + (method.instructions[key]?.passiveMinutes?.least ?? 0), 0)
  return begins === null || minutes === 0 ? null : begins + minutes * MINUTE
}

function firstCold(batch: BatchState, limits: LimitSet, zone: string, at: Instant): Instant | null {
  const level = coldLevel(limits, dayOf(at, zone))
  const { lastHeat, assembled } = heatPlan(batch.method)
  const since = instantOf(batch.method.cooling === 'stages' && lastHeat ? lastHeat : assembled, batch)
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

/** Whether what a batch became may go on: every gate proven, or released by the lead. */
export function isCleared(batch: BatchState, zone: string, now: Instant): boolean {
  const decided = batch.disposition?.value.decision
  if (decided === 'hold' || decided === 'discard' || batch.recalls.length > 0) return false
  return decided === 'release' || batchStanding(standsFor(batch, zone, now)) === 'proven'
}

/** The batch that an item was made of; null for what was made of none. */
export function batchOf({ from }: { from: readonly { type: string; id: Id }[] }): Id | null {
  return from.find(({ type }) => type === 'batch')?.id ?? null
}
