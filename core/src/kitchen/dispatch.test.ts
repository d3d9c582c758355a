import type { Bodies } from '../ledger/entry'
import { dispatchesOf, itemLeft, wentOutOf } from '../state/item'
import { KitchenStory, LEAD, PROBE } from '../test/kitchenStory'
import { item } from '../test/pot'
import { at } from '../test/traces'

/** What leaves the kitchen: to whom, how cold, in what; how it arrives, and what never goes to whom. */

function kitchen(name: 'made' | 'cooked' = 'made') {
  const story = new KitchenStory()
  story.air(0, 3)
  const pot = story[name]('pot')
  return { story, pot, held: story.putAway(pot, 250) }
}
const sent = (more: Partial<Bodies['item-dispatched']> = {}): Bodies['item-dispatched'] => ({
  measure: { value: 500, unit: 'g' },
  to: 'customer',
  name: 'The Lantern tearoom',
  typed: { value: 3.2, unit: 'C' },
  instrument: PROBE,
  box: 'insulated box 2, ice packs',
  vehicle: 'the van',
  ...more,
})
const send = (story: KitchenStory, id: string, more: Partial<Bodies['item-dispatched']> = {}, minutes = 300) => {
  const { posted, id: entry } = story.post('item-dispatched', id, minutes, sent(more))
  return { entry, why: posted.ok ? null : (posted.why ?? posted.code) }
}

it('leaves stock for good, read cold by a probe, and never more than there is', () => {
  const { story, held } = kitchen()
  expect(send(story, held).why).toBeNull()
  expect(itemLeft(item(story, held)).value).toBe(1500)
  expect(send(story, held, { typed: { value: 9, unit: 'C' } }).why).toBe('too warm')
  expect(send(story, held, { typed: null, instrument: null }).why).toBe('asks first')
  expect(send(story, held, { instrument: null }).why).toBe('not there')
  expect(send(story, held, { measure: { value: 5000, unit: 'g' } }).why).toBe('more than is left')
  expect(send(story, held, { measure: { value: 5, unit: 'portion' } }).why).toBe('more than is left')
  story.enter('item-held', held, 310, { reason: 'smells' })
  expect(send(story, held, {}, 311).why).toBe('held')
  // Left all the same, it betters nothing, and the lead answers for it.
  expect(send(story, held, { happened: true }, 312).why).toBeNull()
  expect(wentOutOf(item(story, held))).toHaveLength(1)
})

it('to highly susceptible people nothing raw, and nothing that is not proven by readings', () => {
  const { story, held } = kitchen()
  expect(send(story, held, { to: 'care home' }).why).toBeNull()
  const raw = kitchen()
  const yolk = { step: 'hold', ingredient: 'yolk', grams: 60, state: 'as it is' as const, lot: null }
  raw.story.enter('added', raw.pot, 255, { ...yolk, happened: true })
  const topped = raw.story.putAway(raw.pot, 260)
  expect(item(raw.story, topped).facts.heat).toBe('raw')
  expect(send(raw.story, topped, { to: 'care home' }).why).not.toBeNull()
  // Let go on by the lead it may go to others; unproven it stays.
  const unread = new KitchenStory()
  unread.air(0, 3)
  const pot = unread.cooked('slow')
  const findings = unread.kitchen.findings(pot, at(505))
  expect(findings.some(({ standing }) => standing === 'unproven' || standing === 'missed')).toBe(true)
  const portion = unread.putAway(pot, 510)
  unread.air(508, 3)
  unread.enter('item-read', portion, 515, { typed: { value: 3, unit: 'C' }, instrument: PROBE })
  const reason = 'looked at by two, in writing, for the record'
  const { posted } = unread.post('item-released', portion, 520, { reason }, { by: LEAD })
  expect(posted.ok).toBe(true)
  unread.air(521, 3)
  expect(send(unread, portion, {}, 530).why).toBeNull()
  expect(send(unread, portion, { to: 'care home' }, 530).why).toBe('not proven')
})

it('is read as it arrives; too warm, what core finds counts and the lead answers', () => {
  const { story, held } = kitchen()
  const { entry } = send(story, held)
  const arrives = (celsius: number, target: string, minutes: number) =>
    story.post('item-arrived', held, minutes, {
      target,
      typed: { value: celsius, unit: 'C' },
      instrument: null,
      warm: false,
    }).posted
  expect(arrives(4, item(story, held).born, 340)).toMatchObject({ ok: false })
  expect(arrives(4, entry, 345)).toMatchObject({ ok: true })
  expect(wentOutOf(item(story, held))).toHaveLength(0)
  expect(dispatchesOf(item(story, held))[0]!.arrived!.value).toMatchObject({ warm: false })
  const second = send(story, held, {}, 350).entry
  expect(arrives(11, second, 400)).toMatchObject({ ok: true })
  // A colder word after it takes nothing back.
  expect(arrives(3, second, 400.5)).toMatchObject({ ok: true })
  expect(dispatchesOf(item(story, held))[1]!.arrived!.value).toMatchObject({ warm: true })
  expect(wentOutOf(item(story, held)).map((fact) => fact.entry)).toEqual([second])
  expect(story.kitchen.item(held, at(401)).asks).toBe('lead decides')
  const reason = 'the customer was told, and nothing was eaten of it'
  story.enter('went-out-answered', held, 410, { reason }, { by: LEAD })
  expect(wentOutOf(item(story, held))).toHaveLength(0)
})

it('does not leave from the counter, and what stands there is not topped up', () => {
  const { story, held } = kitchen()
  const other = story.putAway(story.made('other'), 255)
  story.enter('item-moved', held, 300, { how: 'serve', unit: null, shelf: null })
  expect(send(story, held, {}, 305).why).toBe('out for good')
  const { posted } = story.finish(held, other, 306)
  expect(posted).toMatchObject({ ok: false, why: 'out for good' })
})
