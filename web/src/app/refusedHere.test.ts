import fc from 'fast-check'
import { kinds, type AnyClaim } from '@logged-thermal/core'
import { acts, deeds } from '../../../core/src/test/deeds'
import { History } from '../../../core/src/test/history'
import { COOK, KitchenStory, lineOf } from '../test/tablet'
import { foldLine } from './foldLine'
import { foldUnsent, refusedHere } from './refusedHere'

/** A tablet without the server says of each entry what the server will say of it later. */

it('refuses nothing that the server takes, and what both refuse for the same reason', () => {
  let [taken, same] = [0, 0]
  fc.assert(
    fc.property(deeds, (all) => {
      const history = new History([true, false])
      const { kitchen } = history.story
      let line = lineOf(history.story)
      const post = kitchen.post.bind(kitchen)
      kitchen.post = (claim, author) => {
        const own = claim as AnyClaim
        const here = refusedHere(own, line)
        const there = post(claim, author)
        if (there.ok) {
          expect(here).toBeNull()
          taken++
        } else if (here && !kinds[own.kind].signed) {
          expect(here.code).toBe(there.code)
          same++
        }
        line = kitchen.entries().slice(line.seq).reduce(foldLine, line)
        return there
      }
      for (const deed of all) history.act(deed, acts[deed.kind]!)
    }),
    { numRuns: 80, seed: 20270319 },
  )
  expect(taken).toBeGreaterThan(300)
  expect(same).toBeGreaterThan(20)
})

it('folds what the server will take, and nothing else of what waits', () => {
  const story = new KitchenStory()
  const pot = story.cooked()
  const line = lineOf(story)
  const claims = ['done', 'done'].map(() => {
    const { claim } = new KitchenStory().post(
      'step-marked',
      pot,
      30,
      { step: 'cool', edge: 'done', reason: 'so' },
      { by: COOK },
    )
    return { ...claim, kitchen: line.kitchen.id, id: crypto.randomUUID() }
  })
  const { line: folded, refused } = foldUnsent(
    line,
    claims.map((claim) => ({ claim, seq: null })),
  )
  expect(folded.batches[0]!.facts['step-marked'].map(({ entry }) => entry)).toContain(claims[0]!.id)
  expect([...refused]).toMatchObject([[claims[1]!.id, { code: 'marked already' }]])
  // Recorded, it is shown as the server took it, whatever this tablet thinks.
  expect(
    foldUnsent(
      line,
      claims.map((claim, i) => ({ claim, seq: i + 50 })),
    ).refused.size,
  ).toBe(0)
})
