import { chance, coreOf, madeCooling } from '../../test/coolings'
import { Story } from '../../test/story'
import { unlikelyReadings } from './plausible'

/** A full run asks more of them. */
const COOLINGS = 150 * Math.min(4, Number(process.env.LT_TIMES ?? 1))

/** What is doubted of readings in minutes and °C, by their place. */
function doubted(readings: readonly [number, number][], told: (story: Story) => void = () => undefined): string[] {
  const story = new Story()
  told(story)
  const entries = readings.map(([minutes, celsius]) => story.read(minutes, celsius))
  const found = unlikelyReadings(story.batch)
  return entries.flatMap((entry, i) => (found.get(entry) ?? []).map((why) => `${i} ${why}`))
}

describe('a reading that no pan makes', () => {
  it('is none of many honest coolings, read by hand at any pace', () => {
    const dice = chance(13)
    let read = 0
    for (let i = 0; i < COOLINGS; i++) {
      const { truth, shape } = madeCooling(dice, 3)
      const end = truth.at.at(-1)! / 60
      const readings: [number, number][] = []
      for (let minutes = dice.between(0, 4); minutes < end; minutes += dice.scaled(0.5, 40))
        readings.push([minutes, Math.round((coreOf(truth, minutes * 60_000) + 0.3 * dice.normal()) * 10) / 10])
      read += readings.length
      const inside =
        shape.kind === 'cylinder'
          ? { kind: 'round' as const, diameter: shape.radius * 2, height: shape.height * 1.2 }
          : { kind: 'rectangular' as const, length: shape.length, width: shape.width, height: shape.height * 1.2 }
      const poured = (story: Story) =>
        story.enter('poured', 0, {
          vessel: { id: 'tray', name: 'Tray', inside, wall: 'steel' },
          pans: 1,
          depth: shape.height,
        })
      expect(doubted(readings, dice.next() < 0.5 ? poured : undefined)).toEqual([])
    }
    expect(read).toBeGreaterThan(10 * COOLINGS)
  })

  it('is cold sooner than its vessel lets it be, until a probe placed anew agrees', () => {
    const deep = (story: Story) =>
      story.enter('poured', 0, {
        vessel: { id: 'pot', name: 'Pot', inside: { kind: 'round', diameter: 0.3, height: 0.3 }, wall: 'steel' },
        pans: 1,
        depth: 0.2,
      })
    const hot: [number, number] = [1, 80]
    const cold: [number, number] = [2, 20]
    expect(doubted([hot, cold], deep)).toEqual(['0 spot', '1 fall'])
    // The same at once is the same spot; a minute later it is another look, and so it is at the pace of a logger.
    expect(doubted([hot, cold, [2.1, 20]], deep)).toEqual(['0 spot', '1 fall', '2 fall'])
    expect(doubted([hot, cold, [3.1, 19.8]], deep)).toEqual(['0 spot'])
    expect(doubted([hot, cold, [2.4, 20], [2.8, 19.9], [3.2, 19.9]], deep)).toEqual(['0 spot'])
    // Hot again after it, as it was: the cold one was beside the pan.
    expect(doubted([hot, cold, [3, 78]], deep)).toEqual(['0 spot', '1 fall'])
    // In time, or so shallow that it may have been, it is no wonder.
    expect(doubted([hot, [60, 20]], deep)).toEqual([])
    expect(doubted([hot, cold])).toEqual([])
  })

  it('is hotter than a stove makes it, or meant in the other unit', () => {
    expect(
      doubted([
        [1, 4],
        [1.1, 79],
      ]),
    ).toEqual(['1 rise'])
    expect(
      doubted([
        [1, 20],
        [1.1, 120],
      ]),
    ).toEqual(['1 rise'])
    expect(
      doubted([
        [1, 24],
        [6, 75],
      ]),
    ).toEqual(['1 unit'])
    expect(
      doubted([
        [1, 24],
        [6, 75],
        [6.5, 76],
        [7.1, 77],
      ]),
    ).toEqual([])
    expect(
      doubted([
        [1, 24],
        [12, 75],
      ]),
    ).toEqual([])
    expect(doubted([[1, 165]])).toEqual(['0 unit'])
  })
})
