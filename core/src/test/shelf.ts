import { MINUTE, type Instant } from '../ground/instant'
import type { Id } from '../ledger/subject'
import type { Moved } from '../ledger/storeEntries'
import type { LimitSet } from '../rules/limit'
import type { Fact } from '../state/fact'
import { NO_FACTS, type ItemState } from '../state/item'
import type { UnitState } from '../state/unit'
import type { Store } from '../judgement/keeping/itemStanding'
import { limitsFrom } from './story'
import { at } from './traces'

function fact<T>(when: Instant, value: T, entry = `${when}`): Fact<T> {
  const told = { entry, at: when, madeAt: when, recordedAt: null, knownAt: when, by: 'mina', postedBy: null }
  return { ...told, value, amends: [], waiting: [], void: false, late: false, accepted: null, refused: null }
}

/** An item put into the refrigerator at ten, cold; minutes are after ten. */
export function itemOf(more: Partial<ItemState> = {}): ItemState {
  return {
    id: 'item',
    born: 'made',
    bornAs: 'portioned',
    undone: false,
    code: '62-1a',
    name: 'Test custard',
    what: 'portion',
    from: [{ type: 'batch', id: 'batch', code: '62-1' }],
    made: at(0),
    madeBy: 'mina',
    measure: { value: 10, unit: 'portion' },
    cost: null,
    dating: {
      prepared: at(0),
      keeps: [
        {
          what: 'days',
          count: 3,
          from: null,
          force: 'house',
          source: { document: 'x', section: '', edition: '', confidence: 'high' },
        },
      ],
      useBy: null,
      parts: [],
    },
    facts: { allergens: ['milk'], claims: [], advisory: false, heat: 'cooked', needsCold: true, unknown: [] },
    ready: null,
    coldAt: at(0),
    carried: { least: 0, likely: 0, most: 0 },
    brought: [],
    ingredient: null,
    ...NO_FACTS,
    moves: [moved(0, 'move', 'fridge')],
    discarded: null,
    labels: 0,
    reached: [],
    contested: [],
    ...more,
  }
}

export function moved(minutes: number, how: Moved['how'], unit: Id | null): Fact<Moved> {
  return fact(at(minutes), { how, unit, shelf: null })
}

export function readOf(minutes: number, celsius: number, instrument: Id | null = 'P2'): ItemState['readings'][number] {
  return fact(at(minutes), { typed: { value: celsius, unit: 'C' as const }, instrument })
}

/** The lead let it go on. */
export function letGo(minutes: number): ItemState['holds'][number] {
  return fact(at(minutes), { held: false, reason: 'looked at by two', recall: null })
}

/** A refrigerator that was looked at: minutes after ten and °C. */
export function unitOf(looks: readonly [minutes: number, celsius: number][], more: Partial<UnitState> = {}): UnitState {
  const airs = looks.map(([minutes, celsius]) => ({
    entry: `${minutes}`,
    at: at(minutes),
    by: 'mina',
    enteredAt: at(minutes),
    typed: { value: celsius, unit: 'C' as const },
    celsius,
    instrument: null,
    noted: null,
  }))
  return {
    id: 'fridge',
    name: 'Fridge',
    kind: 'refrigerator',
    watts: null,
    shelves: 1,
    litres: null,
    airs,
    skips: [],
    ...more,
  }
}

export function storeOf(units: UnitState[], limits: LimitSet = limitsFrom('us-food-code-2022')): Store {
  return { units, limits, zone: 'UTC' }
}

export const minutes = (ms: number) => ms / MINUTE
