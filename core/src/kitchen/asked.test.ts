import { KitchenStory, PROBE } from '../test/kitchenStory'
import { at } from '../test/traces'

/** What a tablet says of a reading that it had asked for. Minutes are after ten. */

const reading = (celsius: number) => ({
  typed: { value: celsius, unit: 'C' as const },
  where: 'core' as const,
  of: 'mixture' as const,
  instrument: PROBE,
})

describe('since when a reading was asked for', () => {
  it('is said as it is taken: putting it right or moving it to another pot says nothing else', () => {
    const story = new KitchenStory()
    const [batch, other] = [story.cooked('pot'), story.cooked('other pot')]
    const entry = story.read(batch, 100, 21, { asked: at(90) })
    const last = (pot: string) => story.kitchen.read('batch', pot)!.facts['reading-taken'].at(-1)!
    story.correct(batch, 101, entry, { at: at(100), reading: { ...reading(20.5), asked: at(99) }, batch: null })
    expect(last(batch).value).toMatchObject({ typed: { value: 20.5 }, asked: at(90) })
    story.correct(batch, 102, entry, { at: at(100), reading: reading(20.5), batch: other })
    expect(last(other).value.asked).toBe(at(90))
    const unasked = story.read(batch, 103, 20)
    story.correct(batch, 104, unasked, { at: at(103), reading: { ...reading(19), asked: at(102) }, batch: null })
    expect(last(batch).value.asked).toBeUndefined()
  })
})
