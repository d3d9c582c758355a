import type { Attention, Finding } from '@logged-thermal/core'
import type { JudgedBatch } from '../app/kitchen'
import { asksWords } from '@logged-thermal/wording'
import { lineSentence } from './lineSentence'
import { cooling, judged, reader } from '../test/judgedBatch'

const TEN = Date.UTC(2027, 2, 3, 10)
const at = (minutes: number) => TEN + minutes * 60_000
const finding = {
  check: {
    key: 'cool-total',
    unit: 'C',
    guard: 0,
    limit: {
      key: 'cool-total',
      rule: { kind: 'reach', clock: { after: 'x' }, to: { c: 5, f: 41 }, direction: 'falling', withinMinutes: 360 },
    },
  },
  deadline: at(90),
} as unknown as Finding
const said = (asks: Attention, now = 0) => asksWords(asks, at(now), reader)

describe('what a batch asks for, in words', () => {
  it('says how long there is to a deadline, and until when by the clock', () => {
    expect(said({ kind: 'serve', finding, by: at(20) })).toEqual({
      action: 'Serve it',
      reason: 'by 10:20, the rest to discard',
      number: '20',
      unit: 'min',
    })
    // Past it there is no time left, and none is made up.
    expect(said({ kind: 'serve', finding, by: at(20) }, 30)).toMatchObject({ number: '0', unit: 's' })
  })

  it('names the hour of a reading that is to come, and how late one is that was due', () => {
    const read = { kind: 'read' as const, finding, at: at(15) }
    expect(said(read)).toMatchObject({ action: 'Read at 10:15', number: '15', unit: 'min' })
    expect(said(read, 15.5)).toMatchObject({ action: 'Read now', number: '30', unit: 's' })
    expect(said(read, 40)).toMatchObject({
      action: 'Read now',
      reason: 'was due 10:15',
      number: '25',
      unit: 'min late',
    })
  })

  it('asks for hands without a number where only a tap is waited for', () => {
    expect(said({ kind: 'mark', step: 'temper', edge: 'combined' })).toMatchObject({
      action: 'Combine all',
      number: '',
    })
    expect(said({ kind: 'mark', step: 'cook', edge: 'done' })).toMatchObject({ action: 'Take it off the heat' })
    expect(said({ kind: 'discard', finding })).toMatchObject({ action: 'Bin it' })
    expect(said({ kind: 'use today', finding })).toMatchObject({ reason: 'bin at the end of today' })
  })

  it('is silent about what asks for nothing on the Line', () => {
    for (const kind of ['keep', 'decide', 'held', 'closed'])
      expect(said({ kind, finding } as unknown as Attention)).toBeNull()
  })
})

describe('the Line in one sentence', () => {
  const line = (...asked: Attention[]) =>
    lineSentence(
      asked.map((asks) => ({ asks }) as unknown as JudgedBatch),
      TEN,
    )
  const rescueBy = (minutes: number) => ({ kind: 'rescue', by: at(minutes) }) as unknown as Attention
  const rescue = rescueBy(20)
  const decide = { kind: 'decide', finding } as unknown as Attention
  const lost = { kind: 'lost', finding, by: at(5) } as unknown as Attention
  const due: Attention = { kind: 'read', finding, at: TEN }

  it('says the rescue first, then what to bin, what is due, what is the lead’s, what goes today', () => {
    expect(line(rescue, { kind: 'discard', finding }, due, decide, lost, { kind: 'use today', finding })).toEqual({
      urgent: 'One batch to rescue.',
      rest: 'One to bin, one to see to now, two for the lead to decide, one to use today.',
    })
  })

  it('cries out for a rescue only while the next minutes decide', () => {
    expect(line(rescue, rescueBy(30))).toEqual({ urgent: 'Two batches to rescue.', rest: '' })
    expect(line(rescueBy(240))).toEqual({ urgent: null, rest: 'One to rescue before long.' })
  })

  it('counts a reading from the minute that it is due', () => {
    expect(line({ ...due, at: at(1) }).rest).toBe('Nothing needs hands just now.')
    expect(line(due, due).rest).toBe('Two to see to now.')
  })
})

describe('the words of a real Line', () => {
  it('say what to do, by when, and why', () => {
    const { asks } = cooling()
    expect(asksWords(asks, at(81), reader)).toEqual({
      action: 'Ice bath + stir',
      reason: expect.stringMatching(/^before 1[12]:\d\d or it misses 21°$/) as string,
      number: expect.stringMatching(/^\d+$/) as string,
      unit: 'min left',
    })
    expect(asksWords({ kind: 'read', finding: judged([], 5).findings[2]!, at: at(0) }, at(30), reader)).toMatchObject({
      action: 'Read now',
      number: '30',
      unit: 'min late',
    })
  })

  it('make one sentence of many batches', () => {
    const rescue = cooling()
    const proven = judged(
      [
        [10, 80],
        [20, 57],
        [70, 20],
        [200, 4],
      ],
      201,
    )
    expect(lineSentence([rescue, rescue, proven], at(81))).toEqual({ urgent: null, rest: 'Two to rescue before long.' })
    expect(lineSentence([proven], at(201))).toEqual({ urgent: null, rest: 'Nothing needs hands just now.' })
    expect(lineSentence([], at(0))).toEqual({ urgent: null, rest: 'Nothing on the stove yet.' })
  })
})
