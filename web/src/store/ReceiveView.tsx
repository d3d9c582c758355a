import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { dayName, receivingSentence, type Reader } from '@logged-thermal/wording'
import { dayOf, limitsAt, mayGoIn, receivingOf, type LotState } from '@logged-thermal/core'
import { View } from '../app/View'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { Key } from '../kit/Key'
import { ReceiveForm } from './ReceiveForm'
import { SignedSheet } from '../login/SignedSheet'
import { StoreNav } from './StoreNav'
import { KeyRow } from '../kit/KeyRow'
import { clsx } from 'clsx'
import binStyles from './bin.module.css'
import receiveStyles from './receive.module.css'
import itemStyles from './item.module.css'

/** A delivery is taken in; lots that wait for the lead stand beside. */
export function ReceiveView() {
  const line = useLine()
  const now = useNow(10_000)
  const { reader } = useHand(line)
  const navigate = useNavigate()
  const [round, setRound] = useState(0)
  const waiting = (line?.lots ?? []).filter((lot) => lot.verdict === 'hold' && !lot.decided)
  return (
    <View
      place="receive"
      sentence={
        <>
          <strong>What came in?</strong>{' '}
          {waiting.length
            ? `${waiting.length === 1 ? 'One lot waits' : `${waiting.length} lots wait`} for the lead.`
            : ''}
        </>
      }
    >
      <div className={binStyles.bin}>
        <StoreNav />
        <div className={receiveStyles.columns}>
          <ReceiveForm
            key={round}
            onDone={(lot) => {
              setRound(round + 1)
              if (lot === null) void navigate('/store')
            }}
          />
          <section aria-label="Lots">
            <h2 className={clsx('title', itemStyles.head)}>
              Lots <small>the latest first</small>
            </h2>
            <ul className={receiveStyles.lots}>
              {[...(line?.lots ?? [])]
                .sort((a, b) => b.receivedAt - a.receivedAt)
                .slice(0, 40)
                .map((lot) => (
                  <Lot key={lot.id} lot={lot} now={now} reader={reader} limits={line?.limits?.versions ?? []} />
                ))}
            </ul>
          </section>
        </div>
      </div>
    </View>
  )
}

function Lot({
  lot,
  now,
  reader,
  limits,
}: {
  lot: LotState
  now: number
  reader: Reader
  limits: Parameters<typeof limitsAt>[0]
}) {
  const { zone } = reader
  const [deciding, setDeciding] = useState<'accept' | 'refuse' | null>(null)
  const set = limitsAt(limits, lot.receivedAt)
  const reasons = set ? receivingOf(lot, set, dayOf(lot.receivedAt, zone), set.practice.susceptible).reasons : []
  const waits = lot.verdict === 'hold' && !lot.decided
  return (
    <li data-lot={lot.code}>
      <Link to={`/store/lineage/lot/${lot.id}`}>
        <strong>
          {lot.name} {lot.code}
        </strong>
        <small>
          {lot.supplier}, came {dayName(dayOf(Math.min(now, lot.receivedAt), zone), reader)}
          {lot.useBy ? `, use by ${dayName(lot.useBy, reader)}` : ''}.{' '}
          {lot.recall ? 'Called back.' : mayGoIn(lot) ? '' : waits ? 'Held.' : 'Sent back.'}
        </small>
      </Link>
      {waits && (
        <>
          <p className="muted">{reasons.map((reason) => receivingSentence(reason, reader)).join(' ')}</p>
          <KeyRow>
            <Key onClick={() => setDeciding('accept')}>Accept</Key>
            <Key look="outlined" onClick={() => setDeciding('refuse')}>
              Refuse
            </Key>
          </KeyRow>
        </>
      )}
      {deciding && (
        <SignedSheet
          title={`${deciding === 'accept' ? 'Accept' : 'Refuse'} ${lot.name} ${lot.code}?`}
          ask="Why, in writing"
          least={1}
          kind="lot-decided"
          about={lot.id}
          body={(reason) => ({ verdict: deciding, reason, item: lot.held?.item ?? null })}
          onClose={() => setDeciding(null)}
        />
      )}
    </li>
  )
}
