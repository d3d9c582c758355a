import {
  apply,
  touches,
  type BatchState,
  type Entry,
  type Id,
  type InstrumentState,
  type Instant,
  type LimitsState,
  type MethodState,
  type Role,
  type Unit,
} from '@logged-thermal/core'

export interface PersonOnList {
  id: Id
  name: string
  role: Role
  job: string
}

/** What the server tells of a kitchen: facts as of entry `seq`. */
export interface LineData {
  now: Instant
  seq: number
  kitchen: { id: Id; name: string; zone: string; unit: Unit }
  people: PersonOnList[]
  codes: string[]
  limits: LimitsState | null
  methods: MethodState[]
  instruments: InstrumentState[]
  batches: BatchState[]
}

/**
 * The kitchen after one more entry, by the same fold as the server's. An entry that was counted already changes
 * nothing; one still on the tablet folds on top.
 */
export function foldLine(line: LineData, entry: Entry): LineData {
  const seq = entry.seal?.seq ?? line.seq
  if (entry.seal && seq <= line.seq) return line
  let next: LineData = { ...line, seq }
  for (const { type, id } of touches(entry.claim)) {
    switch (type) {
      case 'batch':
        next = { ...next, batches: put(next.batches, id, (state) => apply.batch(id, state, entry)) }
        break
      case 'method':
        next = { ...next, methods: put(next.methods, id, (state) => apply.method(id, state, entry)) }
        break
      case 'instrument':
        next = { ...next, instruments: put(next.instruments, id, (state) => apply.instrument(id, state, entry)) }
        break
      case 'limits':
        next = { ...next, limits: apply.limits(id, next.limits, entry) }
        break
      case 'kitchen':
        next = { ...next, codes: apply.kitchen(id, { codes: next.codes }, entry)?.codes ?? [] }
        break
    }
  }
  return next
}

function put<T extends { id: Id }>(list: T[], id: Id, change: (state: T | null) => T | null): T[] {
  const known = list.find((item) => item.id === id) ?? null
  const changed = change(known)
  if (changed === null) return list
  return known ? list.map((item) => (item === known ? changed : item)) : [...list, changed]
}
