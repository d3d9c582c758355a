import fc from 'fast-check'
import { FieldError } from '../ground/field'
import { MINUTE, type Instant } from '../ground/instant'
import { lookBack } from '../judgement/batch/lookBack'
import { kinds } from '../admission/kinds'
import type { Bodies, Entry, ReadingBody } from '../ledger/entry'
import { failureOf } from '../state/backing'
import type { Fact } from '../state/fact'
import { instrumentStanding } from '../state/instrument'
import { idOf, type KitchenStory, LEAD, PROBE } from '../test/kitchenStory'
import { check, DAY, due, inIce, kitchen, none, OTHER_PROBE, stands } from '../test/probeStory'
import { at } from '../test/traces'

/** A probe that is checked against another is as good as that one. Minutes are after ten. */

const LOOSE = { everyDays: 60, overdue: 'counts' as const }

/** P4 is compared with P2, that is checked in ice once in sixty days. */
function withReference(minutes = -50, story = kitchen()): KitchenStory {
  story.enter('instrument-changed', OTHER_PROBE, minutes, { place: null, tolerance: 1, checks: LOOSE }, { by: LEAD })
  reference(story, minutes, 0)
  return story
}

const reference = (story: KitchenStory, minutes: number, celsius: number, after = 0) =>
  story.enter('instrument-checked', OTHER_PROBE, minutes, inIce(celsius), { after })

const against = (id: string, shown: number, own: number): Bodies['instrument-checked'] => ({
  ...inIce(own),
  against: { kind: 'instrument', id, shown: { value: shown, unit: 'C' } },
})

/** P4 shows `own` where P2 shows `shown`. */
const compare = (story: KitchenStory, minutes: number, own = 4) =>
  story.enter('instrument-checked', PROBE, minutes, against(OTHER_PROBE, 4, own))

const proven = (story: KitchenStory, batch: string, minutes: number) => story.kitchen.standing(batch, at(minutes))

describe('a probe that passed against another', () => {
  const failing = () => {
    const story = withReference()
    compare(story, -40, 4.3)
    const batch = story.made()
    expect(proven(story, batch, 250)).toBe('proven')
    return { story, batch }
  }

  it('proved nothing where that one is found wrong, and stands as it did before', () => {
    const { story, batch } = failing()
    const failed = reference(story, 260, 1.9)
    expect(due(story, batch, 270)).toBe('unproven')
    expect(story.check(batch, 'egg', 270)).toMatchObject({ doubts: ['failed'] })
    expect(stands(story, 270).backing).toBe('unchecked')
    // 0.3 more than the other, which read 1.9 too high itself.
    const state = story.kitchen.read('batch', batch)!
    expect(state.failedProbes.find(({ value }) => value.instrument === PROBE)!.value.error).toBe(2.2)
    const found = lookBack(state, failed, { zone: 'UTC' }, at(270))
    expect(found).toMatchObject({ was: 'proven', risk: 'unproven', decidedAt: null })
    expect(found.reading).toMatchObject({ shown: 20, shifted: 22.2 })
    const accepted = { entries: found.doubted.map((entry) => ({ type: 'batch' as const, id: batch, entry })) }
    story.enter('entries-accepted', story.kitchen.id, 280, { ...accepted, reason: 'two read it' }, { by: LEAD })
    expect(proven(story, batch, 290)).toBe('proven')
  })

  it('is not told well again by a pass since, nor by comparing it late', () => {
    const { story, batch } = failing()
    check(story, 255, 0)
    reference(story, 260, 1.9)
    reference(story, 265, 0)
    expect(due(story, batch, 270)).toBe('unproven')
    expect(stands(story, 270).backing).toBe('checked')
    const late = story.post('instrument-checked', PROBE, 259, against(OTHER_PROBE, 4, 4), { after: 12 })
    expect(late.posted).toMatchObject({ ok: false, code: 'reference not checked' })
    expect(due(story, batch, 275)).toBe('unproven')
  })

  it('keeps what it read once it had passed in ice itself, and what it read before', () => {
    const story = kitchen()
    check(story, -60, 0)
    const before = story.cooked('before')
    withReference(25, story)
    compare(story, 30)
    check(story, 40, 0)
    story.read(before, 100, 20)
    reference(story, 110, 1.9)
    expect(due(story, before, 120)).toBe('proven')
    expect(story.standing(before, 'cool-first', 120)).toBe('proven')
    expect(stands(story, 120).backing).toBe('checked')
  })

  it('takes along what was read before it, where it failed the next in ice and the other fails then', () => {
    const story = kitchen()
    check(story, -60, 0)
    const batch = story.cooked()
    withReference(25, story)
    compare(story, 30)
    check(story, 40, 1.9)
    expect(due(story, batch, 50)).toBe('proven')
    reference(story, 60, 1.9)
    expect(due(story, batch, 70)).toBe('unproven')
  })

  it('is in doubt too where the other fell before, and nobody had said so', () => {
    const story = withReference()
    const strict = { everyDays: 60, overdue: 'proves nothing' as const }
    story.enter('instrument-changed', OTHER_PROBE, -45, { place: null, tolerance: 1, checks: strict }, { by: LEAD })
    compare(story, -10)
    const batch = story.made()
    story.enter('instrument-due', OTHER_PROBE, -20, { why: 'dropped' }, { after: 290 })
    expect(due(story, batch, 280)).toBe('unproven')
    expect(stands(story, 280).backing).toBe('unchecked')
  })

  it('is remembered for as long as the other can fail, through any number of its own checks', () => {
    const story = withReference()
    compare(story, -40)
    const batch = story.made()
    for (const day of [7, 14, 21, 28, 35, 42, 49, 56]) check(story, day * DAY, 0)
    reference(story, 59 * DAY, 1.9)
    expect(due(story, batch, 59 * DAY + 5)).toBe('unproven')

    // Once that has passed twice more, no failure of its reaches it, and nothing is kept.
    const settled = withReference()
    compare(settled, -40)
    settled.made()
    for (const day of [30, 45, 50]) reference(settled, day * DAY, 0)
    for (const day of [51, 65, 66, 67]) check(settled, day * DAY, 0)
    expect(settled.kitchen.read('instrument', PROBE)!.uses).toEqual([])
  })

  it('is refused by one that was itself only compared, was checked too long ago, or reads no temperature', () => {
    const third = idOf('third')
    const story = withReference()
    const register = (id: string, code: string, kind: 'probe' | 'ph') =>
      story.enter(
        'instrument-registered',
        id,
        -45,
        { code, kind, place: null, tolerance: 1, checks: LOOSE },
        { by: LEAD },
      )
    register(third, 'P7', 'probe')
    compare(story, -40)
    const refused = (id: string, minutes: number) =>
      expect(story.post('instrument-checked', third, minutes, against(id, 4, 4)).posted)
    refused(PROBE, -30).toMatchObject({ ok: false, code: 'reference not checked' })
    refused(OTHER_PROBE, 31 * DAY).toMatchObject({ ok: false, code: 'reference not checked' })
    refused(OTHER_PROBE, 30 * DAY).toMatchObject({ ok: true })
    const meter = idOf('meter')
    register(meter, 'pH1', 'ph')
    const buffers = [7, 4].map((nominal) => ({ nominal, read: nominal }))
    const passed = { against: { kind: 'buffers' as const, buffers }, shown: [], found: none }
    story.enter('instrument-checked', meter, 30 * DAY, passed)
    refused(meter, 30 * DAY + 5).toMatchObject({ ok: false, code: 'reference not checked' })
  })

  it('counts nothing that was sent as found', () => {
    const { story, batch } = failing()
    const sent = { ...none, through: [], kept: null, passed: true }
    story.enter('instrument-checked', OTHER_PROBE, 260, { ...inIce(1.9), found: sent })
    expect(due(story, batch, 270)).toBe('unproven')
    expect(instrumentStanding(story.kitchen.read('instrument', OTHER_PROBE)!, at(270)).backing).toBe('failed')
    for (const found of [
      5,
      { doubted: 5 },
      { ...none, doubted: [{ type: 'x', id: PROBE }] },
      { ...none, through: [5] },
    ])
      expect(() => kinds['instrument-checked'].parse({ path: 'body', value: { ...inIce(0), found } })).toThrow(
        FieldError,
      )
  })

  it('never stands behind a reading, whatever was checked when, once the other is found wrong', () => {
    const deed = fc.record({
      what: fc.constantFrom(
        'read',
        'read',
        'compare',
        'compare',
        'P in ice',
        'P fails',
        'R in ice',
        'R in ice',
        'R fails',
      ),
      wait: fc.constantFrom(5, 60, 3 * DAY, 9 * DAY),
      after: fc.constantFrom(0, 0, 2, 40, 2 * DAY),
    })
    let reached = 0
    fc.assert(
      fc.property(fc.array(deed, { minLength: 6, maxLength: 24 }), (all) => {
        const story = withReference()
        const batches: string[] = []
        let now = 0
        for (const { what, wait, after } of all) {
          now += wait
          const made = now - after
          const ice = (id: string, celsius: number) =>
            story.post('instrument-checked', id, made, inIce(celsius), { after })
          if (what === 'compare') story.post('instrument-checked', PROBE, made, against(OTHER_PROBE, 4, 4), { after })
          else if (what === 'read') {
            batches.push(story.begin(`batch ${now}`, now))
            story.read(batches.at(-1)!, now + 1, 60)
          } else ice(what.startsWith('P') ? PROBE : OTHER_PROBE, what.endsWith('fails') ? 1.9 : 0)
        }
        for (const id of batches) {
          const batch = story.kitchen.read('batch', id)!
          const [reading] = batch.facts['reading-taken'] as [Fact<ReadingBody>]
          if (!hangsOnWrong(story.kitchen.entries(), reading.at)) continue
          reached += 1
          expect(failureOf(reading, batch.failedProbes)).not.toBeNull()
        }
      }),
      { numRuns: 120, seed: 20271201 },
    )
    expect(reached).toBeGreaterThan(10)
  })
})

/** By the entries alone: the check that spoke for a reading was passed against P2, and that was wrong then. */
function hangsOnWrong(entries: readonly Entry[], at: Instant): boolean {
  const checks = entries.flatMap(({ claim, seal }) => {
    if (claim.kind !== 'instrument-checked') return []
    const known = seal!.recordedAt
    const passed = claim.body.shown[0]!.value !== 1.9
    const late = known - claim.at > 15 * MINUTE
    return [
      {
        of: claim.about.id,
        made: claim.at,
        passed,
        by: claim.body.against.kind,
        from: passed && late ? known : claim.at,
        known,
      },
    ]
  })
  const own = checks.filter(({ of, from, known }) => of === PROBE && from <= at && known <= at)
  const spoke = own.reduce<(typeof own)[0] | null>((last, each) => (last && last.made > each.made ? last : each), null)
  if (!spoke?.passed || spoke.by !== 'instrument') return false
  const others = checks.filter(({ of }) => of === OTHER_PROBE)
  const wrong = others.filter((failed) => {
    if (failed.passed) return false
    const passes = others.filter(({ passed, known }) => passed && known <= failed.known)
    const before = passes.filter(({ made, from }) => made < failed.made && from <= failed.made)
    const since = Math.max(-Infinity, ...before.map(({ made }) => made))
    const between = passes.some(({ made, from }) => made > failed.made && made <= spoke.made && from <= spoke.made)
    return spoke.made >= since && !between && failed.known > spoke.known
  })
  // From when that was known the check did not speak any more.
  return wrong.length > 0 && wrong.every(({ known }) => known > at)
}
