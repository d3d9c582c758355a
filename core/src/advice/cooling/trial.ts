import { type Cover, facesIn } from '../../physics/cooling/faces'
import type { CoolingStage } from '../../rules/compared'
import { mixtureProperties } from '../../physics/material/properties'
import { depthOf, filledTo, type Vessel } from '../../physics/cooling/vessel'
import { litresOf, type Load } from './choice'
import type { Shape } from '../../physics/conduction/grid'
import { iceMelted } from './ice'
import { placeFigures, type Place } from '../../physics/cooling/place'
import {
  simulateCooldown,
  type Cooldown,
  type CooldownSetup,
  type CooldownPhase,
} from '../../physics/cooling/simulateCooldown'

/** A way to cool that is tried before anything is poured. */
export interface Trial {
  load: Load
  vessel: Vessel
  pans: number
  cover: Cover
  /** Minutes in a stirred ice bath first. */
  iceFirst: number
  place: Place
  /** Put into the baths, kg over all pans. */
  ice: number
}

/** What a trial comes to: simulated with the likely coefficients, and with the least and the most of their range. */
export interface TrialResult {
  trial: Trial
  /** m. */
  depth: number
  /** Minutes from the start of the clock, and the core, °C: as likely as not. */
  curve: { minutes: number; celsius: number }[]
  stages: TrialStage[]
  /** kg of ice that melts over all pans; 0 without a bath. */
  ice: number
  /** After so many minutes what was put in has melted; null: it lasts. */
  iceGone: number | null
  /** Heat given off in the steepest quarter of an hour, W, over all pans, into the last place. */
  watts: number
}

/** Minutes that a stage takes: with the most, the likely and the least heat passing; null: not within the time tried. */
export interface TrialStage {
  stage: CoolingStage
  least: number | null
  likely: number | null
  most: number | null
}

/** Likely longer than it may take. */
export function isTooLate({ stage, likely }: TrialStage): boolean {
  return likely === null || likely > stage.withinMinutes
}

/** In time only if no less heat passes than is likely. */
export function isTooClose(made: TrialStage): boolean {
  return !isTooLate(made) && (made.most === null || made.most > made.stage.withinMinutes)
}

/** In time even with the least heat passing. */
export function isSure(made: TrialStage): boolean {
  return !isTooLate(made) && !isTooClose(made)
}

/** So long is tried, minutes. */
export const TRIED = 9 * 60
const EVERY = 120

/** Cools a trial by simulation. A rectangular pan is reckoned as a round one with the same side for its volume. */
export function tryOut(trial: Trial, stages: readonly CoolingStage[]): TrialResult {
  const depth = depthOf(litresOf(trial.load), trial.vessel.inside, trial.pans)
  const likely = simulateCooldown(setupOf(trial, depth, 'likely'))
  const slow = simulateCooldown(setupOf(trial, depth, 'least'))
  const quick = simulateCooldown(setupOf(trial, depth, 'most'))
  const began = clockStart(likely, stages)
  const times = (cooldown: Cooldown) => stages.map((stage, i) => stageMinutes(cooldown, stage, stages[i - 1]))
  const [least, middle, most] = [times(quick), times(likely), times(slow)]
  return {
    trial,
    depth,
    curve: likely.at.map((at, i) => ({ minutes: at / 60 - began, celsius: likely.core[i]! })),
    stages: stages.map((stage, i) => ({ stage, least: least[i]!, likely: middle[i]!, most: most[i]! })),
    ice: iceMelted(trial.load, likely, bathMinutes(trial)),
    iceGone: iceGoneAfter(trial, likely),
    watts: steepest(trial, likely),
  }
}

/** A round product with the same depth, and the same side surface for its volume. */
export function asRound(shape: Shape): Shape {
  if (shape.kind === 'cylinder') return shape
  const { length, width, height } = shape
  return { kind: 'cylinder', radius: (length * width) / (length + width), height }
}

function setupOf(
  { load, vessel, iceFirst, cover, place }: Trial,
  depth: number,
  bound: 'least' | 'likely' | 'most',
): CooldownSetup {
  const phase = (where: Place, minutes: number): CooldownPhase => {
    const { surroundings, stirEveryMinutes } = placeFigures[where]
    return {
      minutes,
      surroundings: surroundings.celsius,
      ...facesIn(where, vessel.wall, cover, bound),
      ...(stirEveryMinutes === null ? {} : { stirEveryMinutes }),
    }
  }
  return {
    shape: asRound(filledTo(vessel.inside, Math.max(0.003, depth))),
    properties: { composition: load.composition },
    start: load.celsius,
    every: EVERY,
    phases: [...(iceFirst > 0 ? [phase('stirred ice bath', iceFirst)] : []), phase(place, TRIED - iceFirst)],
  }
}

function bathMinutes({ place, iceFirst }: Trial): number {
  return place === 'ice bath' || place === 'stirred ice bath' ? TRIED : iceFirst
}

function iceGoneAfter(trial: Trial, cooldown: Cooldown): number | null {
  const bath = bathMinutes(trial)
  const gone = cooldown.at.find(
    (seconds) => seconds <= bath * 60 && iceMelted(trial.load, cooldown, seconds / 60) > trial.ice,
  )
  return gone === undefined ? null : gone / 60
}

/** Minutes until the core passes a level; 0 where it starts under it, null where it never does. */
export function minutesTo({ at, core }: Cooldown, level: number): number | null {
  const index = core.findIndex((celsius) => celsius <= level)
  if (index <= 0) return index === 0 ? 0 : null
  const part = (core[index - 1]! - level) / (core[index - 1]! - core[index]!)
  return (at[index - 1]! + part * (at[index]! - at[index - 1]!)) / 60
}

function clockStart(cooldown: Cooldown, [first]: readonly CoolingStage[]): number {
  return first && first.clock !== 'event' ? (minutesTo(cooldown, first.from) ?? 0) : 0
}

function stageMinutes(cooldown: Cooldown, stage: CoolingStage, before: CoolingStage | undefined): number | null {
  const end = minutesTo(cooldown, stage.to)
  const from =
    stage.clock === 'event' ? 0 : minutesTo(cooldown, stage.clock === 'previous' && before ? before.to : stage.from)
  return end === null || from === null ? null : end - from
}

const QUARTER = 15 * 60

/** The most heat it gives off over a quarter of an hour once it stands in its last place, W. */
function steepest({ load, iceFirst }: Trial, { at, mean }: Cooldown): number {
  const { specificHeat } = mixtureProperties(load.composition, 35)
  const step = Math.max(1, Math.round(QUARTER / EVERY))
  let most = 0
  for (let i = 0; i + step < at.length; i++)
    if (at[i]! >= iceFirst * 60) most = Math.max(most, (mean[i]! - mean[i + step]!) / (at[i + step]! - at[i]!))
  return load.kilograms * specificHeat * most
}
