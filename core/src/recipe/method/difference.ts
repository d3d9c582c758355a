import { canonical } from '../../ground/canonical'
import type { Method } from './method'

/** One thing that differs between two versions; null on the side where it is not there. */
export interface Difference {
  what:
    | 'name'
    | 'family'
    | 'step'
    | 'order of steps'
    | 'amount'
    | 'component'
    | 'keeping'
    | 'heat'
    | 'vessel'
    | 'portions'
    | 'justification'
  /** Key of the step, amount or component. */
  key: string | null
  before: unknown
  after: unknown
}

/** What changed from one version to another, side by side. */
export function differences(before: Method, after: Method): Difference[] {
  const found: Difference[] = []
  const compare = (what: Difference['what'], key: string | null, a: unknown, b: unknown) => {
    if (canonical(a ?? null) !== canonical(b ?? null)) found.push({ what, key, before: a ?? null, after: b ?? null })
  }
  compare('name', null, before.name, after.name)
  compare('family', null, before.family, after.family)
  const steps = ({ steps: all, instructions }: Method) =>
    new Map(all.map((step) => [step.key, { kind: step.kind, measures: step.measures, ...instructions[step.key] }]))
  for (const [key, a, b] of joined(steps(before), steps(after))) compare('step', key, a, b)
  const order = (method: Method, other: Method) =>
    method.steps.map(({ key }) => key).filter((key) => other.steps.some((step) => step.key === key))
  compare('order of steps', null, order(before, after), order(after, before))
  const byKey = <T extends { key: string }>(list: T[]) => new Map(list.map((each) => [each.key, each]))
  for (const [key, a, b] of joined(byKey(before.amounts), byKey(after.amounts))) compare('amount', key, a, b)
  for (const [key, a, b] of joined(byKey(before.components), byKey(after.components))) compare('component', key, a, b)
  compare('keeping', null, [before.houseDays, before.cooling, before.raw], [after.houseDays, after.cooling, after.raw])
  compare(
    'heat',
    null,
    [before.schedule, before.ceiling, before.untreatedFruit],
    [after.schedule, after.ceiling, after.untreatedFruit],
  )
  compare('vessel', null, before.vessel, after.vessel)
  compare('portions', null, before.portions, after.portions)
  for (const [key, a, b] of joined(reasons(before), reasons(after))) compare('justification', key, a, b)
  return found
}

function reasons({ justified }: Method): Map<string, string> {
  return new Map(justified.map(({ problem, reason }) => [problem, reason]))
}

function joined<T>(a: Map<string, T>, b: Map<string, T>): [key: string, a: T | undefined, b: T | undefined][] {
  return [...new Set([...a.keys(), ...b.keys()])].map((key) => [key, a.get(key), b.get(key)])
}
