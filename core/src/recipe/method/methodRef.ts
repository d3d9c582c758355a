import type { Method, Procedure } from './method'

/** A method as a batch keeps it: all that decided its checks. */
export interface MethodRef extends Procedure {
  id: string
}

export function methodRef(method: Method): MethodRef {
  const { version, name, family, steps, schedule, cooling, ceiling, raw, untreatedFruit, houseDays } = method
  return { id: method.id, version, name, family, steps, schedule, cooling, ceiling, raw, untreatedFruit, houseDays }
}
