import {
  tellingStage,
  type Action,
  type BatchState,
  type CoolingPlan,
  type Forecast,
  type GateForecast,
  type Instant,
  type Outcome,
  type Passing,
  type Place,
  type Placement,
  type PlannedStage,
  type Pouring,
} from '@logged-thermal/core'
import { aboutDegrees, clock, limitDegreesOf, span, type Reader } from './figures'
import { limitTitle } from './limitWords'

export const placeWord: Record<Place, string> = {
  counter: 'Counter',
  refrigerator: 'Refrigerator',
  'fan refrigerator': 'Fan refrigerator',
  'blast chiller': 'Blast chiller',
  freezer: 'Freezer',
  'running tap': 'Running tap',
  'ice bath': 'Ice bath',
  'stirred ice bath': 'Ice bath + stir',
}

/** What to do: verb first. */
export function actionWord({ kind, pans, depth }: Action): string {
  switch (kind) {
    case 'stirred ice bath':
      return 'Ice bath + stir'
    case 'ice bath':
      return 'Ice bath'
    case 'blast chiller':
      return 'Blast chiller'
    case 'shallow pans':
      return `Split over ${pans} pans, ${centimetres(depth)} deep, into the cold`
    case 'split':
      return 'Split in two'
  }
}

/** On the key that says it was done. */
export function actionDone({ kind }: Action): string {
  switch (kind) {
    case 'stirred ice bath':
    case 'ice bath':
      return 'Ice bath is on'
    case 'blast chiller':
      return 'It is in the chiller'
    case 'shallow pans':
    case 'split':
      return 'It is split'
  }
}

/** A depth or width, m, in centimetres to half of one. */
export function centimetres(metres: number): string {
  return `${Math.round(metres * 200) / 2} cm`
}

/** 'On course to reach 21° about 13:52 (13:41–14:10), due 14:20.' A time that has passed is no forecast any more. */
export function passingSentence({ level, passing, deadline }: GateForecast, now: Instant, reader: Reader): string {
  const to = limitDegreesOf(level, reader)
  const due = `due ${clock(deadline, reader)}`
  if (passing.median === null) return `Where it stands it does not reach ${to}, ${due}.`
  const about = `about ${clock(passing.median, reader)}`
  if (passing.median <= now) return `It should have reached ${to} ${about}: read it, ${due}.`
  return `On course to reach ${to} ${about} (${passingRange(passing, reader)}), ${due}.`
}

/** The 90 % range of a passing: '13:41–14:10', 'from 13:41'. */
export function passingRange({ low, high }: Passing, reader: Reader): string {
  if (low === null) return 'perhaps never'
  return high === null ? `from ${clock(low, reader)}, perhaps never` : `${clock(low, reader)}–${clock(high, reader)}`
}

/** What a gate will see if nobody acts: '27° at 15:02, limit 21°'. */
export function leftAsItIs({ atDeadline, deadline, level }: GateForecast, reader: Reader): string {
  return `If you do nothing: about ${aboutDegrees(atDeadline, reader)} at ${clock(deadline, reader)}. Limit ${limitDegreesOf(level, reader)}.`
}

/** On what a forecast rests. */
export function groundsSentence({ batches, setting: { place, product } }: Forecast): string {
  if (batches > 0) return `From ${batches} earlier coolings alike in this kitchen.`
  if (place === null) return 'Nobody said where it stands: say so, and the range narrows.'
  return product.guessed
    ? 'Reckoned from its mass and depth; the pot was not measured.'
    : 'Reckoned from its vessel, depth and place.'
}

/** When nothing saves it any more: what the limits leave to the lead. */
export function lostSentence({ checks }: Pick<BatchState, 'checks'>, reader: Reader): string {
  const rework = checks.find(({ limit }) => limit.key === 'rework')
  const again = rework ? `rework it (${limitTitle(rework, reader)}), while its time runs, or` : 'no rework here:'
  return `Nothing left saves it for certain. The food-safety lead decides: ${again} discard it. Until then it is on hold.`
}

export function placedWords({ place, air }: Placement): string {
  return `${placeWord[place]}${air ? `, air ${air.value.toFixed(1)} °${air.unit}` : ''}`
}

export function pouredWords({ vessel, pans, depth }: Pouring): string {
  return `${pans === 1 ? '' : `${pans} × `}${vessel.name}, ${centimetres(depth)} deep`
}

export function planWords(plan: CoolingPlan): string {
  return `Plan: ${pouredWords(plan)}, ${placeWord[plan.place].toLowerCase()}`
}

/** What a choice comes to: its stages as it goes, or why it cannot be done. */
export function outcomeWords({ refused, stages, choice }: Outcome, reader: Reader): string {
  if (refused) return refusedWords[refused]
  const first = tellingStage(stages)
  return first ? plannedWords(first, reader) : `${placeWord[choice.place]}.`
}

export const refusedWords: Record<NonNullable<Outcome['refused']>, string> = {
  'over the rim': 'Does not hold it: more pans.',
  'not for food': 'Not rated for food.',
  'not for hot': 'Not rated for hot food.',
}

/** The same on a small key: '21° in about 52 min', 'too slow: 4 h 46 min'. */
export function plannedInShort({ stage, minutes, says }: PlannedStage, reader: Reader): string {
  const to = limitDegreesOf(stage.to, reader)
  if (!Number.isFinite(minutes.likely)) return `never ${to}`
  const took = span(minutes.likely * 60_000)
  if (says === 'makes it') return `${to} in about ${took}`
  return `${says === 'misses' ? 'too slow' : says}: ${took}`
}

/** '21° in about 52 min of 2 h', '21° in about 3 h: may take 2 h'. */
export function plannedWords({ stage, minutes, says }: PlannedStage, reader: Reader): string {
  const to = limitDegreesOf(stage.to, reader)
  const allowed = span(stage.withinMinutes * 60_000)
  if (!Number.isFinite(minutes.likely)) return `${to} not reached there.`
  const about = `${to} in about ${span(minutes.likely * 60_000)}`
  if (says === 'misses') return `${about}, and may take ${allowed}: too slow.`
  return says === 'too close' ? `${about} of ${allowed}: too close.` : `${about} of ${allowed}.`
}
