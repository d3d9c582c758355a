import type { AnyClaim, Seal } from '@logged-thermal/core'
import { entryHeard } from './heard'
import { isUnsent, outbox } from './outbox'

const claim = (id: string) => ({ id, kind: 'noted', body: { text: id, cue: null } }) as unknown as AnyClaim
const sealed = (seq: number) => ({ seq }) as Seal
const { entered, answered, caughtUp, settled } = outbox.actions
const after = (...actions: Parameters<typeof outbox.reducer>[1][]) => actions.reduce(outbox.reducer, undefined)!
const ids = (state: ReturnType<typeof after>) => state.map((waiting) => waiting.claim.id)

describe('the outbox', () => {
  it('keeps an entry until the line has caught up with its number', () => {
    const state = after(
      entered(claim('a')),
      entered(claim('b')),
      answered([{ id: 'a', outcome: 'accepted', seal: sealed(8) }]),
    )
    expect(state.map(isUnsent)).toEqual([false, true])
    expect(ids(outbox.reducer(state, caughtUp(7)))).toEqual(['a', 'b'])
    expect(ids(outbox.reducer(state, caughtUp(8)))).toEqual(['b'])
  })

  it('knows an entry as recorded when the stream tells it before the answer does', () => {
    const state = after(entered(claim('a')), entryHeard({ claim: claim('a'), seal: sealed(8) }))
    expect(state.map(isUnsent)).toEqual([false])
    expect(outbox.reducer(state, caughtUp(8))).toEqual([])
  })

  it('keeps a refused entry with its reason until somebody settles it', () => {
    const refused = {
      id: 'a',
      outcome: 'refused' as const,
      code: 'ahead of clock',
      field: 'at',
      sentence: 'Was it just now?',
    }
    const state = after(entered(claim('a')), answered([refused]), caughtUp(99))
    expect(state[0]).toMatchObject({ refusal: { sentence: 'Was it just now?' } })
    expect(ids(outbox.reducer(state, settled({ id: 'a', claim: claim('a2') })))).toEqual(['a2'])
    expect(outbox.reducer(state, settled({ id: 'a', claim: null }))).toEqual([])
  })
})
