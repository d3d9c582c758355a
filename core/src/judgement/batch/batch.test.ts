import { canonical } from '../../ground/canonical'
import { GENESIS, isFault, seal, verifyChain } from '../../ledger/chain'
import type { Bodies, SealedEntry } from '../../ledger/entry'
import { Story, wellMade, world } from '../../test/story'
import { at } from '../../test/traces'
import { nextChange } from './judge'
import { batchStanding, judgeBatch, rulingDate } from './judgeBatch'
import { timelineOf } from '../timeline/timeline'

describe('a batch', () => {
  it('is proven when its floor and both gates are, and has the date of its house days', () => {
    const story = wellMade()
    const findings = story.findings(250)
    expect(batchStanding(findings)).toBe('proven')
    expect(rulingDate(findings)?.because).toEqual({ code: 'in date', lastDay: '2027-03-05', day: 1, days: 3 })
    expect(nextChange(findings)).toBe(Date.UTC(2027, 2, 6))
    expect(story.asks(250)).toMatchObject({ kind: 'keep' })
    expect(story.asks(3 * 24 * 60)).toMatchObject({ kind: 'discard' })
  })

  it('never credits the milk to the mixture', () => {
    const story = new Story()
    story.read(2, 90, { of: { part: 'dairy' } })
    story.combined(5)
    expect(story.standing('egg', 6)).toBe('open')
    story.read(6, 64)
    story.offHeat(7)
    expect(story.standing('egg')).not.toBe('proven')
  })

  it('takes the surface for no core, and a reading without an instrument for no proof', () => {
    const story = new Story()
    story.combined(5)
    story.read(6, 90, { where: 'surface' })
    expect(story.standing('egg', 7)).toBe('open')
    // Nobody read its core: nothing runs for ever.
    expect(story.finding('egg', 200)).toMatchObject({ standing: 'unproven', because: { code: 'never read' } })
    story.read(7, 90, { instrument: null })
    const floor = story.findings(8)[0]!
    expect([floor.standing, floor.doubts]).toEqual(['open', ['no instrument']])
  })

  it('lets no reading that proves nothing take back that it was read too cold', () => {
    const story = new Story()
    story.combined(5)
    story.read(6, 66)
    story.read(7, 24)
    expect(story.standing('egg', 8)).toBe('missed')
    story.read(8, 82, { instrument: null })
    expect(story.finding('egg', 9)).toMatchObject({ standing: 'missed', doubts: ['no instrument'] })
    story.read(9, 50)
    story.read(10, 82)
    expect(story.standing('egg', 11)).toBe('proven')
  })

  it('lets a late entry deny and not prove', () => {
    const story = wellMade()
    story.read(250, 9, {}, 20)
    expect(story.standing('cold-holding', 260)).toBe('open')
    expect(story.standing('cold-holding')).toBe('unproven')
    const late = new Story()
    late.combined(5)
    late.read(10, 80, {}, 16)
    late.offHeat(12)
    expect(late.standing('egg')).toBe('unproven')
  })

  it('has left the heat when a hot pot is read cold, marked or not, and a late mark does not shorten the cooling', () => {
    const unmarked = new Story()
    unmarked.combined(5)
    unmarked.read(10, 80)
    unmarked.read(60, 50)
    expect(unmarked.findings(61)[2]).toMatchObject({ standing: 'open', start: { earliest: at(10), latest: at(60) } })
    unmarked.offHeat(62)
    expect(unmarked.findings(63)[2]).toMatchObject({ start: { earliest: at(10), latest: at(60) } })
  })

  it('keeps what a correction replaced, and judges by what stands', () => {
    const story = wellMade()
    const target = story.entries.find(({ claim }) => claim.kind === 'reading-taken' && claim.at === at(100))!.claim
    const reading = { ...(target.body as Bodies['reading-taken']), typed: { value: 26, unit: 'C' as const } }
    story.enter('corrected', 250, {
      target: target.id,
      reason: 'mistyped',
      now: { at: at(150), reading, batch: null },
      item: null,
    })
    expect(story.standing('cool-first')).toBe('missed')
    // Two hours on it waits for the lead: until then it only denies.
    expect(story.batch.facts['reading-taken'].find(({ entry }) => entry === target.id)!.amends).toEqual([])
    const [waiting] = story.batch.facts['reading-taken'].find(({ entry }) => entry === target.id)!.waiting
    story.enter('reading-accepted', 250, { target: waiting!.entry, reason: 'seen on the paper sheet' })
    expect(story.standing('cool-first')).toBe('missed')
    const fact = story.batch.facts['reading-taken'].find(({ entry }) => entry === target.id)!
    expect(fact.amends).toMatchObject([{ reason: 'mistyped', wasAt: at(100), was: { typed: { value: 20 } } }])
    const again = story.read(252, 3)
    story.enter('corrected', 253, { target: again, reason: 'undo', now: 'void', item: null })
    expect(story.batch.facts['reading-taken'].find(({ entry }) => entry === again)).toMatchObject({ void: true })
  })

  it('asks first to combine, then to read, then to take it off the heat', () => {
    const story = new Story()
    expect(story.asks(1)).toMatchObject({ kind: 'mark', edge: 'combined' })
    story.combined(5)
    expect(story.asks(6)).toMatchObject({ kind: 'read', at: at(6) })
    story.read(7, 80)
    expect(story.asks(8)).toMatchObject({ kind: 'mark', edge: 'done' })
    expect(timelineOf(story.batch).phase.step).toBe('cook')
    story.offHeat(9)
    expect(timelineOf(story.batch).phase).toMatchObject({ step: 'cool', next: null })
  })

  it('says by itself when time alone changes a finding', () => {
    const story = new Story()
    story.combined(5)
    story.read(8, 80)
    story.offHeat(10)
    story.read(20, 57)
    const change = nextChange(story.findings(30))!
    expect(change).toBe(at(140) + 1)
    const standings = (now: number) => judgeBatch(story.batch, world, now).map(({ standing }) => standing)
    expect(standings(change - 1)).toEqual(story.findings(30).map(({ standing }) => standing))
    expect(standings(change)).not.toEqual(standings(change - 1))
  })
})

describe('the chain', () => {
  // Not a digest: enough to tell texts apart here; the server's tests use SHA-256.
  const digest = (text: string) =>
    [...text]
      .reduce((sum, c) => (Math.imul(sum, 31) + c.charCodeAt(0)) >>> 0, 7)
      .toString(16)
      .padStart(64, '0')
  const sealed = (): SealedEntry[] => {
    let head = GENESIS
    return wellMade().entries.map(({ claim }) => {
      const { entry } = seal(claim, head, { recordedAt: claim.madeAt, offsetMinutes: 0, postedBy: 'mina' }, digest)
      head = entry.seal
      return entry
    })
  }

  it('holds as made, and tells an altered, a missing and a moved entry', () => {
    const chain = sealed()
    expect(isFault(verifyChain(chain, digest))).toBe(false)
    const altered = structuredClone(chain)
    altered[2]!.claim.at++
    expect(verifyChain(altered, digest)).toEqual({ seq: 3, fault: 'altered' })
    expect(verifyChain([...chain.slice(0, 2), ...chain.slice(3)], digest)).toEqual({ seq: 3, fault: 'gap' })
    const relinked = structuredClone(chain)
    relinked[3]!.seal.prev = GENESIS.hash
    expect(verifyChain(relinked, digest)).toEqual({ seq: 4, fault: 'broken link' })
  })

  it('is canonical: the order of keys does not matter', () => {
    expect(canonical({ b: 1, a: [1.0, 'é'] })).toBe('{"a":[1,"é"],"b":1}')
  })
})
