import { canonical } from '../ground/canonical'
import { addDays, dayOf } from '../ground/zone'
import { writtenPlan } from '../recipe/plan/writtenPlan'
import { limitsAt } from '../rules/limitSet'
import { approvedOf } from '../state/method'
import { PRACTICE } from '../rules/practice'
import { NO_TRACES } from '../judgement/lineage/carryOver'
import { NEW_KITCHEN } from '../state/kitchen'
import { traceResult } from '../advice/traces'
import { listsOfDays } from '../advice/round/dailyLists'
import { OWN, REFERENCE, SIEVE, WHY, type Act, type History } from './history'
import { CHEF, COOK, custard, FRIDGE, idOf, LEAD, OTHER, PROBE, sha256 } from './kitchenStory'
import { at } from './traces'

/** What is done in the house: rounds, lots, people, limits and methods. */

const look = (a: number) => ({
  typed: { value: Math.round((2 + a * 8) * 10) / 10, unit: 'C' as const },
  // By its own display, or by the probe that is checked now and then.
  instrument: Math.round(a * 100) % 2 ? PROBE : null,
  noted: null,
})

/** A list that was missed stays missed, whatever is told or asked for afterwards. */
function keepsMissed({ story, now }: History, act: () => void): void {
  const missed = () =>
    listsOfDays(story.kitchen.read('kitchen', story.kitchen.id) ?? NEW_KITCHEN, 7, 'UTC', at(now))
      .filter(({ state }) => state === 'missed')
      .map(({ day, list }) => `${day} ${list.key}`)
  const before = missed()
  act()
  const lost = before.find((each) => !missed().includes(each))
  if (lost) throw new Error(`${lost} was missed, and is no more`)
}

/** As a tablet that does not know: core finds it. */
const NOT_FOUND = { reference: 0, error: 0, passed: true, since: null, doubted: [] }

export const houseDeeds: Record<string, Act> = {
  air: (history, deed) => void history.post('unit-read', FRIDGE, deed, look(deed.a)),
  'late air': (history, deed) => {
    history.postLate('unit-read', FRIDGE, deed, look(deed.a), 45)
    return 'betters nothing'
  },
  'air back': (history, deed) => {
    const last = history.story.kitchen.read('unit', FRIDGE)?.airs.at(-1)
    if (last) history.post('air-taken-back', FRIDGE, deed, { target: last.entry })
  },
  'pass by': (history, deed) => {
    history.post('unit-skipped', FRIDGE, deed, { reason: 'blocked by a trolley' })
    return 'betters nothing'
  },
  find: (history, deed) => {
    const measure = { value: 300, unit: 'g' as const }
    const tub = { code: `F-${history.items.length}`, name: 'Tub', measure, unit: FRIDGE, shelf: 1 }
    history.post('item-found', idOf(`find ${history.now} ${deed.a}`), deed, tub)
    return 'betters nothing'
  },
  recall: (history, deed) => {
    const lot = history.lots[deed.pot]!
    const items = history.items.filter((id) => history.story.kitchen.read('item', id)?.from.some((of) => of.id === lot))
    const batches = history.pots.filter((id) =>
      history.story.kitchen.read('batch', id)!.facts['eggs-taken'].some(({ value }) => value.lot === lot),
    )
    const drill = deed.b < 0.3
    history.post('recalled', lot, deed, { items, batches, reason: 'the supplier called', drill })
    return 'betters nothing'
  },
  'recall over': (history, deed) => {
    const lot = history.lots[deed.pot]!
    const batches = history.pots.filter((id) =>
      history.story.kitchen.read('batch', id)!.recalls.some(({ value }) => value.lot === lot),
    )
    const held = history.items.filter((id) =>
      history.story.kitchen.read('item', id)!.holds.some(({ value }) => value.recall === lot),
    )
    history.decide('recall-ended', lot, { items: held, batches, reason: WHY })
  },
  'refuse a lot': (history, deed) => {
    if (deed.a < 0.3)
      history.decide('lot-decided', history.lots[deed.pot]!, { verdict: 'refuse', reason: WHY, item: null })
  },
  'accept a lot': (history, deed) =>
    void history.decide('lot-decided', history.lots[deed.pot]!, { verdict: 'accept', reason: WHY, item: null }),
  'register a sieve': (history, deed) => {
    const sieve = { tool: SIEVE, name: 'Sieve', kind: 'sieve' as const, gone: deed.a < 0.2 }
    history.post('tool-registered', history.story.kitchen.id, { ...deed, who: 'lead' }, sieve)
    return 'betters nothing'
  },
  'name an ingredient': (history, deed) => {
    const own = { key: OWN, name: 'Farm crunch', like: 'butter', allergens: deed.a < 0.5 ? null : [] }
    history.post('ingredient-named', history.story.kitchen.id, deed, own)
    return 'betters nothing'
  },
  'change an ingredient': (history, deed) => {
    const allergens = deed.a < 0.5 ? (['tree nuts'] as const) : []
    const own = { key: OWN, name: 'Farm crunch', like: 'butter', allergens: [...allergens] }
    const lacks = { contains: NO_TRACES, mayContain: NO_TRACES, claims: [] }
    const body = { ...own, gone: false, into: deed.b < 0.2 ? 'milk' : null, items: history.items, lacks, read: null }
    history.post('ingredient-changed', history.story.kitchen.id, { ...deed, who: 'lead' }, body)
    return 'betters nothing'
  },
  delegate: (history, deed) => {
    const [from, until] = [history.now, history.now + 120].map((minutes) => Math.round(at(minutes))) as [number, number]
    const earlier = deed.a < 0.5 ? ('stays' as const) : ('ends' as const)
    const body = { to: deed.b < 0.3 ? null : OTHER, from, until, earlier }
    history.story.post('delegated', history.story.kitchen.id, history.now, body, { by: LEAD })
    return 'betters nothing'
  },
  'set the week': (history, deed) => {
    const signs = deed.a < 0.5 ? [] : [{ person: OTHER, from: '10:00', until: '18:00' }]
    const day = { opens: '06:00', closes: '22:00', signs }
    history.decide('week-set', history.story.kitchen.id, { week: [day, day, day, day, day, null, null] })
    return 'betters nothing'
  },
  'set the lists': (history, deed) => {
    const lines = [{ key: 'basin', text: 'Hand basin: soap' }]
    const by = deed.a < 0.5 ? '11:00' : '13:00'
    const list = { key: 'opening', name: 'Opening', days: [0, 1, 2, 3, 4, 5, 6], by, lines }
    keepsMissed(history, () => {
      history.decide('lists-set', history.story.kitchen.id, { lists: deed.b < 0.2 ? [] : [list] })
    })
    return 'betters nothing'
  },
  'go through a list': (history, deed) => {
    const { id } = history.story.kitchen
    const faults = deed.a < 0.3 ? [{ line: 'basin', note: 'no soap' }] : []
    const body = { list: 'opening', day: dayOf(at(history.now), 'UTC'), faults }
    keepsMissed(history, () => {
      if (deed.b < 0.5) history.post('list-done', id, deed, body)
      else history.postLate('list-done', id, deed, body, 200)
    })
    return 'betters nothing'
  },
  'list back': (history, deed) => {
    const { id } = history.story.kitchen
    const last = history.story.kitchen.read('kitchen', id)?.listsDone.at(-1)
    keepsMissed(history, () => {
      history.post('list-taken-back', id, deed, { target: last?.entry ?? idOf('no list') })
    })
    return 'betters nothing'
  },
  'bring in an old log': (history, deed) => {
    const { id } = history.story.kitchen
    const line = 1 + Math.floor(deed.a * 4)
    const readings = [57, 30, 4].map((value, i) => ({
      at: Math.round(at(history.now - 60 * (3 - i))),
      typed: { value, unit: 'C' as const },
    }))
    const row = { what: 'Custard', method: null, readings, note: null }
    const rows = [line, line + (deed.b < 0.8 ? 1 : 0)].map((of) => ({ ...row, line: of }))
    history.decide('log-transcribed', id, { source: 'old.csv', sha256: sha256('old.csv'), rows })
    const spans = history.story.kitchen.read('kitchen', id)!.transcribed.flatMap((log) => log.spans)
    if (spans.some(([first], i) => i > 0 && first <= spans[i - 1]![1])) throw new Error('a line was told twice')
    return 'betters nothing'
  },
  'begin a trace': (history, deed) => {
    const of = { type: 'lot' as const, id: history.lots[deed.pot]! }
    history.post('trace-begun', history.story.kitchen.id, deed, { of, name: 'Eggs', code: 'E' })
    return 'betters nothing'
  },
  'end a trace': (history, deed) => {
    const { kitchen } = history.story
    const runs = kitchen.read('kitchen', kitchen.id)?.traceTries.find(({ ended }) => !ended)
    const body = { begun: runs?.entry ?? idOf('no trace'), note: '', counted: null, balance: null }
    const ids = history.items.slice(0, 3)
    const [found, missing] = deed.a < 0.5 ? [ids, []] : [[], ids]
    const ended = deed.b < 0.5 ? history.post('trace-ended', kitchen.id, deed, { ...body, found, missing }) : null
    if (
      ended &&
      traceResult(kitchen.read('kitchen', kitchen.id)!.traceTries.find(({ entry }) => entry === body.begun)!)?.passed
    )
      throw new Error('a trace passed of which nothing was counted')
    return 'betters nothing'
  },
  'keep a sample': (history, deed) => {
    const item = history.item(deed)
    if (!item) return
    const sample = { name: 'x', place: 'freezer, box 1', until: '2020-01-01' }
    history.post('item-used', item.id, deed, { measure: { value: 50, unit: 'g' }, then: 'sample', sample })
    return 'betters nothing'
  },
  'end a sample': (history, deed) => {
    const { kitchen } = history.story
    const kept = kitchen.read('kitchen', kitchen.id)?.samples.find(({ ended }) => !ended)
    const body = { sample: kept?.entry ?? idOf('no sample'), note: deed.a < 0.5 ? '' : 'to the authority' }
    const ended = history.post('sample-ended', kitchen.id, deed, body)
    if (ended && kept && body.note === '' && dayOf(at(history.now), 'UTC') <= kept.until)
      throw new Error('a sample was thrown away on a day on which it is kept')
    return 'betters nothing'
  },
  'hand over': (history, deed) => {
    const from = Math.round(at(history.now))
    history.post('handed-over', history.story.kitchen.id, deed, { asked: COOK, from, until: from + 3_600_000 })
    return 'betters nothing'
  },
  'find people': (history) => {
    const { kitchen } = history.story
    const people = [COOK, OTHER, CHEF, LEAD].map((id, i) => ({
      id,
      role: (['cook', 'cook', 'chef', 'lead'] as const)[i]!,
    }))
    history.story.post('people-found', kitchen.id, history.now, { people }, { by: kitchen.id })
    return 'betters nothing'
  },
  'give a role': (history, deed) => {
    const role = deed.a < 0.5 ? ('chef' as const) : ('cook' as const)
    history.decide('role-given', history.story.kitchen.id, { person: OTHER, role, administers: deed.b < 0.5 })
    return 'betters nothing'
  },
  'name the kitchen': (history) => {
    const { id } = history.story.kitchen
    history.decide('kitchen-named', id, { name: 'Another name', address: null, unit: 'F' })
    return 'betters nothing'
  },
  'change a PIN': (history) => {
    history.decide('pin-changed', history.story.kitchen.id, { person: COOK })
    return 'betters nothing'
  },
  'give a password': (history) => {
    history.decide('password-given', history.story.kitchen.id, { person: LEAD })
    return 'betters nothing'
  },
  restore: (history) => {
    const { kitchen } = history.story
    const last = kitchen.entries().at(-1)!.seal
    const body = { backupMade: Math.round(at(history.now)), seq: last.seq, hash: last.hash }
    history.story.post('restored', kitchen.id, history.now, body, { by: kitchen.id })
    return 'betters nothing'
  },
  probe: (history, deed) => {
    history.decide('instrument-registered', idOf(`probe ${history.now}`), {
      code: `P-${deed.pot}`,
      kind: 'probe',
      place: null,
      tolerance: 1,
      checks: { everyDays: 7, overdue: 'counts' },
    })
    return 'betters nothing'
  },
  'check in ice': (history, deed) => {
    const error = Math.round((deed.a * 4 - 2) * 10) / 10
    const shown = [error, error, error].map((value) => ({ value, unit: 'C' as const }))
    // It speaks for what is read from then on: of what was read before it never betters anything.
    history.post('instrument-checked', PROBE, deed, { against: { kind: 'ice' }, shown, found: NOT_FOUND })
    return 'betters nothing'
  },
  'compare with the other': (history, deed) => {
    const shown = [4, 4, 4].map((value) => ({ value, unit: 'C' as const }))
    const against = {
      kind: 'instrument' as const,
      id: REFERENCE,
      shown: { value: 4 + deed.a - 0.5, unit: 'C' as const },
    }
    history.post('instrument-checked', PROBE, deed, { against, shown, found: NOT_FOUND })
    return 'betters nothing'
  },
  'check the other in ice': (history, deed) => {
    const error = Math.round((deed.a * 4 - 2) * 10) / 10
    const shown = [error, error, error].map((value) => ({ value, unit: 'C' as const }))
    history.post('instrument-checked', REFERENCE, deed, { against: { kind: 'ice' }, shown, found: NOT_FOUND })
    return 'betters nothing'
  },
  'drop it': (history, deed) => {
    history.post('instrument-due', PROBE, deed, { why: 'dropped' })
    return 'betters nothing'
  },
  'hold it to less': (history) => {
    history.decide('instrument-changed', PROBE, {
      place: 'on the wall',
      tolerance: 0.5,
      checks: { everyDays: 1, overdue: 'proves nothing' },
    })
    return 'betters nothing'
  },
  'lose one': (history, deed) => {
    const probe = idOf(`probe ${history.now - deed.wait}`)
    history.decide('instrument-gone', probe, { how: 'lost', reason: WHY })
    return 'betters nothing'
  },
  limits: (history, deed) => {
    const { kitchen } = history.story
    const last = kitchen.read('limits', kitchen.limits)!.versions.at(-1)!
    const from = Math.round(at(history.now))
    const practice = { ...PRACTICE, warmMinutes: 20 + Math.round(deed.a * 20) }
    history.decide('limits-set', kitchen.limits, { set: { ...last, version: last.version + 1, from, practice } })
  },
  'new version': (history) => {
    const { kitchen } = history.story
    const { versions } = kitchen.read('method', custard.id)!
    const version = versions.at(-1)!.version + 1
    history.decide('method-saved', custard.id, { method: { ...custard, version } })
    history.decide('method-approved', custard.id, { version, limits: kitchen.limits, components: [] })
  },
  'sign a line': (history) => {
    const validUntil = addDays(dayOf(at(history.now), 'UTC'), 30)
    const line = { most: 100, reason: WHY, validUntil }
    history.decide('guidance-replaced', custard.id, { limits: history.story.kitchen.limits, limit: 'cool-total', line })
  },
  'sign the plan': (history, deed) => {
    const { kitchen } = history.story
    const state = kitchen.read('method', custard.id)!
    const limits = limitsAt(kitchen.read('limits', kitchen.limits)!.versions, at(history.now))!
    const now = writtenPlan(approvedOf(state)!, limits, state.signed, dayOf(at(history.now), 'UTC'), () => null).basis
    // As often as not what was signed before: from then on the kitchen may have changed.
    const basis = (deed.a < 0.5 && state.plan?.basis) || now
    const version = (state.plan?.version ?? 0) + 1
    const body = { version, limits: kitchen.limits, parts: [], basis, note: '' }
    if (history.decide('plan-signed', custard.id, body) && canonical(basis) !== canonical(now))
      throw new Error('a plan is signed that is not in force')
    return 'betters nothing'
  },
  'sign a bake': (history) => {
    const validUntil = addDays(dayOf(at(history.now), 'UTC'), 30)
    const shownBy = { study: 'S-1' }
    const bake = {
      version: 1,
      oven: { value: 180, unit: 'C' as const },
      minutes: 30,
      cue: 'golden',
      shownBy,
      validUntil,
    }
    history.decide('bake-validated', custard.id, { limits: history.story.kitchen.limits, step: 'cook', bake })
  },
  'sign a document of pH': (history, deed) => {
    const validUntil = addDays(dayOf(at(history.now), 'UTC'), 30)
    const by = deed.b < 0.5 ? ('authority' as const) : ('house' as const)
    const said = {
      issuer: 'Harbour county',
      number: 'V-1',
      least: null,
      most: 4.2,
      how: 'of the cooled product',
      days: 21,
    }
    const document = { version: 1, by, ...said, needsCold: deed.a < 0.5, validUntil }
    history.decide('acidity-documented', custard.id, { document })
  },
  'another pot': (history, deed) => {
    if (history.pots.length > 3) return
    const { kitchen } = history.story
    if (kitchen.read('method', custard.id)!.versions.length > 1) return
    history.pots.push(history.story.begin(`pot ${history.pots.length} ${deed.pot}`, history.now))
  },
}
