import { canonical } from '../ground/canonical'
import type { Id } from '../ledger/subject'
import type { Method } from '../recipe/method/method'
import { writtenPlan, type WrittenPlan } from '../recipe/plan/writtenPlan'
import type { LimitSet } from '../rules/limit'
import { approvedOf, type MethodState, type SignedPlan } from '../state/method'

type Methods = readonly MethodState[]

/** Where a plan stands with the lead's signature. */
export type PlanStanding = 'signed' | 'outdated' | 'unsigned'

/** A written plan as it is in force, and what the lead signed of it. */
export interface PlanInForce {
  method: Method
  plan: WrittenPlan
  signed: SignedPlan | null
  standing: PlanStanding
}

/** The written plan of a method as it is in force; null while no version of it is. */
export function planOfMethod(state: MethodState, methods: Methods, limits: LimitSet, day: string): PlanInForce | null {
  const method = approvedOf(state)
  if (!method) return null
  const plan = writtenPlan(method, limits, state.signed, day, (id) => inForce(methods, id))
  const { plan: signed } = state
  const upToDate = signed !== null && canonical(signed.basis) === canonical(plan.basis)
  const standing: PlanStanding = signed === null ? 'unsigned' : upToDate ? 'signed' : 'outdated'
  return { method, plan, signed, standing }
}

/** Every method that goes into this one, and into those in turn. */
export function partsOf(method: Method, methods: Methods, seen: ReadonlySet<Id> = new Set()): Id[] {
  const own = method.components.map(({ method: id }) => id).filter((id) => !seen.has(id))
  const known = new Set([...seen, ...own])
  const inner = own.flatMap((id) => {
    const part = inForce(methods, id)
    return part ? partsOf(part, methods, known) : []
  })
  return [...new Set([...own, ...inner])]
}

function inForce(methods: Methods, id: Id): Method | null {
  return approvedOf(methods.find((each) => each.id === id) ?? null)
}
