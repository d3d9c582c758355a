import { FORMER_PRACTICE } from '../../rules/formerPractice'
import type { LimitSet, HouseLine, Line } from '../../rules/limit'
import type { LimitsState } from '../../state/state'
import type { EntryOf, KindOf } from '../guard/kindOf'
import { canonical } from '../../ground/canonical'
import { timeOfDayIn } from '../../ground/timeOfDay'
import { dayOf } from '../../ground/zone'
import { FieldError, flag, id, instant, list, number, object, oneOf, text, whole, type Field } from '../../ground/field'
import { recordMonths } from '../../recipe/plan/monthsKept'
import { isLooser, linesOf } from '../../rules/limitSet'
import { LOTS_ASKED, MEASURE_SYSTEMS, PERMITS, type Practice } from '../../rules/practice'
import { ruleSets } from '../../rules/sets/ruleSets'
import { parseVariance } from '../../rules/parseVariance'
import { parseRule } from '../../rules/parseRule'

declare module '../../ledger/entry' {
  interface Bodies {
    'limits-set': { set: LimitSet }
  }
}

/**
 * The lead puts a version of the limits in force: a rule set as we publish it, with the house's lines. A line that lets
 * through what the rule set does not is refused unless a written variance comes with it.
 */
export const limitsSet: KindOf<'limits-set'> = {
  kind: 'limits-set',
  v: 7,
  about: 'limits',
  may: ['lead'],
  signed: true,
  upcast: ({ set, ...rest }) => {
    const former = set as { practice?: Partial<Practice> }
    return { ...rest, set: { ...former, practice: { ...FORMER_PRACTICE, ...former.practice } } }
  },
  parse(body) {
    return { set: parseSet(object(body, ['set']).set) }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse({ about, at, body: { set } }, read, { zone }) {
    const versions = read('limits', about.id)?.versions ?? []
    const last = versions.at(-1)
    if (set.version !== (last?.version ?? 0) + 1)
      return { code: 'older version', field: 'body', current: last?.version ?? 0 }
    if (set.id !== about.id) return { code: 'not there', field: 'body.set.id', what: 'limits' }
    if (set.from < at - BACKDATED) return { code: 'backdated', field: 'body.set.from' }
    const asked = recordMonths(set, dayOf(set.from, zone))
    if (asked !== null && (set.practice.monthsKept ?? asked) < asked)
      return { code: 'kept too short', field: 'body.set.practice.monthsKept', months: asked }
    const looser = set.lines.find((line) => isLooser(line) && line.variance === null)
    return looser ? { code: 'looser', field: 'body.set.lines', line: looser.key } : null
  },
  begins: { limits: (entry, id) => versionAdded({ id, versions: [], signed: [] }, entry) },
  folds: { limits: versionAdded },
}

/** Limits are in force from now on, never from before: what was judged is judged, ms. */
const BACKDATED = 60_000

function parseSet(field: Field): LimitSet {
  const fields = object(field, ['id', 'version', 'ruleSet', 'from', 'unit', 'guard', 'lines', 'practice'])
  const { key, name, edition } = object(fields.ruleSet, ['key', 'name', 'edition'])
  const set = ruleSets[oneOf(key, Object.keys(ruleSets))]!
  for (const [sent, printed] of [
    [name, set.name],
    [edition, set.edition],
  ] as const) {
    if (sent.value !== printed) throw new FieldError(sent.path, { code: 'not one of', allowed: printed })
  }
  return {
    id: id(fields.id),
    version: whole(fields.version, 1, 1e6),
    ruleSet: { key: set.key, name: set.name, edition: set.edition },
    from: instant(fields.from),
    unit: oneOf(fields.unit, ['C', 'F', 'stricter'] as const),
    guard: oneOf(fields.guard, ['none', 'tolerance'] as const),
    lines: parseLines(fields.lines, linesOf(set)),
    practice: parsePractice(fields.practice),
  }
}

/** The published part must be the one we publish, line for line. */
function parseLines(field: Field, printed: readonly Line[]): Line[] {
  const lines = list(field, (line, i) => {
    const { key, published, house, variance } = object(line, ['key', 'published', 'house', 'variance'])
    const own = printed[i]
    if (!own || key.value !== own.key || canonical(published.value ?? null) !== canonical(own.published)) {
      throw new FieldError(line.path, { code: 'not one of', allowed: 'the published limits of this rule set' })
    }
    return { ...own, house: parseHouse(house), variance: parseVariance(variance) }
  })
  if (lines.length !== printed.length) throw new FieldError(field.path, { code: 'not a list' })
  return lines
}

function parsePractice(field: Field): Practice {
  const names = [
    'susceptible',
    'cleanFirst',
    'warmMinutes',
    'serveMinutes',
    'rewarmings',
    'cookChill',
    'nightHours',
    'rounds',
    'closing',
    'clock',
    'measures',
    'lots',
    'idleMinutes',
    'secondPin',
    'monthsKept',
    'partsPassOn',
    'openedDays',
    'hotHours',
    'freezerAir',
    'frozenUseBy',
    'bakeDays',
    'fruitDays',
    'permits',
  ] as const
  const fields = object(field, names)
  const { susceptible, cleanFirst, warmMinutes, serveMinutes, rewarmings, cookChill, permits } = fields
  const { heatedEggs, susceptiblePlan, packagedAcidity } = object(permits, PERMITS)
  return {
    susceptible: flag(susceptible),
    cleanFirst: flag(cleanFirst),
    warmMinutes: whole(warmMinutes, 1, 240),
    serveMinutes: whole(serveMinutes, 1, 240),
    rewarmings: whole(rewarmings, 0, 5),
    cookChill: flag(cookChill),
    nightHours: whole(fields.nightHours, 1, 16),
    rounds: list(fields.rounds, timeOfDayIn, 12),
    closing: timeOfDayIn(fields.closing),
    // Left out by those who never chose.
    ...(fields.clock.value == null
      ? {}
      : { clock: fields.clock.value === 12 ? 12 : (whole(fields.clock, 24, 24) as 24) }),
    ...(fields.measures.value == null ? {} : { measures: oneOf(fields.measures, MEASURE_SYSTEMS) }),
    ...(fields.lots.value == null ? {} : { lots: oneOf(fields.lots, LOTS_ASKED) }),
    ...(fields.secondPin.value == null ? {} : { secondPin: flag(fields.secondPin) }),
    ...(fields.idleMinutes.value == null ? {} : { idleMinutes: whole(fields.idleMinutes, 5, 240) }),
    ...(fields.monthsKept.value == null ? {} : { monthsKept: whole(fields.monthsKept, 1, 240) }),
    partsPassOn: oneOf(fields.partsPassOn, ['ready to eat', 'every part'] as const),
    openedDays: whole(fields.openedDays, 1, 7),
    hotHours: whole(fields.hotHours, 1, 8),
    freezerAir: number(fields.freezerAir, -40, -5),
    // Left out by those who know of no such school: the use-by binds.
    frozenUseBy: fields.frozenUseBy.value == null ? null : whole(fields.frozenUseBy, 1, 365),
    bakeDays: whole(fields.bakeDays, 1, 366),
    fruitDays: whole(fields.fruitDays, 1, 7),
    permits: {
      heatedEggs: parseVariance(heatedEggs),
      susceptiblePlan: parseVariance(susceptiblePlan),
      packagedAcidity: parseVariance(packagedAcidity),
    },
  }
}

function parseHouse(field: Field): HouseLine | null {
  if (field.value === null) return null
  const { rule, reason } = object(field, ['rule', 'reason'])
  return { rule: parseRule(rule), reason: text(reason, 300) }
}

function versionAdded(state: LimitsState, { claim: { by, at, body } }: EntryOf<'limits-set'>): LimitsState {
  const { id, versions, signed } = state
  return { id, versions: [...versions, body.set], signed: [...signed, { by, at }] }
}
