import { Suspense, useState } from 'react'
import { decideMessages } from '@logged-thermal/wording'
import { useHand, useLine, type JudgedBatch } from '../app/kitchen'
import { Key } from '../kit/Key'
import { later, useReadAhead } from '../kit/later'
import { speaks } from '../kit/language'
import { decidesNow, isMatter } from './matter'

const say = speaks(decideMessages)

const MattersSheet = later(() => import('./MattersSheet'), 'MattersSheet')
const NEXT = [MattersSheet]

/** Opens what waits for the lead: batches with a check missed or not proven, and readings entered late. */
export function Matters({ judged, now }: { judged: readonly JudgedBatch[]; now: number }) {
  const line = useLine()
  const { person } = useHand(line)
  const [open, setOpen] = useState(false)
  useReadAhead(NEXT)
  const matters = judged.filter(isMatter)
  // The last one decided closes it: the next one does not open it by itself.
  if (open && matters.length === 0) setOpen(false)
  if (line === null || !decidesNow(line, person, now) || matters.length === 0) return null
  return (
    <>
      <Key look="outlined" onClick={() => setOpen(true)}>
        {say('decideMatters', { matters: matters.length })}
      </Key>
      <Suspense>{open && <MattersSheet matters={matters} onClose={() => setOpen(false)} />}</Suspense>
    </>
  )
}
