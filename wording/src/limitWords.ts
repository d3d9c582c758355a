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
import { speaker, type Spoken } from './catalogue/say'
import { rulesMessages } from './catalogue/rules'

const say = speaker(rulesMessages)

/** What a limit asks, in few words: '68° for 17 s, or 70° at once', '21° within 2 h of 57°'. */
export function ruleWords(rule: Rule, unit: CodeUnit, reader: Reader): string {
  const reach = (at: Parameters<typeof limitDegrees>[0]) => limitDegrees(at, unit, reader, 'reach')
  const under = (at: Parameters<typeof limitDegrees>[0]) => limitDegrees(at, unit, reader, 'under')
  switch (rule.kind) {
    case 'hold':
      return rule.rows.map(({ at, seconds }) => `${reach(at)} ${held(seconds, reader)}`).join(', or ')
    case 'equivalent':
      return say(reader, 'worthAddedUp', {
        span: minutesSpan(rule.minutes, reader),
        reach: reach(printedAs(rule.reference.atCelsius)),
      })
    case 'reach': {
      const [to, from] = rule.direction === 'falling' ? [under, reach] : [reach, under]
      const { clock } = rule
      const within = say(reader, 'withinSpan', { to: to(rule.to), span: span(rule.withinMinutes * 60_000, reader) })
      if (clock === 'event') return say(reader, 'itsStart', { within })
      if ('after' in clock)
        return say(reader, 'withinFurther', { to: to(rule.to), span: span(rule.withinMinutes * 60_000, reader) })
      return say(reader, 'withinFrom', { within, from: from(clock.crossing) })
    }
    case 'stay': {
      const level =
        rule.side === 'under'
          ? say(reader, 'orUnder', { under: under(rule.level) })
          : say(reader, 'orOver', { reach: reach(rule.level) })
      if (!rule.grace) return say(reader, 'stayAt', { level })
      const grace = span(rule.grace.minutes * 60_000, reader)
      return say(reader, 'stayAtOnePeriod', { level, grace, isOnce: rule.grace.count === 'once' })
    }
    case 'exposure':
      return rule.bands
        .filter(({ fromMinutes }) => fromMinutes > 0)
        .map(({ fromMinutes, then }) =>
          say(reader, 'afterThenSpan', { then, span: span(fromMinutes * 60_000, reader) }),
        )
        .join(', ')
        .concat(say(reader, 'betweenAll', { under: under(rule.low), reach: reach(rule.high) }))
    case 'days':
      return say(reader, 'keepDaysFirstBeing', { days: rule.days })
    case 'hours':
      return say(reader, 'atMostAtOr', {
        span: span(rule.hours * 3_600_000, reader),
        under: rule.under && under(rule.under),
        hasUnder: Boolean(rule.under),
      })
    case 'egg lot':
      return say(reader, 'pasteurizedLotNamed')
    case 'no number':
      return say(reader, 'noNumberRuleSet')
    case 'condition':
      return rule.months
        ? say(reader, 'monthsConditionsMonths', { conditions: conditionWord(rule.needs, reader), months: rule.months })
        : conditionWord(rule.needs, reader)
    case 'tolerance':
      return say(reader, 'rightCFEither', {
        c: rule.within.c,
        f: Math.round(rule.within.f * 10) / 10,
        isC: reader.scale === 'C',
      })
    case 'acidity':
      return rule.rows.map((row) => acidityRow(row, reader)).join('; ')
  }
}

/** The same for a check. */
export function limitTitle(
  { limit: { key, rule, inPlaceOf }, unit, bake }: { limit: Limit; unit: CodeUnit; bake?: ValidatedBake },
  reader: Reader,
): string {
  // A line signed in place of guidance is never shown without it.
  if (inPlaceOf)
    return say(reader, 'inPlaceOf', {
      ruleWords: ruleWords(rule, unit, reader),
      ruleWords2: ruleWords(inPlaceOf.rule, unit, reader),
    })
  if (rule.kind !== 'hold') return ruleWords(rule, unit, reader)
  if (key === 'bake-core')
    return say(reader, 'middleValidateBake', { degrees: limitDegrees(rule.rows[0]!.at, unit, reader, 'reach') })
  // The two rows that a cook aims for: the shortest.
  const short = { ...rule, rows: rule.rows.slice(-2) }
  return bake
    ? say(reader, 'orRulewordsBakewords', {
        ruleWords: ruleWords(short, unit, reader),
        bakeWords: bakeWords(bake, reader),
      })
    : ruleWords(short, unit, reader)
}

/** A bake as the lead validated it: 'baked 32 min at 180°, golden and springs back'. */
export function bakeWords({ oven, minutes, cue }: ValidatedBake, reader: Reader): string {
  return say(reader, 'bakedAt', { span: minutesSpan(minutes, reader), ovenWords: ovenWords(oven, reader), cue })
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
      ? say(reader, 'byStudy', { study: shownBy.study })
      : say(reader, 'byBakesReadAt', { batches: shownBy.batches.length, throughWords: throughWords(reader) })
  return say(reader, 'validatedHoldsUntil', { by, day: dayName(validUntil, reader) })
}

/** What a line of the limits is about. */
export function lineName(key: Line['key'], reader: Spoken): string {
  return lineWord(key, reader)
}

/** Where the limit is from: 'FDA Food Code 2022, 3-401.11(A)(2) · law'. */
export function sourceLine({ limit }: { limit: Limit }, reader: Spoken): string {
  const own = `${sourceOf(limit)} · ${forceWord(limit.force, reader)}`
  const { inPlaceOf } = limit
  return inPlaceOf
    ? say(reader, 'inPlaceOf2', { own, sourceOf: sourceOf(inPlaceOf), forceWord: forceWord(inPlaceOf.force, reader) })
    : own
}

/** Document, edition and section. */
export function sourceOf({ source: { document, edition, section } }: Pick<Limit, 'source'>): string {
  return [[document, edition].filter(Boolean).join(' '), section].filter(Boolean).join(', ')
}

/** How sure we are of a figure and of where it is printed. */
export function confidenceWord(key: Limit['source']['confidence'], reader: Spoken): string {
  return say(reader, `confidence_${key}`)
}

export function forceWord(key: Force, reader: Spoken): string {
  return say(reader, `force_${key}`)
}

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

export function held(seconds: number, reader: Spoken): string {
  return seconds === 0
    ? say(reader, 'atOnce')
    : say(reader, 'forValue', {
        value: seconds % 60 === 0 && seconds >= 60 ? minutesSpan(seconds / 60, reader) : span(seconds * 1000, reader),
      })
}

function printedAs(celsius: number) {
  return { c: celsius, f: celsius * 1.8 + 32 }
}

function acidityRow({ ph, waterActivity }: Extract<Rule, { kind: 'acidity' }>['rows'][number], reader: Spoken): string {
  const bound = ({ most, inclusive }: { most: number; inclusive: boolean }) =>
    `${inclusive ? say(reader, 'upTo') : 'under'} ${most}`
  return [
    ph && say(reader, 'phBound', { bound: bound(ph) }),
    waterActivity && say(reader, 'waterActivity', { bound: bound(waterActivity) }),
  ]
    .filter(Boolean)
    .join(' with ')
}

function conditionWord(key: Extract<Rule, { kind: 'condition' }>['needs'], reader: Spoken): string {
  return say(reader, `conditions_${key}`)
}

function lineWord(key: Line['key'], reader: Spoken): string {
  return say(reader, `lines_${key}`)
}
