import { families } from './families'
import { FLOWS } from './flows'
import type { FamilyKey, Instruction, Method, Step } from './method'

export const NO_INSTRUCTION: Instruction = {
  text: '',
  activeMinutes: 0,
  passiveMinutes: null,
  target: null,
  oven: null,
}

/** A method to begin with: the steps by which its family is usually made, and nothing in it yet. */
export function newMethod({
  id,
  vesselId,
  name,
  family,
}: {
  id: string
  vesselId: string
  name: string
  family: FamilyKey
}): Method {
  const { cooling, houseDays } = families[family]
  const steps = FLOWS[family].map((kind): Step => ({
    key: kind.replaceAll(' ', '-'),
    kind,
    measures: 'mixture',
  }))
  return {
    id,
    version: 1,
    name,
    family,
    steps,
    schedule: null,
    cooling,
    ceiling: null,
    raw: false,
    untreatedFruit: false,
    houseDays,
    vessel: { id: vesselId, name: 'pan 5 cm deep', fillDepth: 0.05 },
    instructions: {},
    amounts: [],
    components: [],
    own: [],
    portions: null,
    justified: [],
  }
}
