import { Suspense } from 'react'
import type { SubjectType } from '@logged-thermal/core'
import { later, useReadAhead } from '../kit/later'
import { useRefusedHere } from './kitchen'
import { useAppSelector } from './store'

const RefusedNotice = later(() => import('./RefusedNotice'), 'RefusedNotice')
const NEXT = [RefusedNotice]

/** What is entered from a batch's Bench and is about something else. */
const BESIDES: readonly SubjectType[] = ['lot', 'item']

/**
 * Entries that the server refused, or, while it is away, will refuse as far as this tablet knows, of one batch and of lots and
 * items, or all: kept here with the reason until somebody decides.
 */
export function Refused({ batchId = null }: { batchId?: string | null }) {
  const here = useRefusedHere()
  // A server that is there says it itself; and what it has just taken may be on the Line before its answer is.
  const there = useAppSelector(({ connection }) => connection.there)
  useReadAhead(NEXT)
  const refused = useAppSelector((state) => state.outbox).flatMap(({ claim, refusal }) => {
    const why = refusal ?? (there ? undefined : here.get(claim.id))
    return why && (batchId === null || claim.about.id === batchId || BESIDES.includes(claim.about.type))
      ? [{ claim, why }]
      : []
  })
  return (
    <Suspense>
      {refused.map((one) => (
        <RefusedNotice key={one.claim.id} {...one} />
      ))}
    </Suspense>
  )
}
