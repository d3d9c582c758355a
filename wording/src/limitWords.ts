import {
  celsiusOf,
  VALIDATED_CORE,
  type Check,
  type CodeUnit,
  type Force,
  type Limit,
  type Line,
  type Rule,
  type Typed,
  type ValidatedBake,
} from '@logged-thermal/core'
import { dayName, degrees, limitDegrees, minutesSpan, span, type Reader } from './figures'

/** What a limit asks, in few words: '68° for 17 s, or 70° at once', '21° within 2 h of 57°'. */
export function ruleWords(rule: Rule, unit: CodeUnit, reader: Reader): string {
  const reach = (at: Parameters<typeof limitDegrees>[0]) => limitDegrees(at, unit, reader, 'reach')
  const under = (at: Parameters<typeof limitDegrees>[0]) => limitDegrees(at, unit, reader, 'under')
  switch (rule.kind) {
    case 'hold':
      return rule.rows.map(({ at, seconds }) => `${reach(at)} ${held(seconds)}`).join(', or ')
    case 'equivalent':
      return `${minutesSpan(rule.minutes)} worth of ${reach(printedAs(rule.reference.atCelsius))}, added up`
    case 'reach': {
      const [to, from] = rule.direction === 'falling' ? [under, reach] : [reach, under]
      const { clock } = rule
      const within = `${to(rule.to)} within ${span(rule.withinMinutes * 60_000)}`
      if (clock === 'event') return `${within} of its start`
      if ('after' in clock) return `${to(rule.to)} within a further ${span(rule.withinMinutes * 60_000)}`
      return `${within} of ${from(clock.crossing)}`
    }
    case 'stay': {
      const level = rule.side === 'under' ? `${under(rule.level)} or under` : `${reach(rule.level)} or over`
      if (!rule.grace) return `Stay at ${level}`
      const grace = span(rule.grace.minutes * 60_000)
      return `Stay at ${level}; ${rule.grace.count === 'once' ? `one period of up to ${grace} off it` : `${grace} off it in all`}`
    }
    case 'exposure':
      return rule.bands
        .filter(({ fromMinutes }) => fromMinutes > 0)
        .map(({ fromMinutes, then }) => `${then} after ${span(fromMinutes * 60_000)}`)
        .join(', ')
        .concat(` between ${under(rule.low)} and ${reach(rule.high)} in all`)
    case 'days':
      return `Keep ${rule.days} days, the first being the day it is made`
    case 'hours':
      return `${span(rule.hours * 3_600_000)} at most${rule.under ? `, at ${under(rule.under)} or under` : ''}`
    case 'egg lot':
      return 'Pasteurized lot, named'
    case 'no number':
      return 'No number in this rule set: house line needed'
    case 'condition':
      return rule.months ? `${CONDITIONS[rule.needs]}, ${rule.months} months` : CONDITIONS[rule.needs]
    case 'tolerance':
      return `Right to ${reader.scale === 'C' ? `${rule.within.c} °C` : `${Math.round(rule.within.f * 10) / 10} °F`} either way`
    case 'acidity':
      return rule.rows.map(acidityRow).join('; ')
  }
}

/** The same for a check. */
export function limitTitle({ limit: { key, rule, inPlaceOf }, unit, bake }: Check, reader: Reader): string {
  // A line signed in place of guidance is never shown without it.
  if (inPlaceOf) return `${ruleWords(rule, unit, reader)}, in place of ${ruleWords(inPlaceOf.rule, unit, reader)}`
  if (rule.kind !== 'hold') return ruleWords(rule, unit, reader)
  if (key === 'bake-core')
    return `${limitDegrees(rule.rows[0]!.at, unit, reader, 'reach')} in the middle, to validate the bake`
  // The two rows that a cook aims for: the shortest.
  const short = { ...rule, rows: rule.rows.slice(-2) }
  return bake ? `${ruleWords(short, unit, reader)}, or ${bakeWords(bake, reader)}` : ruleWords(short, unit, reader)
}

/** A bake as the lead validated it: 'baked 32 min at 180°, golden and springs back'. */
export function bakeWords({ oven, minutes, cue }: ValidatedBake, reader: Reader): string {
  return `baked ${minutesSpan(minutes)} at ${ovenWords(oven, reader)}, ${cue}`
}

/** An oven as it stands on its dial: whole degrees. */
export function ovenWords(oven: Typed, reader: Reader): string {
  return degrees(celsiusOf(oven), reader).replace(/\.\d/, '')
}

/** How hot the middle of a bake is read to validate it, in the reader's unit: '90 °C'. */
export function throughWords({ scale }: Reader): string {
  return scale === 'C' ? `${VALIDATED_CORE.c} °C` : `${VALIDATED_CORE.f} °F`
}

/** What showed that such a bake heats the middle through. */
export function bakeShownWords({ shownBy, validUntil }: ValidatedBake, reader: Reader): string {
  const by =
    'study' in shownBy
      ? `by a study: ${shownBy.study}`
      : `by ${shownBy.batches.length} bakes read at ${throughWords(reader)}`
  return `Validated ${by}; holds until ${dayName(validUntil, reader)}`
}

/** What a line of the limits is about. */
export function lineName(key: Line['key']): string {
  return LINES[key]
}

/** Where the limit is from: 'FDA Food Code 2022, 3-401.11(A)(2) · law'. */
export function sourceLine({ limit }: Pick<Check, 'limit'>): string {
  const own = `${sourceOf(limit)} · ${forceWord[limit.force]}`
  const { inPlaceOf } = limit
  return inPlaceOf ? `${own}, in place of ${sourceOf(inPlaceOf)} · ${forceWord[inPlaceOf.force]}` : own
}

/** Document, edition and section. */
export function sourceOf({ source: { document, edition, section } }: Pick<Limit, 'source'>): string {
  return [[document, edition].filter(Boolean).join(' '), section].filter(Boolean).join(', ')
}

export const forceWord: Record<Force, string> = { law: 'law', guidance: 'guidance', house: 'house', quality: 'quality' }

/** The gate's short name on the ribbon: '68°', '21°', '5°'. */
export function gateName({ limit: { rule }, unit }: Check, reader: Reader): string {
  if (rule.kind === 'reach')
    return limitDegrees(rule.to, unit, reader, rule.direction === 'falling' ? 'under' : 'reach')
  if (rule.kind === 'stay') return limitDegrees(rule.level, unit, reader, rule.side === 'under' ? 'under' : 'reach')
  if (rule.kind === 'equivalent') return limitDegrees(printedAs(rule.reference.atCelsius), unit, reader, 'reach')
  if (rule.kind !== 'hold') return ''
  const lowestShort = rule.rows.findLast(({ seconds }) => seconds > 0) ?? rule.rows[0]!
  return limitDegrees(lowestShort.at, unit, reader, 'reach')
}

export function held(seconds: number): string {
  return seconds === 0
    ? 'at once'
    : `for ${seconds % 60 === 0 && seconds >= 60 ? minutesSpan(seconds / 60) : span(seconds * 1000)}`
}

function printedAs(celsius: number) {
  return { c: celsius, f: celsius * 1.8 + 32 }
}

function acidityRow({ ph, waterActivity }: Extract<Rule, { kind: 'acidity' }>['rows'][number]): string {
  const bound = ({ most, inclusive }: { most: number; inclusive: boolean }) =>
    `${inclusive ? 'up to' : 'under'} ${most}`
  return [ph && `pH ${bound(ph)}`, waterActivity && `water activity ${bound(waterActivity)}`]
    .filter(Boolean)
    .join(' with ')
}

const CONDITIONS: Record<Extract<Rule, { kind: 'condition' }>['needs'], string> = {
  'pasteurized egg': 'Pasteurized egg instead of raw, unless cooked to the rows',
  advisory: 'Raw or undercooked egg is disclosed, with a reminder',
  'no raw egg': 'No raw or undercooked egg; pasteurized wherever more than one egg is combined',
  'assured eggs': 'Only eggs of an assurance scheme',
  'treated fruit': 'Frozen fruit is treated or boiled',
  'earliest date of the parts': 'Combined foods keep the earliest date of their parts',
  'frozen days stop the count': 'Freezing stops the count of days, and does not restart it',
  discard: 'Over date, over temperature or unmarked: discard',
  'written procedure': 'By a written procedure',
  'records kept': 'Records are kept',
}

const LINES: Record<Line['key'], string> = {
  egg: 'Raw egg, cooked',
  'egg-immediate': 'Raw egg, served at once',
  'egg-guidance': 'Custard base and nog',
  'no-egg': 'Dairy without egg',
  'dairy-hot': 'Dairy for hot holding',
  microwave: 'Microwaved egg',
  reheat: 'Reheated',
  'reheat-time': 'Reheated in time',
  rework: 'Rework of a slow cooling',
  'boil-out': 'Starch boiled out',
  'fruit-boil': 'Frozen fruit boiled',
  'fruit-days': 'Untreated frozen fruit, kept',
  'bake-core': 'Baked through, in the middle',
  ceiling: 'Ceiling',
  'cool-first': 'Cooling, first stage',
  'cool-second': 'Cooling, second stage',
  'cool-total': 'Cooling, in all',
  'cool-ambient': 'Cooling from room temperature',
  rewarmed: 'Melted again, back to the cold',
  'chill-begin': 'Cook-chill, start',
  'chill-total': 'Cook-chill, cooling',
  'chill-holding': 'Cook-chill, held',
  'chill-warm': 'Cook-chill, once warmer',
  'chill-days': 'Cook-chill, days',
  'cold-holding': 'Held cold',
  'hot-holding': 'Held hot',
  exposure: 'Out of the cold, in all',
  'shell-egg-air': 'Air around shell eggs',
  'received-cold': 'Received cold',
  'received-milk': 'Received milk',
  'thaw-water': 'Thawing water',
  'date-marking': 'Keeping days',
  'house-days': 'Keeping days of the method',
  'serve-by': 'From the heat to the guest',
  'raw-class': 'Raw egg, kept',
  'opened-package': 'Opened package',
  'combined-parts': 'Assembled dishes',
  freezing: 'Frozen',
  'over-limit': 'Over a limit',
  'time-control': 'Time as the only control',
  'time-control-cold': 'Time as the only control, from cold',
  'pasteurized-egg': 'Unheated egg',
  'raw-egg': 'Raw egg',
  advisory: 'Advisory',
  susceptible: 'Highly susceptible people',
  'acidity-packaged': 'Kept by its pH, packaged',
  acidity: 'Kept by its pH',
  thermometer: 'Food thermometer',
  'air-thermometer': 'Air thermometer',
  records: 'Records',
  'egg-product': 'Egg product or frozen mix',
}
