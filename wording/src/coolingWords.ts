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
import { speaker, type Spoken } from './catalogue/say'
import { coolingPlanMessages } from './catalogue/coolingPlan'

const say = speaker(coolingPlanMessages)

export function placeWord(key: Place, reader: Spoken): string {
  return say(reader, `place_${key}`)
}

/** What to do: verb first. */
export function actionWord({ kind, pans, depth }: Action, reader: Spoken): string {
  switch (kind) {
    case 'stirred ice bath':
      return say(reader, 'iceBathStir')
    case 'ice bath':
      return say(reader, 'iceBath')
    case 'blast chiller':
      return say(reader, 'blastChiller')
    case 'shallow pans':
      return say(reader, 'splitOverPansDeep', { pans, centimetres: centimetres(depth, reader) })
    case 'split':
      return say(reader, 'splitTwo')
  }
}

/** On the key that says it was done. */
export function actionDone({ kind }: Action, reader: Spoken): string {
  switch (kind) {
    case 'stirred ice bath':
    case 'ice bath':
      return say(reader, 'iceBathOn')
    case 'blast chiller':
      return say(reader, 'itIsInThe')
    case 'shallow pans':
    case 'split':
      return say(reader, 'itIsSplit')
  }
}

/** A depth or width, m, in centimetres to half of one. */
export function centimetres(metres: number, reader: Spoken): string {
  return say(reader, 'cmMetres', { metres: Math.round(metres * 200) / 2 })
}

/** 'On course to reach 21° about 13:52 (13:41–14:10), due 14:20.' A time that has passed is no forecast any more. */
export function passingSentence({ level, passing, deadline }: GateForecast, now: Instant, reader: Reader): string {
  const to = limitDegreesOf(level, reader)
  const due = say(reader, 'dueTime', { time: clock(deadline, reader) })
  if (passing.median === null) return say(reader, 'whereStandsDoesNot', { to, due })
  const about = say(reader, 'aboutTime', { time: clock(passing.median, reader) })
  if (passing.median <= now) return say(reader, 'shouldHaveReachedRead', { to, about, due })
  return say(reader, 'onCourseReach', { to, about, passingRange: passingRange(passing, reader), due })
}

/** The 90 % range of a passing: '13:41–14:10', 'from 13:41'. */
export function passingRange({ low, high }: Passing, reader: Reader): string {
  if (low === null) return say(reader, 'perhapsNever')
  return high === null
    ? say(reader, 'fromPerhapsNever', { time: clock(low, reader) })
    : `${clock(low, reader)}–${clock(high, reader)}`
}

/** What a gate will see if nobody acts: '27° at 15:02, limit 21°'. */
export function leftAsItIs({ atDeadline, deadline, level }: GateForecast, reader: Reader): string {
  return say(reader, 'ifYouDoNothing', {
    degrees: aboutDegrees(atDeadline, reader),
    time: clock(deadline, reader),
    degrees2: limitDegreesOf(level, reader),
  })
}

/** On what a forecast rests. */
export function groundsSentence({ batches, setting: { place, product } }: Forecast, reader: Spoken): string {
  if (batches > 0) return say(reader, 'fromEarlierCoolingsAlike', { batches })
  if (place === null) return say(reader, 'nobodySaidWhereStands')
  return product.guessed ? say(reader, 'reckonedFromItsMass') : say(reader, 'reckonedFromItsVessel')
}

/** When nothing saves it any more: what the limits leave to the lead. */
export function lostSentence({ checks }: Pick<BatchState, 'checks'>, reader: Reader): string {
  const rework = checks.find(({ limit }) => limit.key === 'rework')
  const again = rework
    ? say(reader, 'reworkWhileItsTime', { limit: limitTitle(rework, reader) })
    : say(reader, 'noReworkHere')
  return say(reader, 'nothingLeftSavesFor', { again })
}

export function placedWords({ place, air }: Placement, reader: Spoken): string {
  return `${placeWord(place, reader)}${air ? say(reader, 'airAirUnit', { air: air.value.toFixed(1), unit: air.unit }) : ''}`
}

export function pouredWords({ vessel, pans, depth }: Pouring, reader: Spoken): string {
  return say(reader, 'deepPansVesselCentimetres', {
    pans,
    vessel: vessel.name,
    centimetres: centimetres(depth, reader),
  })
}

export function planWords(plan: CoolingPlan, reader: Spoken): string {
  return say(reader, 'planPouredwordsPlaceword', {
    pouredWords: pouredWords(plan, reader),
    placeWord: placeWord(plan.place, reader).toLowerCase(),
  })
}

/** What a choice comes to: its stages as it goes, or why it cannot be done. */
export function outcomeWords({ refused, stages, choice }: Outcome, reader: Reader): string {
  if (refused) return refusedWords(refused, reader)
  const first = tellingStage(stages)
  return first ? plannedWords(first, reader) : `${placeWord(choice.place, reader)}.`
}

export function refusedWords(key: NonNullable<Outcome['refused']>, reader: Spoken): string {
  return say(reader, `refused_${key}`)
}

/** The same on a small key: '21° in about 52 min', 'too slow: 4 h 46 min'. */
export function plannedInShort({ stage, minutes, says }: PlannedStage, reader: Reader): string {
  const to = limitDegreesOf(stage.to, reader)
  if (!Number.isFinite(minutes.likely)) return say(reader, 'neverTo', { to })
  const took = span(minutes.likely * 60_000, reader)
  if (says === 'makes it') return say(reader, 'inAbout', { to, took })
  return `${says === 'misses' ? say(reader, 'tooSlow') : says}: ${took}`
}

/** '21° in about 52 min of 2 h', '21° in about 3 h: may take 2 h'. */
export function plannedWords({ stage, minutes, says }: PlannedStage, reader: Reader): string {
  const to = limitDegreesOf(stage.to, reader)
  const allowed = span(stage.withinMinutes * 60_000, reader)
  if (!Number.isFinite(minutes.likely)) return say(reader, 'notReachedThere', { to })
  const about = say(reader, 'inAbout2', { to, span: span(minutes.likely * 60_000, reader) })
  if (says === 'misses') return say(reader, 'mayTakeTooSlow', { about, allowed })
  return says === 'too close'
    ? say(reader, 'tooClose', { about, allowed })
    : say(reader, 'aboutAllowed', { about, allowed })
}
