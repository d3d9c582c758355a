import { v7 as uuid } from 'uuid'
import { NOTHING_YET, type AnyClaim, type BatchState, type Seal, type SealedEntry } from '@logged-thermal/core'
import { entryHeard, heard, takeEntry } from './heard'
import type { LineData } from './lineData'

const batch = { id: uuid(), ...NOTHING_YET } as unknown as BatchState
const line = { seq: 7, kitchen: { zone: 'UTC' }, batches: [batch], codes: [] } as unknown as LineData
const entry = (seq: number): SealedEntry => ({
  claim: {
    id: uuid(),
    kind: 'reading-taken',
    v: 1,
    about: { type: 'batch', id: batch.id },
    at: 1,
    madeAt: 1,
    by: 'mina',
    body: { typed: { value: 60, unit: 'C' }, where: 'core', of: 'mixture', instrument: null },
  } as unknown as AnyClaim,
  seal: { seq, recordedAt: 2, offsetMinutes: 0, postedBy: uuid(), prev: '', hash: '' } satisfies Seal,
})

/** What taking an entry dispatches on a tablet whose line stands so. */
function taken(each: SealedEntry, state: LineData | null): { type: string }[] {
  const dispatched: { type: string }[] = []
  takeEntry(each)(
    (action) => dispatched.push(action),
    () => ({ line: state }),
  )
  return dispatched
}

describe('what the stream tells', () => {
  it('is folded in where it follows, or is there already', () => {
    expect(taken(entry(8), line)).toMatchObject([{ type: entryHeard.type }])
    expect(taken(entry(7), line)).toMatchObject([{ type: entryHeard.type }])
    const next = heard(line, entryHeard(entry(8)))!
    expect([next.seq, next.batches[0]!.facts['reading-taken'].length]).toEqual([8, 1])
    expect(heard(next, entryHeard(entry(8)))).toBe(next)
  })

  it('after a gap is not guessed: everything is fetched anew', () => {
    const [action, ...more] = taken(entry(9), line)
    expect(action!.type).toContain('invalidateTags')
    expect(more).toEqual([])
  })

  it('before the kitchen is loaded is left alone: it comes with it', () => {
    expect(taken(entry(8), null)).toEqual([])
    expect(heard(null, entryHeard(entry(8)))).toBeNull()
  })

  it('waits for the code that folds it, and then comes in its order', async () => {
    await jest.isolateModulesAsync(async () => {
      const page = await import('./heard')
      const { isLedgerThere, loadLedger } = await import('./ledger')
      expect(isLedgerThere()).toBe(false)
      const told: number[] = []
      for (const seq of [8, 9])
        page.takeEntry(entry(seq))(
          (action) => told.push((action as ReturnType<typeof entryHeard>).payload.seal.seq),
          () => ({ line: { ...line, seq: 7 + told.length } }),
        )
      expect(told).toEqual([])
      await loadLedger()
      expect(told).toEqual([8, 9])
    })
  })
})
