import { refusalSentence, shellMessages } from '@logged-thermal/wording'
import { v7 as uuid } from 'uuid'
import type { AnyClaim, Kind, Refusal } from '@logged-thermal/core'
import { claimWords } from './claimWords'
import { settle } from './keep'
import { useHand, useLine } from './kitchen'
import type { Waiting } from './outbox'
import { stampOfRun } from './run'
import { useAppDispatch, useAppSelector } from './store'
import { tabletNow } from './tabletClock'
import { Key } from '../kit/Key'
import { Notice } from '../kit/Notice'
import { speaks } from '../kit/language'

const say = speaks(shellMessages)

export type RefusedWhy = NonNullable<Waiting['refusal']> | Refusal

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

/** An entry that is not taken: why, and what can be done about it. @param why the server's word, or what core finds here */
export function RefusedNotice({ claim, why }: { claim: AnyClaim; why: RefusedWhy }) {
  const dispatch = useAppDispatch()
  const line = useLine()
  const { reader } = useHand(line)
  const offsetMs = useAppSelector(({ connection }) => connection.offsetMs)
  const putInstead = (instead: AnyClaim | null) => settle(dispatch, claim.id, instead)
  const asNow = () => {
    const at = Math.round(tabletNow() + offsetMs)
    putInstead({ ...claim, id: uuid(), at, madeAt: at, ...stampOfRun(line?.seq ?? 0, offsetMs) })
  }
  return (
    <Notice
      title={say('notRecorded', { what: claimWords(claim, line, reader) })}
      keys={
        <>
          {STOOD_AGAINST.includes(why.code) && HAPPENS.includes(claim.kind) && (
            <Key look="primary" onClick={() => putInstead(asHappened(claim))}>
              {say('itHasHappened')}
            </Key>
          )}
          {why.code === 'ahead of clock' && (
            <Key look="primary" onClick={asNow}>
              {say('itWasNow')}
            </Key>
          )}
          <Key look="outlined" onClick={() => putInstead(null)}>
            {say('dropIt')}
          </Key>
        </>
      }
    >
      <p>{'sentence' in why ? why.sentence : refusalSentence(why, reader)}</p>
    </Notice>
  )
}
