import fc from 'fast-check'
import type { Bodies } from '../ledger/entry'
import { idOf, KitchenStory, LEAD, PROBE } from '../test/kitchenStory'
import { DAY, OTHER_PROBE, WEEKLY, none, kitchen, inIce, check, stands, due } from '../test/probeStory'

/** What a probe proves. Minutes are after ten. */

describe('a probe and its check', () => {
  it('proves nothing before the first, and what it read before stays so', () => {
    const story = kitchen()
    const batch = story.cooked()
    expect(due(story, batch, 30)).toBe('unproven')
    check(story, 31, 0.2)
    expect(due(story, batch, 32)).toBe('unproven')
    const next = story.begin('next', 33)
    story.mark(next, 34, 'temper', 'combined')
    story.read(next, 40, 80)
    story.mark(next, 42, 'cook', 'done')
    expect(due(story, next, 45)).toBe('proven')
  })

  it('counts while a check is late, and no more one interval after; the house may cap it at once', () => {
    for (const [overdue, late] of [
      ['counts', 'proven'],
      ['proves nothing', 'unproven'],
    ] as const) {
      const story = kitchen({ everyDays: 7, overdue })
      check(story, -45, 0)
      expect(stands(story, -45 + 6 * DAY).backing).toBe('checked')
      const after = -45 + 8 * DAY
      const batch = story.begin('late', after)
      story.mark(batch, after + 5, 'temper', 'combined')
      story.read(batch, after + 10, 80)
      story.mark(batch, after + 12, 'cook', 'done')
      expect(stands(story, after).backing).toBe(overdue === 'counts' ? 'overdue' : 'lapsed')
      expect(due(story, batch, after + 20)).toBe(late)
      const later = -45 + 15 * DAY
      const second = story.begin('later', later)
      story.mark(second, later + 5, 'temper', 'combined')
      story.read(second, later + 10, 80)
      story.mark(second, later + 12, 'cook', 'done')
      expect(due(story, second, later + 20)).toBe('unproven')
    }
  })

  it('is due at once after a fall, and cannot be checked into the past', () => {
    const story = kitchen()
    check(story, -40, 0)
    story.enter('instrument-due', PROBE, -30, { why: 'dropped' })
    expect(stands(story, 0)).toMatchObject({ backing: 'overdue', atOnce: 'dropped' })
    check(story, -10, 0)
    expect(stands(story, 0)).toMatchObject({ backing: 'checked', atOnce: null })

    const fresh = kitchen()
    const batch = fresh.cooked()
    // "I had checked it at five to ten", said at half past.
    check(fresh, -5, 0, 35)
    expect(due(fresh, batch, 40)).toBe('unproven')
    fresh.read(batch, 41, 82)
    expect(stands(fresh, 0).backing).toBe('unchecked')
  })

  it('fails on, whoever says late that it passed before it failed', () => {
    const story = kitchen()
    check(story, -60, 0)
    check(story, 0, 3)
    check(story, -30, 0, 60)
    expect(stands(story, 40).backing).toBe('failed')
    const batch = story.cooked()
    expect(due(story, batch, 45)).toBe('unproven')
    check(story, 46, 0.4)
    expect(stands(story, 47).backing).toBe('checked')
  })

  it('passes by a laboratory’s certificate, from when that is told, and is due by the day of it', () => {
    const story = kitchen()
    const against = { kind: 'certificate' as const, issuer: 'Invented Laboratory', number: 'K 17' }
    const told = (truth: number, shown: number[], days: number) =>
      story.post(
        'instrument-checked',
        PROBE,
        -days * DAY,
        {
          against: { ...against, truth: { value: truth, unit: 'C' } },
          shown: shown.map((value) => ({ value, unit: 'C' as const })),
          found: none,
        },
        { after: days * DAY },
      )
    expect(told(70, [70.4, 70.5], 3).posted).toMatchObject({ ok: false, code: 'read again' })
    expect(told(70, [70.4], 3).posted).toMatchObject({ ok: true })
    expect(stands(story, -1).backing).toBe('unchecked')
    expect(stands(story, 1)).toMatchObject({ backing: 'checked', last: { error: 0.4, reference: 70 } })
    expect(stands(story, 4.5 * DAY).backing).toBe('overdue')
    // Older than what is known by then: it takes nothing of that back.
    check(story, 2, 2.5)
    expect(told(70, [70], 1).posted).toMatchObject({ ok: true })
    expect(stands(story, 3 * DAY).backing).toBe('failed')
  })

  it('takes back what was read with it between a fall and the telling of it, and nothing of before', () => {
    const story = kitchen({ everyDays: 7, overdue: 'proves nothing' })
    check(story, -40, 0)
    const batch = story.cooked()
    story.read(batch, 100, 20)
    expect(story.standing(batch, 'cool-first', 105)).toBe('proven')
    story.enter('instrument-due', PROBE, 95, { why: 'dropped' }, { after: 15 })
    expect(story.standing(batch, 'cool-first', 111)).toBe('open')
    expect(due(story, batch, 111)).toBe('proven')
  })

  it('takes off what it reads too high, and keeps what it showed', () => {
    const story = kitchen()
    check(story, -40, 0.7)
    const batch = story.begin('pot')
    const entry = story.read(batch, 10, 68.3)
    const [fact] = story.kitchen.read('batch', batch)!.facts['reading-taken']
    expect(fact).toMatchObject({ entry, value: { typed: { value: 68.3 }, readBy: { backing: 'checked', off: 0.7 } } })
    const water = { kind: 'boiling' as const, altitude: 0 }
    const shown = [100.5, 100.4, 100.4].map((value) => ({ value, unit: 'C' as const }))
    story.enter('instrument-checked', PROBE, 12, { against: water, shown, found: none })
    story.read(batch, 15, 50)
    const { value } = story.kitchen.read('batch', batch)!.facts['reading-taken'].at(-1)!
    // Between 0.7 in ice and 0.4 in boiling water.
    expect(value.readBy!.off).toBeCloseTo(0.55, 1)
  })

  it('passes on the line itself, and fails just over it', () => {
    fc.assert(
      fc.property(fc.integer({ min: -30, max: 30 }), (tenths) => {
        const story = kitchen()
        check(story, -40, tenths / 10)
        const { last } = stands(story, -30)
        expect(last).toMatchObject({ error: tenths / 10, passed: Math.abs(tenths) <= 10 })
      }),
      { numRuns: 30 },
    )
  })

  it.each<[string, Partial<Bodies['instrument-checked']>, string]>([
    ['two readings', { shown: [{ value: 0, unit: 'C' }] }, 'read again'],
    ['one that still moves', { shown: [0, 0.4, 0.9].map((value) => ({ value, unit: 'C' as const })) }, 'not steady'],
    [
      'a probe that was never checked itself',
      { against: { kind: 'instrument', id: OTHER_PROBE, shown: { value: 0, unit: 'C' } } },
      'reference not checked',
    ],
    ['buffers', { against: { kind: 'buffers', buffers: [] } }, 'not checked so'],
  ])('is refused by %s', (_, wrong, code) => {
    const story = kitchen()
    const { posted } = story.post('instrument-checked', PROBE, 0, { ...inIce(0), ...wrong })
    expect(posted).toMatchObject({ ok: false, code })
    expect(story.kitchen.read('instrument', PROBE)!.history).toEqual([])
  })

  it('takes the same buffer twice for one', () => {
    const ph = idOf('ph')
    const story = new KitchenStory({ instruments: [{ id: ph, code: 'pH1', kind: 'ph', checks: WEEKLY }] })
    const buffers = (...nominal: number[]) =>
      story.post('instrument-checked', ph, 0, {
        against: { kind: 'buffers', buffers: nominal.map((each) => ({ nominal: each, read: each + 0.02 })) },
        shown: [],
        found: none,
      }).posted
    expect(buffers(7, 7)).toMatchObject({ ok: false, code: 'read again' })
    expect(buffers(7, 4)).toMatchObject({ ok: true })
  })

  it('is asked for checks from then on, once it was', () => {
    const story = kitchen('not asked')
    const facts = { place: null, tolerance: 1 }
    const change = (checks: Bodies['instrument-changed']['checks']) =>
      story.post('instrument-changed', PROBE, 0, { ...facts, checks }, { by: LEAD }).posted
    expect(change(WEEKLY)).toMatchObject({ ok: true })
    expect(stands(story, 1).backing).toBe('unchecked')
    expect(change('not asked')).toMatchObject({ ok: false, code: 'bad field' })
  })

  it('reads nothing more once it is lost', () => {
    const story = kitchen()
    const batch = story.begin('pot')
    story.enter('instrument-gone', PROBE, 5, { how: 'lost', reason: 'not in any drawer' }, { by: LEAD })
    const reading = {
      typed: { value: 80, unit: 'C' as const },
      where: 'core' as const,
      of: 'mixture' as const,
      instrument: PROBE,
    }
    expect(story.post('reading-taken', batch, 10, reading).posted).toMatchObject({ ok: false, code: 'instrument gone' })
    expect(story.post('instrument-checked', PROBE, 10, inIce(0)).posted).toMatchObject({ code: 'instrument gone' })
  })
})

it('lets nobody accept a delivery, or plan a part, by a probe that proves nothing', () => {
  const story = kitchen()
  const delivery = (verdict: 'accept' | 'hold'): Bodies['lot-received'] => ({
    code: 'C-1',
    ingredient: 'cream-36',
    name: 'Cream',
    form: null,
    size: null,
    supplier: 'Hill dairy',
    useBy: '2027-03-12',
    pasteurized: null,
    scheme: null,
    treatment: null,
    received: { typed: { value: 3, unit: 'C' }, instrument: PROBE },
    condition: null,
    verdict,
    why: verdict === 'hold' ? 'the probe was never checked' : null,
    held: null,
  })
  const receive = (name: string, verdict: 'accept' | 'hold', minutes: number) =>
    story.post('lot-received', idOf(name), minutes, delivery(verdict)).posted
  expect(receive('cream', 'accept', 0)).toMatchObject({ ok: false, code: 'received otherwise' })
  expect(receive('cream', 'hold', 1)).toMatchObject({ ok: true })

  const by = { instrument: OTHER_PROBE }
  const custard = story.begin('custard', 2)
  story.mark(custard, 3, 'temper', 'combined')
  story.read(custard, 5, 82, by)
  story.mark(custard, 6, 'cook', 'done')
  story.read(custard, 10, 57, by)
  story.read(custard, 90, 20, by)
  story.read(custard, 200, 4, by)
  const item = story.putAway(custard, 210)
  const into = story.begin('into', 215)
  const part = story.part(item, into, 220, 'cook')
  expect(story.post('part-used', item, 220, part).posted).toMatchObject({ ok: false, code: 'instrument in doubt' })
  // Checked, the same probe receives and portions; failed, it takes the lot into its list.
  check(story, 225, 0)
  expect(receive('more cream', 'accept', 230)).toMatchObject({ ok: true })
  expect(story.post('part-used', item, 232, story.part(item, into, 232, 'cook')).posted).toMatchObject({ ok: true })
  check(story, 240, 3)
  expect(story.kitchen.read('lot', idOf('more cream'))!.fails).toHaveLength(1)
})

it('takes no tablet’s word for what stands behind a reading', () => {
  const story = kitchen()
  check(story, -40, 0)
  const batch = story.begin('pot')
  const lie = { backing: 'checked' as const, off: -20 }
  story.read(batch, 10, 60, { readBy: lie })
  story.read(batch, 11, 60, { readBy: lie, instrument: null })
  const values = story.kitchen.read('batch', batch)!.facts['reading-taken'].map(({ value }) => value.readBy)
  expect(values).toEqual([{ backing: 'checked', off: 0 }, undefined])
})
