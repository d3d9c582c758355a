import {
  apply,
  asFolded,
  touches,
  type BatchState,
  type Entry,
  type Id,
  type InstrumentState,
  type ItemState,
  type KitchenState,
  type LotState,
  type LimitsState,
  type MethodState,
  type Role,
  type TemperatureScale,
  type UnitState,
  type VesselState,
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

/**
 * The kitchen after one more entry, by the same fold as the server's. An entry that was counted already changes
 * nothing; one still on the tablet folds on top.
 */
export function foldLine(line: LineData, entry: Entry): LineData {
  const seq = entry.seal?.seq ?? line.seq
  if (entry.seal && seq <= line.seq) return line
  let next: LineData = { ...line, seq }
  const today = asFolded(entry)
  for (const { type, id } of touches(today.claim, today.seal)) {
    switch (type) {
      case 'batch':
        next = { ...next, batches: put(next.batches, id, (state) => apply.batch(id, state, today)) }
        break
      case 'method':
        next = { ...next, methods: put(next.methods, id, (state) => apply.method(id, state, today)) }
        break
      case 'instrument':
        next = { ...next, instruments: put(next.instruments, id, (state) => apply.instrument(id, state, today)) }
        break
      case 'lot':
        next = { ...next, lots: put(next.lots, id, (state) => apply.lot(id, state, today)) }
        break
      case 'item':
        next = { ...next, items: put(next.items, id, (state) => apply.item(id, state, today)) }
        break
      case 'vessel':
        next = { ...next, vessels: put(next.vessels, id, (state) => apply.vessel(id, state, today)) }
        break
      case 'unit':
        next = { ...next, units: put(next.units, id, (state) => apply.unit(id, state, today)) }
        break
      // Matters are asked for when somebody looks at them.
      case 'matter':
        break
      case 'limits':
        next = { ...next, limits: apply.limits(id, next.limits, today) }
        break
      case 'kitchen':
        next = withKitchen(next, apply.kitchen(id, kitchenOf(next), today))
        break
    }
  }
  return next
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

/** Names are no facts of the logbook; who may do what is. */
function withKitchen(line: LineData, state: KitchenState | null): LineData {
  if (!state) return line
  const { people: roles, named, ...rest } = state
  const kitchen = named ? { ...line.kitchen, ...named } : line.kitchen
  if (!roles || roles === line.roles) return { ...line, ...rest, kitchen, roles }
  const memberOf = new Map(roles.map((member) => [member.id, member]))
  return {
    ...line,
    ...rest,
    kitchen,
    roles,
    people: line.people.map(({ administers: _before, ...one }) => ({
      ...one,
      role: null,
      ...memberOf.get(one.id),
    })),
  }
}

function put<T extends { id: Id }>(list: T[], id: Id, change: (state: T | null) => T | null): T[] {
  const known = list.find((item) => item.id === id) ?? null
  const changed = change(known)
  if (changed === null) return list
  return known ? list.map((item) => (item === known ? changed : item)) : [...list, changed]
}
