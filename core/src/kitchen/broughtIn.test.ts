import fc from 'fast-check'
import { viewsOf } from '../judgement/evidence/views'
import { waitingIn } from '../judgement/evidence/waiting'
import { changesIn } from '../judgement/log/changes'
import { COOK, idOf, KitchenStory, LEAD, OTHER, PROBE, sha256 } from '../test/kitchenStory'
import { at } from '../test/traces'

/** Readings out of a logger's file. Minutes are after ten; a pot that is `cooked` is off the heat at twelve and cools from there. */
describe('what comes out of a logger’s file', () => {
  const file = (name = 'logger.csv') => ({ name, sha256: sha256(name) })
  const bring = (
    story: KitchenStory,
    batch: string,
    minutes: number,
    told: [minutes: number, celsius: number][],
    more: object = {},
    by = COOK,
  ) =>
    story.post(
      'readings-brought-in',
      batch,
      minutes,
      {
        instrument: PROBE,
        file: file(),
        of: 5000,
        readings: told.map(([when, value]) => ({ at: at(when), typed: { value, unit: 'C' as const } })),
        ...more,
      },
      { by },
    )
  /** Cooled as it should be: 21° within two hours, 5° within six. */
  const GOOD: [number, number][] = [
    [20, 57],
    [60, 35],
    [100, 20],
    [200, 4],
  ]
  const cool = (story: KitchenStory, batch: string, minutes: number) => story.standing(batch, 'cool-first', minutes)
  const readings = (story: KitchenStory, batch: string) => story.kitchen.read('batch', batch)!.facts['reading-taken']

  it('waits for the lead as one, however soon it comes, and proves once the lead lets it count', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    const before = readings(story, batch).length
    const { id, posted } = bring(story, batch, 201, GOOD)
    expect(posted.ok).toBe(true)
    expect(readings(story, batch)).toHaveLength(before + 4)
    expect(cool(story, batch, 202)).not.toBe('proven')
    expect(waitingIn(story.kitchen.read('batch', batch)!)).toMatchObject([
      { entry: id, what: 'file', file: 'logger.csv' },
    ])
    // Told once in the list of what came late too.
    expect(changesIn(story.kitchen.read('batch', batch)!).map(({ entry, stands }) => [entry, stands])).toEqual([
      [id, 'waits'],
    ])
    const entries = [{ type: 'batch' as const, id: batch, entry: id }]
    story.enter('entries-accepted', story.kitchen.id, 205, { entries, reason: 'the logger is here' }, { by: LEAD })
    expect(cool(story, batch, 206)).toBe('proven')
  })

  it('counts against the batch at once: what shows that it was too slow is missed in it', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    for (const [minutes, celsius] of GOOD) story.read(batch, minutes, celsius)
    expect(cool(story, batch, 201)).toBe('proven')
    bring(story, batch, 202, [
      [110, 34],
      [190, 30],
    ])
    expect(cool(story, batch, 203)).not.toBe('proven')
  })

  it('goes on denying when somebody else takes it back, until the lead lets that count; that waits once', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    for (const [minutes, celsius] of GOOD) story.read(batch, minutes, celsius)
    const { id } = bring(story, batch, 202, [
      [110, 34],
      [190, 30],
    ])
    const undo = { target: id, reason: 'wrong pot' as const, now: 'void' as const, item: null }
    const back = story.enter('corrected', batch, 203, undo, { by: OTHER })
    expect(cool(story, batch, 204)).not.toBe('proven')
    const state = story.kitchen.read('batch', batch)!
    expect(waitingIn(state).map(({ entry, what }) => [entry, what])).toEqual([
      [id, 'file'],
      [back, 'taken back'],
    ])
    // As one more thing that may have been, however many readings it takes back.
    expect(viewsOf(state).doubtful.length).toBeLessThan(6)
    const entries = [{ type: 'batch' as const, id: batch, entry: back }]
    story.enter('entries-accepted', story.kitchen.id, 205, { entries, reason: 'it lay in another pot' }, { by: LEAD })
    expect(readings(story, batch).filter(({ value, void: gone }) => value.file && !gone)).toEqual([])
  })

  it('does not take back a miss when the lead lets it count: it is not proven at most', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    story.read(batch, 20, 57)
    story.read(batch, 150, 30)
    expect(cool(story, batch, 151)).toBe('missed')
    const { id } = bring(story, batch, 201, GOOD)
    const entries = [{ type: 'batch' as const, id: batch, entry: id }]
    story.enter('entries-accepted', story.kitchen.id, 205, { entries, reason: 'the logger is here' }, { by: LEAD })
    expect(cool(story, batch, 206)).not.toBe('proven')
  })

  it('is taken back whole, by whoever brought it in, and no one of its readings is put right', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    const { id } = bring(story, batch, 201, GOOD)
    const reading = {
      typed: { value: 3, unit: 'C' as const },
      where: 'core' as const,
      of: 'mixture' as const,
      instrument: PROBE,
    }
    const now = { at: at(20), reading, batch: null }
    const right = story.post('corrected', batch, 202, { target: id, reason: 'mistyped', now, item: null })
    expect(right.posted).toMatchObject({ ok: false, code: 'not a reading' })
    story.enter('corrected', batch, 203, { target: id, reason: 'wrong pot', now: 'void', item: null })
    expect(readings(story, batch).filter(({ value, void: gone }) => value.file && !gone)).toEqual([])
    expect(waitingIn(story.kitchen.read('batch', batch)!)).toEqual([])
    // In another pot now, and once more in this one.
    const other = story.cooked('other pot')
    expect(bring(story, other, 204, GOOD).posted.ok).toBe(true)
    expect(bring(story, batch, 205, GOOD).posted.ok).toBe(true)
  })

  it.each<[string, [number, number][], object, string]>([
    ['of a time before the batch', [[-5, 20], ...GOOD], {}, 'before it began'],
    ['of a time that has not come yet', [...GOOD, [500, 4]], {}, 'readings out of order'],
    ['out of order', [GOOD[1]!, GOOD[0]!], {}, 'readings out of order'],
    ['twice at one time', [GOOD[0]!, GOOD[0]!], {}, 'readings out of order'],
    ['of no reading', [], {}, 'not there'],
    ['by an instrument that is not there', GOOD, { instrument: idOf('nothing') }, 'not there'],
    ['no temperature', [[20, 5000]], {}, 'bad field'],
    ['with a field that is none', GOOD, { accepted: true }, 'bad field'],
    ['of too many', Array.from({ length: 241 }, (_, i) => [20 + i / 10, 50] as [number, number]), {}, 'bad field'],
  ])('is not taken %s', (_, told, more, code) => {
    const story = new KitchenStory()
    const batch = story.cooked()
    expect(bring(story, batch, 201, told, more).posted).toMatchObject({ ok: false, code })
  })

  it('is taken once, whoever brings it in; another pan of the same file is another', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    expect(bring(story, batch, 201, GOOD).posted.ok).toBe(true)
    expect(bring(story, batch, 202, GOOD, {}, OTHER).posted).toMatchObject({ ok: false, code: 'already there' })
    expect(bring(story, batch, 203, GOOD, { portion: '1' }).posted.ok).toBe(true)
  })

  it('betters nothing, whatever it says', () => {
    const celsius = fc.double({ min: -5, max: 95, noNaN: true }).map((value) => Math.round(value * 10) / 10)
    const points = fc.uniqueArray(fc.tuple(fc.integer({ min: 14, max: 300 }), celsius), {
      selector: ([minutes]) => minutes,
      minLength: 1,
      maxLength: 12,
    })
    const rank = { proven: 3, open: 2, unproven: 1, missed: 0 }
    fc.assert(
      fc.property(points, points, (byHand, told) => {
        const story = new KitchenStory()
        const batch = story.cooked()
        const inTime = (some: [number, number][]) => [...some].sort(([a], [b]) => a - b)
        for (const [minutes, value] of inTime(byHand)) story.read(batch, minutes, value)
        const checks = ['cool-first', 'cool-total']
        const before = checks.map((check) => story.standing(batch, check, 400))
        expect(bring(story, batch, 301, inTime(told)).posted.ok).toBe(true)
        checks.forEach((check, i) => {
          expect(rank[story.standing(batch, check, 400)]).toBeLessThanOrEqual(rank[before[i]!])
        })
      }),
      { numRuns: 60 },
    )
  })
})
