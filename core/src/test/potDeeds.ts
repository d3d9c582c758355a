import type { BatchFacts } from '../state/batch'
import type { Bodies } from '../ledger/entry'
import { MINUTE } from '../ground/instant'
import { waitingIn } from '../judgement/evidence/waiting'
import type { Ingredient } from '../recipe/ingredient/ingredient'
import { ownIngredient } from '../recipe/ingredient/own'
import { at } from './traces'
import { NO_TRACES } from '../judgement/lineage/carryOver'
import { DOZENS, MILK, OWN, CARTON, SIEVE, VESSEL, WHY, type Act, type Deed } from './history'
import { CHEF, LEAD, PROBE, sha256 } from './kitchenStory'

/** What is done to a pot, and said of it. */

const body = (value: number): Bodies['reading-taken'] => ({
  typed: { value, unit: 'C' },
  where: 'core',
  of: 'mixture',
  instrument: PROBE,
})

/** As often hot as cold, never a number that no thermometer shows. */
const celsius = ({ a }: Deed) => Math.round((a < 0.6 ? a * 100 : 50 + a * 40) * 10) / 10

const mark =
  (step: string, edge: 'started' | 'combined' | 'done'): Act =>
  (history, deed) =>
    void history.story.mark(history.pot(deed), history.now, step, edge, { by: history.by(deed) })

const added =
  (ingredient: string, state: Bodies['added']['state'], lot: string | null = null, own?: Ingredient): Act =>
  (history, deed) =>
    history.post('added', history.pot(deed), deed, {
      step: 'cook',
      ingredient,
      ...(own ? { own } : {}),
      grams: 20,
      state,
      lot,
    })
      ? 'betters nothing'
      : undefined

const corrected =
  (move: boolean): Act =>
  (history, deed) => {
    const {
      facts: { 'reading-taken': readings },
    } = history.batch(deed)
    const fact = readings[Math.floor(deed.b * readings.length)]
    if (!fact) return
    const when = move ? fact.at - 5 * MINUTE * (1 + deed.a) : fact.at
    const late = fact.by !== history.by(deed) || at(history.now) - fact.knownAt > 10 * MINUTE || move
    const now = { at: Math.round(when), reading: body(celsius(deed)), batch: null }
    history.post('corrected', history.pot(deed), deed, { target: fact.entry, reason: 'mistyped', now, item: null })
    return late ? 'betters nothing' : undefined
  }

/** Undo of any of what was done: in time it is a slip of the finger. */
const undone =
  (of: keyof BatchFacts): Act =>
  (history, deed) => {
    const facts = history.batch(deed).facts[of]
    const fact = facts[Math.floor(deed.b * facts.length)]
    if (!fact) return
    const within = of === 'step-marked' ? 2 : 10
    const late = fact.by !== history.by(deed) || at(history.now) - fact.knownAt > within * MINUTE
    const undo = { target: fact.entry, reason: 'undo' as const, now: 'void' as const, item: null }
    history.post('corrected', history.pot(deed), deed, undo)
    return late ? 'betters nothing' : undefined
  }

const eggs =
  (lot: string, form: 'shell' | 'pasteurized', more: Partial<Bodies['eggs-taken']> = {}): Act =>
  (history, deed) => {
    history.post('eggs-taken', history.pot(deed), deed, {
      step: 'temper',
      lot,
      form,
      as: form === 'shell' ? 'separated' : 'yolk',
      cracked: form === 'shell' ? 6 : null,
      rejected: 0,
      grams: form === 'shell' ? {} : { yolk: 340 },
      size: 'US L',
      item: null,
      ...more,
    })
    return 'betters nothing'
  }

export const potDeeds: Record<string, Act> = {
  read: (history, deed) => void history.post('reading-taken', history.pot(deed), deed, body(celsius(deed))),
  'read a pan': (history, deed) =>
    void history.post('reading-taken', history.pot(deed), deed, {
      ...body(celsius(deed)),
      portion: String(1 + Math.floor(deed.b * 4)),
    }),
  'late read': (history, deed) => {
    history.postLate('reading-taken', history.pot(deed), deed, body(celsius(deed)), 16 + deed.b * 200)
    return 'betters nothing'
  },
  'late read away': (history, deed) => {
    const after = 16 + deed.b * 100
    history.postLate('reading-taken', history.pot(deed), deed, body(celsius(deed)), after, deed.a * 60)
    return 'betters nothing'
  },
  'from paper': (history, deed) => {
    const paper = sha256('a sheet')
    const secondedBy = history.by(deed) === LEAD ? CHEF : LEAD
    history.post('reading-taken', history.pot(deed), deed, { ...body(celsius(deed)), paper }, { secondedBy })
    return 'betters nothing'
  },
  'from a file': (history, deed) => {
    // Whatever it says: cooked through and cooled in time, more often than not.
    const name = `logger ${Math.floor(deed.b * 3)}.csv`
    const degrees = deed.a < 0.7 ? [83, 57, 20, 4] : [83, 57, 40, 30]
    const readings = degrees.map((value, i) => ({
      at: Math.round(at(history.now - 40 + i * 10)),
      typed: { value, unit: 'C' as const },
    }))
    history.post('readings-brought-in', history.pot(deed), deed, {
      instrument: PROBE,
      file: { name, sha256: sha256(name) },
      of: 4000,
      readings,
    })
    return 'betters nothing'
  },
  word: (history, deed) => {
    history.post('reading-taken', history.pot(deed), deed, { ...body(celsius(deed)), instrument: null })
    return 'betters nothing'
  },
  surface: (history, deed) => {
    history.post('reading-taken', history.pot(deed), deed, {
      ...body(celsius(deed)),
      where: 'surface',
      instrument: null,
    })
    return 'betters nothing'
  },
  off: mark('cook', 'done'),
  combined: mark('temper', 'combined'),
  back: mark('cook', 'started'),
  'late off': (history, deed) => {
    const off = { step: 'cook', edge: 'done' as const, reason: WHY }
    history.postLate('step-marked', history.pot(deed), deed, off, 16 + deed.b * 100)
    return 'proves nothing'
  },
  void: undone('reading-taken'),
  'undo mark': undone('step-marked'),
  'undo sieve': undone('tool-used'),
  'undo addition': undone('added'),
  'undo eggs': undone('eggs-taken'),
  'undo place': undone('placed'),
  'undo pour': undone('poured'),
  correct: corrected(false),
  'move time': corrected(true),
  yolk: added('yolk', 'as it is'),
  'pasteurized yolk': added('yolk', 'pasteurized lot', 'a box'),
  'carton yolk': added('yolk', 'pasteurized lot', CARTON),
  'frozen berries': added('berry-puree', 'frozen'),
  flowers: added('edible-flowers', 'as it is'),
  'farm crunch': (history, deed) =>
    void added(OWN, 'as it is', null, ownIngredient(OWN, 'Farm crunch', 'butter', []))(history, deed),
  'own egg mix': added('own', 'as it is', null, ownIngredient('own', 'Farm mix', 'egg', [])),
  'nuts told late': (history, deed) => {
    const body = { step: 'cook', ingredient: 'hazelnut', grams: 20, state: 'as it is' as const, lot: null }
    history.postLate('added', history.pot(deed), deed, body, Math.round(deed.b * 90))
    return 'betters nothing'
  },
  butter: (history, deed) => void added('butter', 'as it is')(history, deed),
  sieve: (history, deed) => {
    const said = { step: 'cook', tool: deed.a < 0.9 ? SIEVE : null, washed: deed.b < 0.5 }
    // As a tablet that does not know: core finds what was in it.
    const found = { name: '', called: '', after: null, left: NO_TRACES, holds: NO_TRACES }
    history.post('tool-used', history.pot(deed), deed, { ...said, ...found })
    return 'betters nothing'
  },
  'shell eggs': eggs(DOZENS, 'shell'),
  'carton eggs': eggs(CARTON, 'pasteurized'),
  'eggs in already': eggs(DOZENS, 'shell', { happened: true }),
  place: (history, deed) =>
    void history.post('placed', history.pot(deed), deed, {
      place: deed.a < 0.5 ? 'stirred ice bath' : 'counter',
      unit: null,
      air: null,
    }),
  cover: (history, deed) =>
    void history.post('covered', history.pot(deed), deed, { cover: deed.a < 0.5 ? 'lid' : 'open' }),
  stir: (history, deed) => void history.post('stirred', history.pot(deed), deed, {}),
  pour: (history, deed) => {
    const pans = 1 + Math.floor(deed.b * 4)
    const inside = { kind: 'rectangular' as const, length: 0.5, width: 0.3, height: 0.1 }
    history.post('poured', history.pot(deed), deed, {
      vessel: { id: VESSEL, name: 'Tub', inside, wall: 'steel' },
      pans,
      depth: 0.01 + deed.a * 0.06,
      ...(deed.a > 0.8 ? { slowest: '1' } : {}),
    })
  },
  plan: (history, deed) => {
    const inside = { kind: 'rectangular' as const, length: 0.5, width: 0.3, height: 0.1 }
    const vessel = { id: VESSEL, name: 'Tub', inside, wall: 'steel' as const }
    const plan = { vessel, pans: 2, depth: 0.03, place: 'counter' as const, cover: 'open' as const }
    history.post('cooling-planned', history.pot(deed), deed, plan)
    return 'betters nothing'
  },
  note: (history, deed) => {
    history.post('noted', history.pot(deed), deed, { text: 'thick', cue: null })
    return 'betters nothing'
  },
  clean: (history, deed) => {
    history.post('cleaned', history.pot(deed), deed, { step: 'cook' })
    return 'betters nothing'
  },
  'name lots': (history, deed) => {
    const lot = [MILK, DOZENS][Math.floor(deed.a * 2)]!
    const use = { amount: 'milk', lot, code: '', name: '', ingredient: null }
    const happened = deed.b > 0.7 ? { happened: true as const } : {}
    history.post('lots-used', history.pot(deed), deed, { step: 'warm', uses: [use], ...happened })
    return 'betters nothing'
  },
  wash: (history, deed) => {
    history.post('washed', history.pot(deed), deed, { step: 'cook' })
    return 'betters nothing'
  },
  churn: (history, deed) => {
    const churning = { step: 'cook', moment: 'start' as const, typed: { value: 4, unit: 'C' as const } }
    history.post('churned', history.pot(deed), deed, churning)
    return 'betters nothing'
  },
  otherwise: (history, deed) => {
    history.post('step-deviated', history.pot(deed), deed, { step: 'cook', said: 'in the oven' })
    return 'betters nothing'
  },
  acid: (history, deed) => {
    history.post('acidity-measured', history.pot(deed), deed, {
      ph: 3 + deed.a * 3,
      phTolerance: 0.05,
      waterActivity: null,
      waterTolerance: 0.01,
      meter: 'M-1',
      buffers: [
        { nominal: 4, read: 4 },
        { nominal: 7, read: 7 },
      ],
    })
  },
  rewarm: (history, deed) => void history.post('rewarmed', history.pot(deed), deed, { how: 'melted again' }),
  served: (history, deed) => {
    history.post('served', history.pot(deed), deed, { discarded: null, happened: true })
    return 'betters nothing'
  },
  hold: (history, deed) => history.dispose(history.pot(deed), 'hold'),
  release: (history, deed) => history.dispose(history.pot(deed), 'release'),
  rework: (history, deed) => history.dispose(history.pot(deed), 'rework'),
  end: (history, deed) => {
    if (deed.a < 0.2) history.dispose(history.pot(deed), 'discard')
  },
  accept: (history, deed) => {
    const late = history.batch(deed).facts['reading-taken'].find((each) => each.late && !each.accepted)
    if (!late) return
    const entries = [{ type: 'batch' as const, id: history.pot(deed), entry: late.entry }]
    history.decide('entries-accepted', history.story.kitchen.id, { entries, reason: 'on paper' })
  },
  refuse: (history, deed) => {
    const late = history.batch(deed).facts['reading-taken'].find((each) => each.late && !each.accepted)
    if (!late) return 'betters nothing'
    const entries = [{ type: 'batch' as const, id: history.pot(deed), entry: late.entry }]
    if (history.decide('entries-refused', history.story.kitchen.id, { entries, reason: 'nobody saw it' }))
      if (waitingIn(history.batch(deed)).some(({ entry }) => entry === late.entry)) throw new Error('it still waits')
    return 'betters nothing'
  },
  'accept one': (history, deed) => {
    const late = history.batch(deed).facts['reading-taken'].find((each) => each.late && !each.accepted)
    if (late) history.decide('reading-accepted', history.pot(deed), { target: late.entry, reason: 'on paper' })
  },
  'already in': (history, deed) => {
    const raw = history.batch(deed).facts.added.find(({ value }) => value.ingredient === 'yolk')
    if (raw) history.decide('already-in', history.pot(deed), { target: raw.entry, reason: 'from the first' })
  },
}
