import { v7 as uuid } from 'uuid'
import { admit, parseClaim, type Author } from '../admission'
import { kinds } from '../kinds'
import type { Addition, Bodies, Kind } from '../../ledger/entry'
import type { LotReceived } from '../../ledger/storeEntries'
import type { Variance } from '../../rules/source'
import { PRACTICE } from '../../rules/practice'
import type { Read } from '../../state/state'
import { Story } from '../../test/story'
import { TEN } from '../../test/traces'
import { leftOverOf } from '../../judgement/eggs/eggLedger'
import { custard, held, limits, LOT, mousse, taken } from '../../test/eggMethods'

describe('admitting eggs, lots and what is left', () => {
  const ID = uuid()
  const lotOf = (more: Partial<LotReceived> = {}) => ({
    id: LOT,
    receivedAt: TEN,
    code: 'T-1',
    ingredient: 'egg',
    form: 'shell' as const,
    size: null,
    supplier: 'hens',
    useBy: '2027-03-05',
    pasteurized: null,
    verdict: 'accept' as const,
    decided: null,
    recall: null,
    ...more,
  })
  const world = (story: Story, lot = lotOf(), more: Record<string, unknown> = {}): Read => {
    const states: Record<string, unknown> = {
      [`batch ${ID}`]: { ...story.batch, id: ID },
      [`lot ${LOT}`]: lot,
      ...more,
    }
    return (type, id) => (states[`${type} ${id}`] ?? null) as never
  }
  const author: Author = {
    kitchen: ID,
    role: 'cook',
    signed: false,
    now: TEN,
    zone: 'UTC',
    limits: ID,
    clockAheadMs: 0,
  }
  const said = <K extends Kind>(kind: K, body: Bodies[K], read: Read, when: number = TEN, about = ID) => {
    const subject = { type: kinds[kind].about, id: about }
    const raw = {
      id: uuid(),
      kitchen: ID,
      kind,
      v: kinds[kind].v,
      about: subject,
      at: when,
      madeAt: when,
      by: ID,
      device: ID,
      body,
    }
    return admit(parseClaim(raw), { ...author, now: when }, read)?.code ?? 'admitted'
  }
  const addition = (more: Partial<Addition>): Addition => ({
    step: 'fold',
    ingredient: 'yolk',
    grams: 40,
    state: 'as it is',
    lot: null,
    ...more,
  })

  it('refuses a shell lot for an unheated use and for susceptible people, and takes it where it is cooked', () => {
    const fold = taken({ step: 'fold' })
    expect(said('eggs-taken', fold, world(new Story(limits(), mousse(false))))).toBe('wrong egg')
    expect(said('eggs-taken', fold, world(new Story(limits(), mousse(true))))).toBe('admitted')
    expect(said('eggs-taken', fold, world(new Story(limits(), mousse(true), true)))).toBe('wrong egg')
    expect(said('eggs-taken', taken(), world(new Story(limits(), custard)))).toBe('admitted')
    expect(said('eggs-taken', taken(), world(new Story(limits(), custard, true)))).toBe('wrong egg')
  })

  it('refuses a lot that is said to be another, is past its day, or is not there', () => {
    const cooked = new Story(limits(), custard)
    expect(said('eggs-taken', taken({ form: 'pasteurized' }), world(cooked))).toBe('other lot')
    expect(said('eggs-taken', taken(), world(cooked), TEN + 3 * 86_400_000)).toBe('lot past its day')
    expect(said('eggs-taken', taken({ lot: uuid() }), world(cooked))).toBe('not there')
    expect(said('eggs-taken', taken({ step: 'bake' }), world(cooked))).toBe('not there')
  })

  it('takes an egg after the heat where it can be cooked again, and never where nothing cooks it', () => {
    expect(said('added', addition({ step: 'cook' }), world(new Story(limits(), custard)))).toBe('admitted')
    expect(said('added', addition({}), world(new Story(limits(), mousse(false))))).toBe('wrong egg')
    expect(said('added', addition({ state: 'pasteurized lot' }), world(new Story(limits(), mousse(false))))).toBe(
      'lot needed',
    )
    const carton = addition({ state: 'pasteurized lot', lot: LOT })
    const asTold = (lot: ReturnType<typeof lotOf>) =>
      said('added', carton, world(new Story(limits(), mousse(false)), lot))
    expect(asTold(lotOf({ form: 'pasteurized', useBy: null }))).toBe('admitted')
    // Words in a box, shells, what nobody accepted and what is past its day are no pasteurized egg.
    expect(said('added', { ...carton, lot: 'Y-1' }, world(new Story(limits(), mousse(false))))).toBe('wrong egg')
    expect(asTold(lotOf())).toBe('wrong egg')
    expect(asTold(lotOf({ form: 'pasteurized', useBy: null, verdict: 'hold' }))).toBe('wrong egg')
    expect(asTold(lotOf({ form: 'pasteurized', useBy: '2020-01-01' }))).toBe('wrong egg')
  })

  it('counts eggs heated here as pasteurized only under a written variance, to its last day', () => {
    const lot: LotReceived = {
      code: 'H-1',
      ingredient: 'egg',
      form: 'pasteurized',
      size: null,
      supplier: 'this kitchen',
      useBy: null,
      pasteurized: { by: 'this kitchen', limits: ID },
      name: 'Whole egg',
      scheme: null,
      treatment: null,
      received: null,
      condition: null,
      verdict: 'hold',
      why: 'made here',
      held: null,
    }
    const under = (heatedEggs: Variance | null): Read =>
      world(new Story(), lotOf(), {
        [`limits ${ID}`]: { versions: [limits('us-food-code-2022', { permits: { ...PRACTICE.permits, heatedEggs } })] },
      })
    const fresh = uuid()
    expect(said('lot-received', lot, under(null), TEN, fresh)).toBe('heated here')
    expect(said('lot-received', lot, under(held), TEN, fresh)).toBe('admitted')
    expect(said('lot-received', lot, under(held), TEN + 86_400_000, fresh)).toBe('heated here')
    expect(
      said('lot-received', { ...lot, pasteurized: { by: 'maker', certificate: 'C-1' } }, under(null), TEN, fresh),
    ).toBe('admitted')
    expect(() => said('lot-received', { ...lot, pasteurized: null }, under(null), TEN, fresh)).toThrow('missing')
  })

  it('takes of the left-overs no more than there are, nor of an egg that never went in', () => {
    const story = new Story(limits(), custard)
    story.enter('eggs-taken', 0, taken())
    const read = world(story)
    const whites = leftOverOf({ ...story.batch, id: ID }, 'white', 792, 'kept', [lotOf()])!
    expect(said('left-over', whites, read, TEN, uuid())).toBe('admitted')
    expect(said('left-over', { ...whites, grams: 900 }, read, TEN, uuid())).toBe('admitted')
    expect(said('left-over', { ...whites, grams: 1200 }, read, TEN, uuid())).toBe('more than is left')
    expect(said('left-over', { ...whites, part: 'whole' }, read, TEN, uuid())).toBe('other lineage')
  })
})
