import type { UnknownAction } from '@reduxjs/toolkit'
import type { AnyClaim, Id } from '@logged-thermal/core'
import { inTime } from '../memory/database'
import { keepEntries, keepOutcomes, keepSettled, keptEntries } from '../memory/outbox'
import type { PostResult } from './api'
import { outbox } from './outbox'

type Dispatch = (action: UnknownAction) => unknown

/** On the page while something is being written down: whoever drives it from outside can wait for that. */
const UNWRITTEN = 'data-unwritten'

let writing: Promise<unknown> | null = null

/** Resolves once all that was entered is written down, or has failed to be; null: it is. */
export function allKept(): Promise<unknown> | null {
  return writing
}

/** Enters claims: written down first, then on the screen. Where the browser keeps nothing they are there at once. */
export function enterAll(dispatch: Dispatch, claims: readonly AnyClaim[]): void {
  after(keepEntries(claims), (kept) => {
    for (const claim of claims) dispatch(outbox.actions.entered(claim, kept))
  })
}

/** Puts another claim in the place of a refused one, or throws that away. */
export function settle(dispatch: Dispatch, id: Id, claim: AnyClaim | null): void {
  after(keepSettled(id, claim), (kept) => dispatch(outbox.actions.settled({ id, claim }, kept)))
}

/** What the server answered, on the screen and in memory. Where that fails the entry is sent again, and taken once. */
export async function takeAnswers(dispatch: Dispatch, results: PostResult[]): Promise<void> {
  const outcomes = results.map((result) =>
    result.outcome === 'refused'
      ? { id: result.id, seq: null, refusal: { code: result.code, sentence: result.sentence } }
      : { id: result.id, seq: result.seal.seq, refusal: null },
  )
  await keepOutcomes(outcomes)
  dispatch(outbox.actions.answered(results))
}

/** What earlier pages of this tablet entered, and has not come back yet. It joins later where the disk is slow. */
export async function recallEntries(dispatch: Dispatch): Promise<void> {
  const recalled = keptEntries()
    .catch(() => [])
    .then((entries) => {
      if (entries.length > 0) dispatch(outbox.actions.recalled(entries))
    })
  await inTime(recalled, undefined)
}

function after(kept: Promise<boolean> | null, then: (kept: boolean) => void): void {
  if (kept === null) return then(false)
  const all = Promise.all([writing, kept.then(then)]).then(() => {
    if (writing !== all) return
    writing = null
    document.documentElement.removeAttribute(UNWRITTEN)
  })
  writing = all
  document.documentElement.setAttribute(UNWRITTEN, '')
}
