import type { Ingredient } from '../ingredient/ingredient'
import type { Method, StepKind } from './method'

/**
 * Where an ingredient usually goes in: the key of the step that a new amount is proposed for. A guess that saves a tap, and
 * no more: whoever writes the method chooses. Null where it has no step.
 */
export function usualStep({ steps }: Pick<Method, 'steps'>, ingredient: Ingredient | null): string | null {
  const wanted = ingredient ? wantedFor(ingredient) : COMPONENT
  for (const kind of wanted) {
    const step = steps.find((each) => each.kind === kind)
    if (step) return step.key
  }
  return steps[0]?.key ?? null
}

/** What another method made goes in where things come together, cold. */
const COMPONENT: readonly StepKind[] = ['assemble', 'fold', 'add after heat', 'combine']
const BEGINNING: readonly StepKind[] = ['eggs', 'combine', 'heat dairy', 'cook', 'whip', 'assemble']

function wantedFor({ key, egg, bloom, starch, alcohol, origin, composition, fresh }: Ingredient): readonly StepKind[] {
  if (egg) return ['eggs', 'combine', 'temper', 'whip', 'cook']
  if (bloom > 0) return ['mise', 'heat dairy']
  if (starch) return ['eggs', 'combine', 'cook', 'bake']
  if (alcohol > 0.1 || key.includes('butter')) return ['add after heat', ...BEGINNING]
  if (fresh) return ['assemble', 'add after heat', ...BEGINNING]
  if (origin === 'milk' && composition.water > 0.4) return ['heat dairy', 'combine', 'cook', 'whip', 'assemble']
  return BEGINNING
}
