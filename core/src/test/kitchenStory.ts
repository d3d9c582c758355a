import { createHash } from 'node:crypto'
import { dayOf } from '../ground/zone'
import { heldTo } from '../recipe/checks/heldTo'
import { kinds } from '../admission/kinds'
import { openKitchen, type KitchenSetup, type MemoryKitchen, type Posted } from '../kitchen/memoryKitchen'
import type { Id } from '../ledger/subject'
import type { Condition, LotReceived } from '../ledger/storeEntries'
import type { MadeAway } from '../ledger/away'
import type { Bodies, Kind } from '../ledger/entry'
import type { Method } from '../recipe/method/method'
import { nextItemCode, nextSplitCode } from '../ground/itemCode'
import type { Measure } from '../ground/measure'
import { finishedOf, type Put } from '../judgement/lineage/finished'
import { isUntreated } from '../judgement/lineage/topping'
import { itemLeft } from '../state/item'
import { partOf } from '../judgement/lineage/part'
import { portionOf, type PutAway } from '../judgement/lineage/portion'
import { storeOf } from '../admission/guard/storeOf'
import { itemStanding } from '../judgement/keeping/itemStanding'
import { method } from './story'
import { at, TEN } from './traces'

export const sha256 = (text: string) => createHash('sha256').update(text).digest('hex')

/** A UUID that follows from a name. */
export function idOf(name: string): Id {
  const h = sha256(name)
  return `${h.slice(0, 8)}-${h.slice(8, 12)}-7${h.slice(13, 16)}-8${h.slice(17, 20)}-${h.slice(20, 32)}`
}

export const [COOK, OTHER, CHEF, LEAD] = ['cook', 'other cook', 'chef', 'lead'].map(idOf) as [Id, Id, Id, Id]
export const PROBE = idOf('probe')
export const FRIDGE = idOf('fridge')
export const FREEZER = idOf('freezer')
const amount = (ingredient: string, grams: number, step: string): Method['amounts'][number] => ({
  key: ingredient,
  ingredient,
  grams,
  count: null,
  step,
  state: 'as it is',
})

export const custard: Method = {
  ...method,
  id: idOf('custard'),
  vessel: { ...method.vessel, id: idOf('pan') },
  amounts: [amount('yolk', 340, 'temper'), amount('milk', 2000, 'warm')],
}

export interface How {
  by?: Id
  /** Entered so many minutes after it happened. */
  after?: number
  /** Whose shift it is; the person's own. */
  postedBy?: Id
  /** Whose PIN comes beside the author's. */
  secondedBy?: Id
  /** The server takes it at so many minutes after ten, as made while it heard nothing of the tablet; at once. */
  arrives?: number
  away?: MadeAway
}

interface Finish extends How {
  /** null: nobody read it. */
  celsius?: number | null
  grams?: number
  /** So much of it; all that is left. */
  on?: number
  warm?: boolean
  asItIs?: boolean
  condition?: Condition
  happened?: true
}

/** A kitchen in memory, told as it goes: minutes are after ten. */
export class KitchenStory {
  readonly kitchen: MemoryKitchen
  private readonly zone: string
  /** Every kind of entry that was posted, taken or not. */
  readonly tried = new Set<Kind>()
  private count = 0
  /** Which tablet it is entered on, and the last entry that one has heard of. */
  tablet: { device: Id; serverSeen?: number } = { device: idOf('tablet') }

  constructor(setup: Partial<KitchenSetup> = {}, methods: Method[] = [custard]) {
    this.zone = setup.zone ?? 'UTC'
    this.kitchen = openKitchen({
      zone: 'UTC',
      ruleSet: 'us-food-code-2022',
      unit: 'C',
      people: [
        { id: COOK, role: 'cook' },
        { id: OTHER, role: 'cook' },
        { id: CHEF, role: 'chef' },
        { id: LEAD, role: 'lead' },
      ],
      instruments: [{ id: PROBE, code: 'P2', kind: 'probe' }],
      now: TEN - 60 * 60_000,
      sha256,
      ...setup,
    })
    for (const [id, name, kind] of [
      [FRIDGE, 'Fridge', 'refrigerator'],
      [FREEZER, 'Freezer', 'freezer'],
    ] as const)
      this.enter('unit-registered', id, -50, { name, kind, watts: null, shelves: 4, litres: null }, { by: LEAD })
    for (const each of methods) this.publish(each)
  }

  publish(of: Method, minutes = -49): void {
    this.enter('method-saved', of.id, minutes, { method: of }, { by: LEAD })
    this.enter(
      'method-approved',
      of.id,
      minutes + 1,
      { version: of.version, limits: this.kitchen.limits, components: [] },
      { by: LEAD },
    )
  }

  /** Posts a claim; the author's PIN comes with it where the kind or the shift asks for one. */
  post<K extends Kind>(
    kind: K,
    about: Id,
    minutes: number,
    body: Bodies[K],
    { by = COOK, after = 0, postedBy = by, secondedBy, arrives, away }: How = {},
  ) {
    const made = Math.round(at(minutes + after))
    this.tried.add(kind)
    const claim = {
      id: idOf(`entry ${this.tablet.serverSeen === undefined ? '' : this.tablet.device}${this.count++}`),
      kitchen: this.kitchen.id,
      kind,
      v: kinds[kind].v,
      about: { type: kinds[kind].about, id: about },
      at: Math.round(at(minutes)),
      madeAt: made,
      by,
      ...this.tablet,
      body,
    }
    const posted: Posted = this.kitchen.post(claim, {
      postedBy,
      // Without the server no PIN is checked.
      ...(kinds[kind].signed && this.tablet.serverSeen === undefined ? { signedBy: by } : {}),
      ...(secondedBy ? { secondedBy } : {}),
      ...(away ? { away } : {}),
      now: arrives === undefined ? made : Math.round(at(arrives)),
    })
    return { id: claim.id, claim, posted }
  }

  /** The same, of what has to be taken. Returns the entry's id. */
  enter<K extends Kind>(kind: K, about: Id, minutes: number, body: Bodies[K], how: How = {}): Id {
    const { id, posted } = this.post(kind, about, minutes, body, how)
    if (!posted.ok) throw new Error(`${kind}: ${posted.code} ${posted.field ?? ''}`)
    return id
  }

  /** A lot at the door, cold and in order unless it is said otherwise. */
  receive(
    lot: Id,
    minutes: number,
    ingredient: string | null,
    form: LotReceived['form'] = null,
    more: Partial<LotReceived> = {},
  ): Id {
    this.enter('lot-received', lot, minutes, {
      code: `L-${ingredient}`,
      ingredient,
      name: ingredient ?? 'Ready cream',
      form,
      size: form === 'shell' ? 'US L' : null,
      supplier: 'Hill dairy',
      useBy: '2027-03-12',
      pasteurized: form === 'pasteurized' ? { by: 'maker', certificate: 'C-1' } : null,
      scheme: null,
      treatment: null,
      received: { typed: { value: 3, unit: 'C' }, instrument: PROBE },
      condition: null,
      verdict: 'accept',
      why: null,
      held: null,
      ...more,
    })
    return lot
  }

  begin(name: string, minutes = 0, of: Method = custard): Id {
    const batch = idOf(name)
    this.enter('batch-started', batch, minutes, this.begun(name, minutes, of))
    return batch
  }

  /** What a batch is begun with: by what the lead signed for the method, unless something else is claimed. */
  begun(
    name: string,
    minutes: number,
    of: Method,
    signed = this.kitchen.read('method', of.id)?.signed,
  ): Bodies['batch-started'] {
    const limits = this.kitchen.limitsAt(at(minutes))
    return {
      code: name.slice(0, 12),
      ...heldTo(of, 1, limits, false, dayOf(at(minutes), this.zone), signed),
      limits: { id: limits.id, version: limits.version },
      vessel: of.vessel,
      factor: 1,
    }
  }

  read(batch: Id, minutes: number, celsius: number, more: Partial<Bodies['reading-taken']> & How = {}): Id {
    const { by, after, postedBy, secondedBy, arrives, away, ...body } = more
    const how = { by, after, postedBy, secondedBy, arrives, away }
    return this.enter(
      'reading-taken',
      batch,
      minutes,
      { typed: { value: celsius, unit: 'C' }, where: 'core', of: 'mixture', instrument: PROBE, ...body },
      Object.fromEntries(Object.entries(how).filter(([, said]) => said !== undefined)),
    )
  }

  mark(batch: Id, minutes: number, step: string, edge: 'started' | 'combined' | 'done', how: How = {}) {
    return this.post('step-marked', batch, minutes, { step, edge, reason: 'as it was' }, how)
  }

  correct(batch: Id, minutes: number, target: Id, now: Bodies['corrected']['now'] = 'void', how: How = {}): Id {
    return this.enter('corrected', batch, minutes, { target, reason: 'undo', now, item: null }, how)
  }

  /** Cooked and off the heat, at 57° twenty minutes after it began. */
  cooked(name = 'pot'): Id {
    const batch = this.begin(name)
    this.mark(batch, 5, 'temper', 'combined')
    this.read(batch, 10, 80)
    this.mark(batch, 12, 'cook', 'done')
    this.read(batch, 20, 57)
    return batch
  }

  /** The same, through every gate and cold at 14:00. */
  made(name = 'pot'): Id {
    const batch = this.cooked(name)
    this.read(batch, 100, 20)
    this.read(batch, 240, 4.5)
    return batch
  }

  putAway(batch: Id, minutes: number, more: Partial<PutAway> = {}, of: Method = custard): Id {
    const state = this.kitchen.read('batch', batch)!
    const item = idOf(`item of ${batch} ${state.facts.portioned.length}`)
    const code = nextItemCode(
      state.code.slice(0, 8),
      state.facts.portioned.map(({ value }) => value.code),
    )
    const said: PutAway = {
      code,
      as: 'portion',
      measure: { value: 2000, unit: 'g' },
      last: false,
      unit: FRIDGE,
      shelf: 1,
      ...more,
    }
    const limits = this.kitchen.limitsAt(at(minutes))
    this.enter('portioned', item, minutes, portionOf(state, of, said, limits, this.zone, at(minutes)))
    return item
  }

  /** What an item is as a part at an instant, as core finds it. */
  part(item: Id, batch: Id, minutes: number, step: string, celsius = 3): Bodies['part-used'] {
    const state = this.kitchen.read('item', item)!
    const around = storeOf(state, this.kitchen.read, { zone: 'UTC', limits: this.kitchen.limits }, at(minutes))!
    const exposed = itemStanding(state, around.store, at(minutes)).exposure.time
    return {
      batch,
      step,
      measure: { value: 100, unit: 'g' },
      typed: { value: celsius, unit: 'C' },
      instrument: PROBE,
      warm: false,
      condition: null,
      part: partOf(state, exposed, 'UTC', at(minutes)),
    }
  }

  /** Puts something on an item, as core finds it then. Returns the finished item and what became of the entry. */
  finish(
    base: Id,
    topping: Id | { ingredient: string; lot?: Id },
    minutes: number,
    { celsius = 3, grams = 100, on, happened, ...how }: Finish = {},
  ) {
    const state = this.kitchen.read('item', base)!
    const around = { zone: 'UTC', limits: this.kitchen.limits }
    const { store } = storeOf(state, this.kitchen.read, around, at(minutes))!
    const left = itemLeft(state)
    const measure = { value: Math.min(on ?? left.value, left.value), unit: left.unit }
    const into = idOf(`finished ${base} ${state.splits.length} ${minutes}`)
    const put = this.topping(topping, minutes, { value: grams, unit: 'g' }, celsius, how)
    const code =
      measure.value === left.value
        ? state.code
        : nextSplitCode(
            state.code,
            state.splits.map(({ value }) => value.code),
          )
    const as = finishedOf(state, measure, put, store, at(minutes))
    const body = { into, code, measure, topping: put.topping, as, ...(happened ? { happened } : {}) }
    return { into, ...this.post('item-finished', base, minutes, body, how) }
  }

  private topping(
    of: Id | { ingredient: string; lot?: Id },
    minutes: number,
    measure: Measure,
    celsius: number | null,
    more: Finish,
  ): Put {
    if (typeof of !== 'string') {
      const { ingredient, lot = null } = of
      const topping = { of: 'food' as const, ingredient, lot, grams: measure.value, condition: more.condition ?? null }
      return { topping, untreated: false, lot: lot === null ? null : this.kitchen.read('lot', lot) }
    }
    const item = this.kitchen.read('item', of)!
    const { store, ancestry } = storeOf(
      item,
      this.kitchen.read,
      { zone: 'UTC', limits: this.kitchen.limits },
      at(minutes),
    )!
    const part = partOf(item, itemStanding(item, store, at(minutes)).exposure.time, 'UTC', at(minutes))
    const { warm = false, asItIs = false, condition = null } = more
    const typed = celsius === null ? null : { value: celsius, unit: 'C' as const }
    const topping = {
      of: 'item' as const,
      item: of,
      measure: { ...measure, unit: item.measure.unit },
      typed,
      instrument: PROBE,
      warm,
      asItIs,
      condition,
      part,
    }
    return { topping, untreated: isUntreated(item, ancestry), lot: null }
  }

  air(minutes: number, celsius: number, how: How = {}): Id {
    const typed = { value: celsius, unit: 'C' as const }
    return this.enter('unit-read', FRIDGE, minutes, { typed, instrument: null, noted: null }, how)
  }

  check(batch: Id, key: string, minutes: number) {
    return this.kitchen.findings(batch, at(minutes)).find(({ check }) => check.key === key)!
  }

  standing(batch: Id, key: string, minutes: number) {
    return this.check(batch, key, minutes).standing
  }
}
