import { shellMessages } from '@logged-thermal/wording'
import { v7 as uuid } from 'uuid'
import type { AnyClaim, Kind, SubjectType } from '@logged-thermal/core'
import { outbox, type Waiting } from './outbox'
import { useAppDispatch, useAppSelector } from './store'
import { Key } from '../kit/Key'
import { Notice } from '../kit/Notice'
import { speaks } from '../kit/language'

const say = speaks(shellMessages)

/** What is entered from a batch's Bench and is about something else. */
const BESIDES: readonly SubjectType[] = ['lot', 'item']

/** What is refused as a plan, and can be entered as what has happened: it betters nothing, and the lead answers for it. */
const STOOD_AGAINST: readonly string[] = [
  'item shut',
  'item gone',
  'wrong egg',
  'lot not accepted',
  'lot past its day',
  'package needed',
  'not proven to serve',
  'time to serve is up',
]
const HAPPENS: readonly Kind[] = ['added', 'item-used', 'part-used', 'eggs-taken', 'served']

function asHappened(claim: AnyClaim): AnyClaim {
  return { ...claim, id: uuid(), body: { ...claim.body, happened: true } } as AnyClaim
}

/** Entries that the server refused, of one batch and of lots and items, or all: kept here with the reason until somebody decides. */
export function Refused({ batchId = null }: { batchId?: string | null }) {
  const refused = useAppSelector((state) => state.outbox).filter(
    ({ claim, refusal }) =>
      refusal && (batchId === null || claim.about.id === batchId || BESIDES.includes(claim.about.type)),
  )
  return refused.map((waiting) => <One key={waiting.claim.id} waiting={waiting} />)
}

function One({ waiting: { claim, refusal } }: { waiting: Waiting }) {
  const dispatch = useAppDispatch()
  const offsetMs = useAppSelector(({ connection }) => connection.offsetMs)
  if (!refusal) return null
  const settle = (instead: AnyClaim | null) => dispatch(outbox.actions.settled({ id: claim.id, claim: instead }))
  const asNow = () => {
    const at = Math.round(Date.now() + offsetMs)
    settle({ ...claim, id: uuid(), at, madeAt: at })
  }
  const what =
    claim.kind === 'reading-taken'
      ? `${claim.body.typed.value}°${claim.body.typed.unit}`
      : claim.kind.replaceAll('-', ' ')
  return (
    <Notice
      title={say('notRecorded', { what })}
      keys={
        <>
          {STOOD_AGAINST.includes(refusal.code) && HAPPENS.includes(claim.kind) && (
            <Key look="primary" onClick={() => settle(asHappened(claim))}>
              {say('itHasHappened')}
            </Key>
          )}
          {refusal.code === 'ahead of clock' && (
            <Key look="primary" onClick={asNow}>
              {say('itWasNow')}
            </Key>
          )}
          <Key look="outlined" onClick={() => settle(null)}>
            {say('dropIt')}
          </Key>
        </>
      }
    >
      <p>{refusal.sentence}</p>
    </Notice>
  )
}
