import { addDays, dayOf } from '../ground/zone'
import type { Bodies } from '../ledger/entry'
import type { Id } from '../ledger/subject'
import type { Method } from '../recipe/method/method'
import { writtenPlan } from '../recipe/plan/writtenPlan'
import { limitsAt } from '../rules/limitSet'
import { approvedOf } from '../state/method'
import { CHEF, custard, idOf, KitchenStory, LEAD } from '../test/kitchenStory'
import { at } from '../test/traces'

const NUTS: Method = {
  ...custard,
  id: idOf('praline'),
  name: 'Praline',
  amounts: [{ ...custard.amounts[1]!, key: 'hazelnut', ingredient: 'hazelnut' }],
}
const FILLED: Method = {
  ...custard,
  id: idOf('filled'),
  name: 'Filled custard',
  components: [{ key: 'in', method: NUTS.id, name: 'Praline', grams: 200, step: 'warm' }],
}

/** What a tablet that shows the plan at that time would send. */
function planAt({ kitchen }: KitchenStory, method: Id, minutes: number, parts: Id[] = []): Bodies['plan-signed'] {
  const state = kitchen.read('method', method)!
  const limits = limitsAt(kitchen.read('limits', kitchen.limits)!.versions, at(minutes))!
  const find = (id: Id) => approvedOf(kitchen.read('method', id))
  const { basis } = writtenPlan(approvedOf(state)!, limits, state.signed, dayOf(at(minutes), 'UTC'), find)
  return { version: (state.plan?.version ?? 0) + 1, limits: kitchen.limits, parts, basis, note: 'shallow pans only' }
}

describe('a written plan', () => {
  const sign = (story: KitchenStory, method: Id, minutes: number, body: Bodies['plan-signed'], by = LEAD) =>
    story.post('plan-signed', method, minutes, body, { by }).posted

  it('is signed by the lead as it is in force, once for each version of it', () => {
    const story = new KitchenStory()
    const body = planAt(story, custard.id, 0)
    expect(sign(story, custard.id, 0, body, CHEF)).toMatchObject({ ok: false })
    expect(sign(story, custard.id, 0, body)).toMatchObject({ ok: true })
    expect(story.kitchen.read('method', custard.id)!.plan).toMatchObject({ version: 1, by: LEAD, note: body.note })
    expect(sign(story, custard.id, 1, body)).toMatchObject({ ok: false, code: 'older version' })
    expect(sign(story, custard.id, 1, { ...body, version: 2 })).toMatchObject({ ok: true })
  })

  it('is refused once the method, the limits or what the lead signed for it is another than was shown', () => {
    const story = new KitchenStory()
    const { kitchen } = story
    const changed = { ok: false, code: 'plan changed' }
    const first = planAt(story, custard.id, 0)
    story.publish({ ...custard, version: 2 }, 1)
    expect(sign(story, custard.id, 5, first)).toMatchObject(changed)
    const second = planAt(story, custard.id, 5)
    const limits = kitchen.read('limits', kitchen.limits)!.versions.at(-1)!
    const set = { ...limits, version: limits.version + 1, from: Math.round(at(6)) }
    story.enter('limits-set', kitchen.limits, 6, { set }, { by: LEAD })
    expect(sign(story, custard.id, 7, second)).toMatchObject(changed)
    expect(sign(story, custard.id, 7, planAt(story, custard.id, 7))).toMatchObject({ ok: true })
    // Nothing of ours, or half of it.
    for (const basis of [null, {}, { ...second.basis, allergens: [] }])
      expect(sign(story, custard.id, 8, { ...second, version: 2, basis } as Bodies['plan-signed'])).toMatchObject(
        changed,
      )
  })

  it('is another on the day after something signed for it has ended', () => {
    const story = new KitchenStory({ ruleSet: 'uk-2013' })
    const day = dayOf(at(0), 'UTC')
    const line = { most: 120, reason: 'eight trials', validUntil: addDays(day, 2) }
    story.enter(
      'guidance-replaced',
      custard.id,
      0,
      { limits: story.kitchen.limits, limit: 'cool-total', line },
      { by: LEAD },
    )
    const minutes = (days: number) => days * 24 * 60
    const body = planAt(story, custard.id, 1)
    expect(body.basis.signed.lines).toHaveLength(1)
    expect(planAt(story, custard.id, minutes(2)).basis).toEqual(body.basis)
    expect(planAt(story, custard.id, minutes(3)).basis).not.toEqual(body.basis)
    expect(sign(story, custard.id, minutes(3), body)).toMatchObject({ ok: false, code: 'plan changed' })
  })

  it('names what its parts hold, and is refused where a part is left out', () => {
    const story = new KitchenStory({}, [custard, NUTS, FILLED])
    const body = planAt(story, FILLED.id, 0, [NUTS.id])
    expect(body.basis.allergens).toContain('tree nuts')
    expect(sign(story, FILLED.id, 0, { ...body, parts: [] })).toMatchObject({ ok: false, code: 'plan changed' })
    expect(sign(story, FILLED.id, 0, body)).toMatchObject({ ok: true })
    story.publish({ ...NUTS, version: 2, amounts: [custard.amounts[1]!] }, 1)
    expect(planAt(story, FILLED.id, 5).basis).not.toEqual(body.basis)
  })
})
