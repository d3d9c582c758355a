import { Story, wellMade } from '../../test/story'
import { at } from '../../test/traces'
import { decisionShut, toAssess } from './disposition'
import { countsFor } from '../evidence/evidence'

const shut = (story: Story, decision: 'release' | 'rework', now: number, reason = 'fine') =>
  decisionShut(decision, reason, story.batch, story.findings(now), at(now))?.code ?? 'allowed'

const assessment = 'Pan was 3 cm deep and stirred; read 19° two minutes after.'

describe('what the lead can decide', () => {
  it('releases what is proven', () => {
    expect(shut(wellMade(), 'release', 250)).toBe('allowed')
  })

  it('never releases what missed a law, whatever the reason', () => {
    const story = new Story()
    story.combined(5)
    story.read(10, 80)
    story.offHeat(12)
    story.read(20, 57)
    story.read(150, 30)
    expect(shut(story, 'release', 261, assessment)).toBe('law missed')
  })

  it('releases what a law does not prove only with a written assessment', () => {
    const story = new Story()
    story.combined(5)
    story.read(10, 80)
    story.offHeat(12)
    story.read(20, 57)
    story.read(150, 20)
    story.read(240, 4.5)
    expect(shut(story, 'release', 250)).toBe('needs assessment')
    expect(shut(story, 'release', 250, assessment)).toBe('allowed')
    expect(toAssess(story.findings(250)).map(({ check }) => check.key)).toEqual(['cool-first'])
  })

  it('does not release while a gate is open, nor what is past its last day', () => {
    const story = new Story()
    story.combined(5)
    story.read(10, 80)
    expect(shut(story, 'release', 11, assessment)).toBe('still open')
    expect(shut(wellMade(), 'release', 4 * 24 * 60, assessment)).toBe('law missed')
  })

  it('reworks once, while the first gate can still be made, and judges the new leg by itself', () => {
    const story = new Story()
    story.combined(5)
    story.read(10, 80)
    story.offHeat(12)
    story.read(20, 57)
    story.read(80, 40)
    expect(shut(story, 'rework', 100)).toBe('allowed')
    expect(shut(story, 'rework', 141)).toBe('too late to rework')
    story.decide(100, 'rework', 'too deep')
    expect(story.finding('cool-first', 101)).toMatchObject({
      leg: 2,
      standing: 'open',
      // Its clock runs on until the row of the rework is proven.
      because: { code: 'cooling' },
      start: { latest: at(20) },
    })
    story.read(110, 75)
    expect(story.asks(110)).toMatchObject({ kind: 'read', finding: { check: { key: 'rework' } } })
    story.read(110.5, 75)
    expect(story.standing('rework', 111)).toBe('proven')
    story.offHeat(112)
    story.read(115, 57)
    story.read(170, 20)
    story.read(300, 4.8)
    const standings = story.findings(310).map(({ check, standing }) => `${check.key} ${standing}`)
    expect(standings).toEqual(
      expect.arrayContaining(['egg proven', 'rework proven', 'cool-first proven', 'cool-total proven']),
    )
    expect(shut(story, 'rework', 310)).toBe('reworked already')
    expect(shut(wellMade(), 'rework', 250)).toBe('nothing to rework')
  })
})

describe('a reading entered late', () => {
  it('counts when the lead lets it, and not any more once it is corrected', () => {
    const story = new Story()
    story.combined(5)
    const target = story.read(10, 80, {}, 20)
    story.offHeat(12)
    expect(story.finding('egg')).toMatchObject({ standing: 'unproven', doubts: ['late'] })
    story.enter('reading-accepted', 40, { target, reason: 'seen on the paper sheet' })
    expect(story.standing('egg')).toBe('proven')
    expect(story.batch.facts['reading-taken'][0]).toMatchObject({ accepted: { reason: 'seen on the paper sheet' } })
    const low = { ...story.batch.facts['reading-taken'][0]!.value, typed: { value: 62, unit: 'C' as const } }
    story.enter('corrected', 44, {
      target,
      reason: 'mistyped',
      now: { at: at(10), reading: low, batch: null },
      item: null,
    })
    expect(story.standing('egg')).not.toBe('proven')
    const reading = { ...story.batch.facts['reading-taken'][0]!.value, typed: { value: 82, unit: 'C' as const } }
    story.enter('corrected', 45, { target, reason: 'mistyped', now: { at: at(10), reading, batch: null }, item: null })
    expect(story.standing('egg')).not.toBe('proven')
  })
})

describe('a reading that closes nothing', () => {
  it('is known before anybody takes it for proof', () => {
    const { checks } = new Story().batch
    expect(countsFor({ of: 'mixture', where: 'surface' }, checks)).toEqual([])
    expect(countsFor({ of: { part: 'dairy' }, where: 'core' }, checks)).toEqual([])
    expect(countsFor({ of: 'mixture', where: 'core' }, checks)).toHaveLength(checks.length)
  })

  it('leaves no trace of a cue in any standing', () => {
    const story = wellMade()
    const before = story.findings(250)
    story.enter('noted', 245, { text: 'Coats the spoon', cue: 'coats' })
    expect(story.findings(250)).toEqual(before)
  })
})

describe('what would prove it', () => {
  it('is said: the level, by when; the start, where nobody read that; how often to read', () => {
    const story = new Story()
    story.combined(5)
    story.read(10, 66)
    expect(story.finding('egg', 11).need).toMatchObject({
      code: 'hold',
      rows: [{ everyMs: 90_000 }, { everyMs: 30_000 }, {}, {}],
    })
    story.offHeat(12)
    story.read(20, 57)
    story.read(130, 25)
    story.read(145, 20)
    expect(story.finding('cool-first', 146)).toMatchObject({
      standing: 'unproven',
      need: { code: 'under', celsius: 21, by: at(140) },
    })
    const unread = new Story()
    unread.combined(5)
    unread.offHeat(12)
    unread.read(20, 40)
    expect(unread.finding('cool-first', 21)).toMatchObject({
      standing: 'unproven',
      need: { code: 'start', celsius: 57 },
    })
  })
})
