import { MINUTE } from '../../ground/instant'
import { forecastOf, NO_MEANS } from '../cooling/forecast'
import type { Place } from '../../physics/cooling/place'
import { Story } from '../../test/story'
import { at } from '../../test/traces'
import type { Attention } from '../attention'
import { alarms, NOTHING_SOUNDED } from './alarms'
import { dueRound, nextRound } from './dueRound'
import { unattendedGates } from './handover'

const reads = (...minutes: number[]) => minutes.map((each) => ({ at: at(each) }))
const reading = (minutes: number) => ({ kind: 'read', at: at(minutes) }) as Attention
const rescue = (minutes: number) => ({ kind: 'rescue', by: at(minutes) }) as Attention

describe('a walk', () => {
  it('begins as one reading is due, and takes those along that will be within ten minutes', () => {
    expect(dueRound(reads(5, 12, 30), at(4))).toEqual([])
    expect(dueRound(reads(12, 5, 30), at(5))).toEqual(reads(5, 12))
    expect(nextRound(reads(12, 5))).toBe(at(5))
    expect(nextRound([])).toBeNull()
  })
})

describe('what rings', () => {
  const pans = [
    { id: 'a', asks: reading(5) },
    { id: 'b', asks: reading(9) },
  ]

  it('is one sound for a walk, and another when nobody went for ten minutes', () => {
    const first = alarms(pans, NOTHING_SOUNDED, at(5))
    expect(first.sounds).toEqual(['round'])
    expect(alarms(pans, first.rung, at(10)).sounds).toEqual([])
    expect(alarms(pans, first.rung, at(15)).sounds).toEqual(['round'])
    const gone = alarms([], first.rung, at(8))
    expect(alarms(pans, gone.rung, at(9)).sounds).toEqual(['round'])
  })

  it('is one sound for a rescue, and one more as its last moment is near', () => {
    const first = alarms([{ id: 'a', asks: rescue(30) }], NOTHING_SOUNDED, at(10))
    expect(first.sounds).toEqual(['rescue'])
    const still = alarms([{ id: 'a', asks: rescue(30) }], first.rung, at(20))
    expect(still.sounds).toEqual([])
    const last = alarms([{ id: 'a', asks: rescue(30) }], still.rung, at(26))
    expect(last.sounds).toEqual(['rescue'])
    expect(alarms([{ id: 'a', asks: rescue(30) }], last.rung, at(29)).sounds).toEqual([])
  })

  it('is one sound for what waited and is ready, step by step, and none for what hands do at once', () => {
    const waits = (step: string, minutes: number | null) => [
      { id: 'a', asks: { kind: 'step' as const, step, of: 'set' as const, at: minutes === null ? null : at(minutes) } },
    ]
    const first = alarms(waits('set', 30), NOTHING_SOUNDED, at(29))
    expect(first.sounds).toEqual([])
    const ready = alarms(waits('set', 30), first.rung, at(30))
    expect(ready.sounds).toEqual(['ready'])
    expect(alarms(waits('set', 30), ready.rung, at(31)).sounds).toEqual([])
    expect(alarms(waits('turn out', null), ready.rung, at(32)).sounds).toEqual([])
    expect(alarms(waits('harden', 40), ready.rung, at(40)).sounds).toEqual(['ready'])
  })

  it('is nothing for what stands already as a tablet is opened', () => {
    const opened = alarms([...pans, { id: 'c', asks: rescue(30) }], null, at(6))
    expect(opened.sounds).toEqual([])
    expect(alarms([...pans, { id: 'c', asks: rescue(30) }], opened.rung, at(7)).sounds).toEqual([])
  })
})

describe('before closing', () => {
  /** 57° at 10:20, then somewhere. */
  function cooling(place: Place, depth = 0.06) {
    const story = new Story()
    story.combined(5)
    story.read(10, 82)
    story.offHeat(12)
    const vessel = {
      id: 'pan',
      name: 'pan',
      inside: { kind: 'round', diameter: 0.3, height: 0.2 },
      wall: 'steel',
    } as const
    story.enter('poured', 13, { vessel, pans: 1, depth })
    story.enter('placed', 14, { place, unit: null, air: null })
    return story
  }
  const falls = (story: Story, now: number, from: number) =>
    unattendedGates(
      story.batch,
      forecastOf(story.batch, story.findings(now))!,
      { from: at(from), until: at(from + 8 * 60) },
      NO_MEANS,
      at(now),
    )

  it('names a gate that falls when nobody is there, and until when the ice still brings it there', () => {
    const story = cooling('refrigerator')
    story.read(20, 57)
    story.read(60, 44)
    const [gate, ...more] = falls(story, 61, 200).filter(({ gate: { level } }) => level === 5)
    expect(more).toEqual([])
    expect(gate!.readAt).toBeNull()
    expect(gate!.rescue!.action.place).toContain('ice bath')
    expect(gate!.rescue!.by).toBeGreaterThan(at(61))
    expect(gate!.rescue!.by).toBeLessThan(at(200))
  })

  it('asks for one more reading where it will have passed by then', () => {
    const story = cooling('stirred ice bath', 0.03)
    story.read(18, 57)
    story.read(30, 30)
    story.read(45, 14)
    const [gate] = falls(story, 46, 200).filter(({ gate: { level } }) => level === 5)
    expect(gate!.rescue).toBeNull()
    expect(gate!.readAt).toBeLessThanOrEqual(at(200))
    expect(gate!.readAt! - at(46)).toBeGreaterThan(MINUTE)
  })

  it('leaves out what falls while somebody is there', () => {
    const story = cooling('refrigerator')
    story.read(20, 57)
    story.read(60, 44)
    expect(falls(story, 61, 30 * 60)).toEqual([])
  })
})
