import { KitchenStory, CHEF, COOK, custard, idOf, LEAD, OTHER, PROBE } from '../test/kitchenStory'
import { at } from '../test/traces'

/** Ordinary taps that would turn a missed batch into a proven one: none of them does. Minutes are after ten. */

const reading = (celsius: number) => ({
  typed: { value: celsius, unit: 'C' as const },
  where: 'core' as const,
  of: 'mixture' as const,
  instrument: PROBE,
})

describe('a clock latches', () => {
  const missed = (story: KitchenStory, name = 'pot') => {
    const batch = story.cooked(name)
    story.read(batch, 150, 30)
    expect(story.standing(batch, 'cool-first', 151)).toBe('missed')
    return batch
  }

  it.each<[string, (story: KitchenStory, batch: string) => void]>([
    ['a hot reading', (story, batch) => story.read(batch, 155, 58)],
    ['a hot reading without an instrument', (story, batch) => story.read(batch, 155, 80, { instrument: null })],
    ['a second "off the heat"', (story, batch) => void story.mark(batch, 155, 'cook', 'done')],
    ['"combined" tapped again', (story, batch) => void story.mark(batch, 155, 'temper', 'combined')],
    ['back on the heat', (story, batch) => void story.mark(batch, 155, 'cook', 'started')],
    [
      'the mark undone',
      (story, batch) => {
        const mark = story.kitchen
          .read('batch', batch)!
          .facts['step-marked'].find(({ value }) => value.step === 'cook')!
        story.correct(batch, 155, mark.entry)
        story.read(batch, 157, 80)
      },
    ],
    [
      'a yolk that asks for the heat again',
      (story, batch) => {
        story.post('added', batch, 155, { step: 'cook', ingredient: 'yolk', grams: 20, state: 'as it is', lot: null })
        story.read(batch, 160, 82)
        story.mark(batch, 162, 'cook', 'done')
      },
    ],
  ])('%s does not take a miss back', (_, cheat) => {
    const story = new KitchenStory()
    const batch = missed(story)
    cheat(story, batch)
    story.read(batch, 170, 57)
    story.read(batch, 200, 20)
    story.read(batch, 300, 4)
    expect(story.standing(batch, 'cool-first', 301)).toBe('missed')
    expect(story.kitchen.standing(batch, at(301))).toBe('missed')
  })

  it('goes on by the cook while it never was under the start, and by no second mark', () => {
    const story = new KitchenStory()
    const batch = story.begin('pot')
    story.mark(batch, 5, 'temper', 'combined')
    story.read(batch, 10, 66)
    story.mark(batch, 12, 'cook', 'done')
    expect(story.mark(batch, 13, 'cook', 'done').posted).toMatchObject({ ok: false, code: 'marked already' })
    expect(story.mark(batch, 14, 'cook', 'started').posted.ok).toBe(true)
    story.read(batch, 18, 80)
    expect(story.mark(batch, 19, 'cook', 'done').posted.ok).toBe(true)
    story.read(batch, 30, 57)
    expect(story.check(batch, 'cool-first', 31).start).toMatchObject({ latest: at(30) })
    expect(story.standing(batch, 'egg', 31)).toBe('proven')
  })

  it('begins a new leg with a rework once its row is proven, and not before', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    story.read(batch, 80, 40)
    const findings = story.kitchen.findings(batch, at(100)).map(({ check, standing }) => ({
      check: check.key,
      force: check.limit.force,
      standing,
    }))
    story.enter('disposed', batch, 100, { decision: 'rework', reason: 'too deep', findings, core: '1' }, { by: LEAD })
    story.read(batch, 110, 60)
    expect(story.standing(batch, 'cool-first', 145)).toBe('unproven')
    const back = new KitchenStory()
    const again = back.cooked()
    back.read(again, 80, 40)
    back.enter('disposed', again, 100, { decision: 'rework', reason: 'too deep', findings, core: '1' }, { by: LEAD })
    back.read(again, 110, 75)
    back.read(again, 110.5, 75.2)
    back.mark(again, 112, 'cook', 'done')
    back.read(again, 130, 57)
    back.read(again, 200, 20)
    expect(back.standing(again, 'cool-first', 201)).toBe('proven')
  })
})

describe('a later reading contradicts', () => {
  it('reopens a gate: the colder one was not the core', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    story.read(batch, 100, 20.5)
    expect(story.standing(batch, 'cool-first', 101)).toBe('proven')
    story.read(batch, 103, 35)
    expect(story.standing(batch, 'cool-first', 104)).toBe('open')
    expect(story.standing(batch, 'cool-first', 141)).toBe('unproven')
    story.read(batch, 135, 20)
    expect(story.standing(batch, 'cool-first', 141)).toBe('proven')
  })

  it('opens a floor again that a hot spot had met, until it is read again', () => {
    const story = new KitchenStory()
    const batch = story.begin('pot')
    story.mark(batch, 5, 'temper', 'combined')
    story.read(batch, 10, 80)
    expect(story.standing(batch, 'egg', 10.05)).toBe('proven')
    story.read(batch, 10.05, 55)
    expect(story.standing(batch, 'egg', 10.1)).toBe('open')
    expect(story.kitchen.attention(batch, at(10.1)).kind).toBe('read')
    story.read(batch, 11.2, 72)
    expect(story.standing(batch, 'egg', 11.3)).toBe('proven')
  })

  it('is no contradiction that it warmed in the cold store a day later', () => {
    const story = new KitchenStory()
    const batch = story.made()
    story.read(batch, 1200, 8)
    expect(story.standing(batch, 'cool-total', 1201)).toBe('proven')
    expect(story.standing(batch, 'cold-holding', 1201)).not.toBe('missed')
  })
})

describe('what physics forbids', () => {
  it.each([
    [
      '57 to 4 in three seconds',
      [
        [100, 57],
        [100.05, 4],
      ],
    ],
    [
      '57 to 20.6 to 4.4 in five',
      [
        [100, 57],
        [100.04, 20.6],
        [100.08, 4.4],
      ],
    ],
  ] as [string, [number, number][]][])('proves nothing: %s', (_, trace) => {
    const story = new KitchenStory()
    const batch = story.begin('pot')
    story.mark(batch, 5, 'temper', 'combined')
    story.read(batch, 10, 80)
    story.mark(batch, 12, 'cook', 'done')
    for (const [minutes, celsius] of trace) story.read(batch, minutes, celsius)
    expect(story.standing(batch, 'cool-first', 102)).not.toBe('proven')
    expect(story.check(batch, 'cool-first', 102).doubts).toContain('too fast')
    expect(story.kitchen.attention(batch, at(100.2)).kind).toBe('read')
  })

  it('asks about a unit that cannot be meant', () => {
    const story = new KitchenStory()
    const batch = story.begin('pot')
    story.mark(batch, 5, 'temper', 'combined')
    story.read(batch, 10, 66)
    story.read(batch, 10.5, 158)
    story.read(batch, 11, 67)
    expect(story.standing(batch, 'egg', 11.1)).toBe('open')
  })
})

describe('when it was known', () => {
  it.each<[string, (story: KitchenStory, batch: string) => void]>([
    ['a reading six hours later', (story, batch) => story.read(batch, 130, 20.4, { after: 360 })],
    [
      'a correction six hours later',
      (story, batch) => {
        const { entry } = story.kitchen.read('batch', batch)!.facts['reading-taken'].at(-1)!
        story.correct(batch, 500, entry, { at: at(150), reading: reading(20.4), batch: null })
      },
    ],
    [
      'a time moved within minutes',
      (story, batch) => {
        const { entry } = story.kitchen.read('batch', batch)!.facts['reading-taken'].at(-1)!
        story.correct(batch, 154, entry, { at: at(139), reading: reading(24), batch: null })
      },
    ],
    [
      'the bad reading voided',
      (story, batch) => {
        const { entry } = story.kitchen.read('batch', batch)!.facts['reading-taken'].at(-1)!
        story.correct(batch, 165, entry)
        story.read(batch, 138, 20, { after: 40 })
      },
    ],
    [
      'the void of another',
      (story, batch) => {
        const { entry } = story.kitchen.read('batch', batch)!.facts['reading-taken'].at(-1)!
        story.correct(batch, 152, entry, 'void', { by: OTHER })
      },
    ],
  ])('betters nothing too late: %s', (_, cheat) => {
    const story = new KitchenStory()
    const batch = story.cooked()
    story.read(batch, 150, 24)
    cheat(story, batch)
    expect(story.standing(batch, 'cool-first', 600)).toBe('missed')
  })

  it('denies at once, waits, and lifts a miss to not proven at most when the lead accepts it', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    story.read(batch, 150, 24)
    const late = story.read(batch, 130, 20.4, { after: 60 })
    expect(story.standing(batch, 'cool-first', 200)).toBe('missed')
    const entries = [{ type: 'batch' as const, id: batch, entry: late }]
    expect(
      story.post('entries-accepted', story.kitchen.id, 200, { entries, reason: 'on paper' }, { by: COOK }).posted,
    ).toMatchObject({ ok: false, code: 'may not' })
    const { entry } = story.kitchen
      .read('batch', batch)!
      .facts['reading-taken'].find(({ at: when }) => when === at(150))!
    const voided = story.correct(batch, 201, entry)
    story.enter(
      'entries-accepted',
      story.kitchen.id,
      202,
      { entries: [...entries, { type: 'batch', id: batch, entry: voided }], reason: 'on paper' },
      { by: LEAD },
    )
    expect(story.check(batch, 'cool-first', 203)).toMatchObject({
      standing: 'unproven',
      because: { code: 'missed before it was accepted' },
    })
  })

  it('lets an author undo a slip of the finger within ten minutes, and a mark within two', () => {
    const story = new KitchenStory()
    const batch = story.begin('pot')
    story.mark(batch, 5, 'temper', 'combined')
    const slip = story.read(batch, 10, 20)
    story.correct(batch, 11, slip)
    story.read(batch, 12, 80)
    const tap = story.mark(batch, 13, 'cook', 'done')
    story.correct(batch, 14, tap.id)
    expect(story.kitchen.read('batch', batch)!.facts['step-marked'].find(({ entry }) => entry === tap.id)!.void).toBe(
      true,
    )
    const kept = story.mark(batch, 15, 'cook', 'done')
    story.correct(batch, 20, kept.id)
    expect(story.kitchen.read('batch', batch)!.facts['step-marked'].find(({ entry }) => entry === kept.id)!.void).toBe(
      false,
    )
  })

  it('takes nothing from before the batch began', () => {
    const story = new KitchenStory()
    const batch = story.begin('pot', 30)
    const { posted } = story.post('reading-taken', batch, 10, reading(80), { after: 25 })
    expect(posted).toMatchObject({ ok: false, code: 'before it began', field: 'at' })
  })

  it('leaves a void standing, whatever correction comes after it', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    const slip = story.read(batch, 100, 20)
    story.correct(batch, 101, slip)
    story.correct(batch, 102, slip, { at: at(100), reading: reading(19), batch: null })
    expect(story.kitchen.read('batch', batch)!.facts['reading-taken'].find(({ entry }) => entry === slip)!.void).toBe(
      true,
    )
  })
})

describe('who entered it', () => {
  it('is the person of the shift, who enters for others only what every cook may', () => {
    const story = new KitchenStory()
    const batch = story.begin('pot')
    expect(story.post('noted', batch, 1, { text: 'a', cue: null }, { by: OTHER, postedBy: COOK }).posted.ok).toBe(true)
    expect(story.kitchen.read('batch', batch)!.facts.noted[0]).toMatchObject({ by: OTHER, postedBy: COOK })
    const method = { ...custard, version: 2 }
    const save = (by: string, postedBy: string) =>
      story.post('method-saved', custard.id, 2, { method }, { by, postedBy }).posted
    expect(save(CHEF, COOK)).toMatchObject({ ok: false, code: 'sign yourself' })
    expect(save(CHEF, LEAD)).toMatchObject({ ok: false, code: 'sign yourself' })
    expect(save(CHEF, CHEF)).toMatchObject({ ok: true })
    const claim = {
      ...story.post('method-saved', custard.id, 3, { method: { ...method, version: 3 } }, { by: CHEF, postedBy: COOK })
        .claim,
      id: idOf('signed'),
    }
    expect(story.kitchen.post(claim, { postedBy: COOK, signedBy: CHEF, now: claim.madeAt })).toMatchObject({ ok: true })
    expect(story.kitchen.entries().at(-1)!.seal).toMatchObject({ postedBy: COOK, signedBy: CHEF, rules: 1 })
  })
})

describe('after the proof', () => {
  const YOLK = { step: 'cook', ingredient: 'yolk', grams: 20, state: 'as it is' as const, lot: null }

  it('raw egg by any entry and step opens the floor again, until the lead says that it was in from the first', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    expect(story.standing(batch, 'egg', 21)).toBe('proven')
    const yolk = story.enter('added', batch, 22, { ...YOLK, step: 'warm' })
    expect(story.standing(batch, 'egg', 23)).toBe('open')
    expect(story.standing(batch, 'egg', 300)).toBe('unproven')
    story.enter(
      'already-in',
      batch,
      301,
      { target: yolk, reason: 'told late, it was whisked in with the rest' },
      { by: LEAD },
    )
    expect(story.standing(batch, 'egg', 302)).toBe('proven')
  })

  it('a yolk told late, for a time before the reading, was not in the pot that was read', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    story.enter('added', batch, 9, YOLK, { after: 14 })
    expect(story.standing(batch, 'egg', 24)).toBe('open')
  })

  it('a word typed in a box makes no yolk pasteurized', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    story.enter('added', batch, 22, { ...YOLK, state: 'pasteurized lot', lot: 'the blue carton' })
    expect(story.standing(batch, 'egg', 23)).toBe('open')
  })
})

describe('nothing runs for ever', () => {
  it('a pot that nobody reads is not proven, and the lead is asked', () => {
    const story = new KitchenStory()
    const batch = story.begin('pot')
    story.mark(batch, 5, 'temper', 'combined')
    expect(story.standing(batch, 'egg', 60)).toBe('open')
    expect(story.standing(batch, 'egg', 200)).toBe('unproven')
    expect(story.kitchen.attention(batch, at(700)).kind).toBe('decide')
    story.read(batch, 701, 90, { where: 'surface', instrument: null })
    expect(story.standing(batch, 'egg', 1000)).toBe('unproven')
  })

  it('a hold silences nothing that hands must do', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    story.read(batch, 50, 50)
    const findings = story.kitchen.findings(batch, at(51)).map(({ check, standing }) => ({
      check: check.key,
      force: check.limit.force,
      standing,
    }))
    const before = story.kitchen.attention(batch, at(100)).kind
    story.enter('disposed', batch, 51, { decision: 'hold', reason: 'smells', findings, core: '1' }, { by: LEAD })
    expect(before).not.toBe('keep')
    expect(story.kitchen.attention(batch, at(100)).kind).toBe(before)
  })
})

describe('a release', () => {
  it('is of the standings of its moment: what gets worse takes it back', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    story.read(batch, 150, 20)
    story.read(batch, 260, 4.5)
    const findings = story.kitchen.findings(batch, at(300)).map(({ check, standing }) => ({
      check: check.key,
      force: check.limit.force,
      standing,
    }))
    story.enter(
      'disposed',
      batch,
      300,
      { decision: 'release', reason: 'read by two, in writing, as an assessment', findings, core: '1' },
      { by: LEAD },
    )
    expect(story.kitchen.attention(batch, at(301)).kind).toBe('keep')
    const item = story.putAway(batch, 305)
    expect(story.kitchen.item(item, at(306)).usable).toBe(true)
    story.enter('added', batch, 310, { step: 'cook', ingredient: 'yolk', grams: 20, state: 'as it is', lot: null })
    expect(story.kitchen.attention(batch, at(700)).kind).not.toBe('keep')
    expect(story.kitchen.item(item, at(311)).usable).toBe(false)
  })
})
