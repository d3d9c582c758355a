import type { Instant } from '../../ground/instant'
import type { StepKind } from '../../recipe/method/method'
import { isPressing, type Attention } from '../attention'
import type { Guide, Todo } from './guide'

/** Beside these whatever the hands could do is small. */
const ALONE: readonly Attention['kind'][] = [
  'rescue',
  'lost',
  'discard',
  'decide',
  'held',
  'closed',
  'serve',
  'keep',
  'use today',
]
/** On the heat nothing stands before the reading; starch on the boil has a time of its own. */
const ON_THE_HEAT: readonly StepKind[] = ['cook', 'bake', 'reheat']

/**
 * The one thing a batch asks for at the bench: what readings and limits ask, or what the hands have to do. What may
 * still be lost comes first, then what is due, then the hands, then what is due later.
 */
export function leading(asks: Attention, { now: step, window, todos }: Guide, now: Instant): Todo | 'asks' {
  const [first] = todos
  // Folded in while it is warm, or not at all: what can still be saved in an hour waits for that.
  const canWait = window !== null && asks.kind === 'rescue' && !isPressing(asks, now)
  if (!first || (ALONE.includes(asks.kind) && !canWait)) return 'asks'
  // On the boil nothing covers its minute: what is asked beside it stands small.
  if (step?.kind === 'boil out') return todos.find(isStep) ?? first
  // What goes into the oven later is made first.
  if (asks.kind === 'mark' && asks.edge === 'started' && step?.kind !== 'bake') return first
  // A validated bake goes by the oven and the clock.
  const bakes = step?.kind === 'bake' && 'finding' in asks && asks.finding?.check.bake !== undefined
  if (bakes || (asks.kind === 'mark' && step?.kind === 'bake')) return todos.find(isStep) ?? first
  // Starch goes on to the boil, where all else comes off.
  const goesOn = asks.kind === 'mark' && todos.find((todo) => todo.kind === 'begin')
  if (goesOn) return goesOn
  if (step && ON_THE_HEAT.includes(step.kind) && step.measures === 'mixture') return 'asks'
  if (asks.kind === 'read') {
    // What waits by itself is not looked at while something is still to be read.
    const waits = isStep(first) && step?.until != null && (step.timer ?? now) > now
    if (waits) return 'asks'
    // A reading that can wait does.
    if (asks.at <= now && first.kind !== 'clean' && (!window || isPressing(asks, now))) return 'asks'
  }
  return first
}

function isStep({ kind }: Todo): boolean {
  return kind === 'begin' || kind === 'end'
}
