import type { Mark, StepMark } from '../../rules/rule'
import type { Procedure, Step, StepKind } from './method'

/** Which marks of a method begin and end what its checks look at. */
export interface HeatPlan {
  /** When the mixture is whole: readings before it are of parts. */
  combined: Mark
  /** The end of the step that has to kill; null when no step heats the mixture. */
  killed: StepMark | null
  /** The end of the last heat of any kind: a cooling after heat starts there. */
  lastHeat: StepMark | null
  /** When a dessert made at room temperature was put together: an ambient cooling starts there. */
  assembled: Mark
}

const KILLS: readonly StepKind[] = ['cook', 'boil out', 'bake']
const HEATS: readonly StepKind[] = [...KILLS, 'heat dairy', 'infuse', 'reheat']
const JOINS: readonly StepKind[] = ['temper', 'combine']
const BUILDS: readonly StepKind[] = ['fold', 'whip', 'combine', 'assemble', 'add after heat']

/**
 * The heat of a method. The step that kills is the last one that heats the mixture itself; where only a part is cooked
 * (a syrup) and then poured into the rest, it is the step that combines them, for the syrup's temperature is not the
 * foam's.
 */
export function heatPlan({ steps }: Pick<Procedure, 'steps'>): HeatPlan {
  const heated = last(steps, ({ kind, measures }) => KILLS.includes(kind) && measures === 'mixture')
  const part = last(steps, ({ kind, measures }) => KILLS.includes(kind) && measures !== 'mixture')
  const poured = heated ? null : part && first(steps, ({ kind }, i) => kind === 'combine' && i > steps.indexOf(part))
  const kill = heated ?? poured
  const until = kill ? steps.indexOf(kill) : steps.length
  const joins = last(steps, ({ kind }, i) => JOINS.includes(kind) && i <= until)
  const heat = poured ?? last(steps, ({ kind }) => HEATS.includes(kind))
  const builds = last(steps, ({ kind }, i) => BUILDS.includes(kind) && (!heat || i > steps.indexOf(heat)))
  return {
    combined: joins ? { step: joins.key, edge: 'combined' } : 'batch started',
    killed: kill ? { step: kill.key, edge: 'done' } : null,
    lastHeat: heat ? { step: heat.key, edge: 'done' } : null,
    assembled: builds ? { step: builds.key, edge: 'combined' } : 'batch started',
  }
}

function last(steps: readonly Step[], test: (step: Step, index: number) => boolean): Step | null {
  return steps.findLast(test) ?? null
}

function first(steps: readonly Step[], test: (step: Step, index: number) => boolean): Step | null {
  return steps.find(test) ?? null
}
