import type {
  BatchState,
  Id,
  InstrumentState,
  ItemState,
  KitchenState,
  LotState,
  LimitsState,
  MethodState,
  Role,
  TemperatureScale,
  UnitState,
  VesselState,
} from '@logged-thermal/core'

export interface PersonOnList {
  id: Id
  name: string
  /** null: works here no more. */
  role: Role | null
  /** Looks after people and tablets too. */
  administers?: true
  job: string
  /** Of their PIN. */
  digits: number
}

/** Whether somebody works here and enters what is done: an auditor only reads. */
export function logsHere({ role }: PersonOnList): boolean {
  return role !== null && role !== 'inspector'
}

/** What the server tells of a kitchen: facts as of entry `seq`. */
export interface LineData {
  seq: number
  kitchen: { id: Id; name: string; address: string | null; zone: string; unit: TemperatureScale }
  people: PersonOnList[]
  codes: string[]
  handover: KitchenState['handover']
  deputies: KitchenState['deputies']
  week: KitchenState['week']
  roles: KitchenState['people']
  restored: KitchenState['restored']
  tools: KitchenState['tools']
  ingredients: KitchenState['ingredients']
  signedDays: KitchenState['signedDays']
  lists: KitchenState['lists']
  listsDone: KitchenState['listsDone']
  traceTries: KitchenState['traceTries']
  samples: KitchenState['samples']
  limits: LimitsState | null
  methods: MethodState[]
  instruments: InstrumentState[]
  batches: BatchState[]
  lots: LotState[]
  /** What is kept, and not thrown away. */
  items: ItemState[]
  vessels: VesselState[]
  units: UnitState[]
}

/** The kitchen's own state, as far as the Line has it. */
export function kitchenOf({
  codes,
  handover,
  deputies,
  week,
  roles,
  restored,
  tools,
  ingredients,
  signedDays,
  lists,
  listsDone,
  traceTries,
  samples,
}: LineData): KitchenState {
  // What it was named before needs no keeping, nor what began on which day: only the server answers for a whole day.
  return {
    codes,
    handover,
    deputies,
    week,
    people: roles,
    restored,
    tools,
    ingredients,
    signedDays,
    lists,
    listsDone,
    traceTries,
    // Files are brought in by the server, and no tablet asks which.
    transcribed: [],
    samples,
    begun: [],
    named: null,
  }
}
