import { Story, wellMade, world } from '../../test/story'
import { at } from '../../test/traces'
import { worseThanRecorded } from './worseThanRecorded'

const later = at(600)
const keys = (story: Story) => worseThanRecorded(story.batch, world, later).map(({ check }) => check.key)

describe('a batch that is over', () => {
  it('is told where today’s rules judge it worse than its record, and only then', () => {
    const gone = (story: Story) => {
      story.enter('served', 400, { discarded: 0 })
      return story
    }
    expect(keys(gone(wellMade()))).toEqual([])
    const unread = new Story()
    unread.combined(5)
    unread.read(10, 80)
    expect(keys(unread)).toEqual([])
    const before = keys(gone(unread))
    expect(before).toEqual(['cool-first', 'cool-total'])
  })

  it('is not told of what the lead saw, nor once it was thrown away', () => {
    const seen = new Story()
    seen.combined(5)
    seen.read(10, 80)
    seen.decide(590, 'release')
    seen.enter('served', 595, { discarded: 0 })
    expect(keys(seen)).toEqual([])
    const thrown = new Story()
    thrown.combined(5)
    thrown.read(10, 80)
    thrown.decide(590, 'discard')
    expect(keys(thrown)).toEqual([])
  })
})
