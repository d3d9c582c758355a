import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { dayName, receivingSentence, type Reader } from '@logged-thermal/wording'
import { dayOf, limitsAt, mayGoIn, receivingOf, type LotState } from '@logged-thermal/core'
import { Header } from '../app/Header'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { Key } from '../parts/Key'
import { ReceiveForm } from './ReceiveForm'
import { SignedSheet } from '../login/SignedSheet'
import { StoreNav } from './StoreNav'
import './item.css'
import './bin.css'
import './store.css'

/** A delivery is taken in; lots that wait for the lead stand beside. */
export function ReceiveView() {
  const line = useLine()
  const now = useNow(10_000)
  const { reader } = useHand(line)
  const navigate = useNavigate()
  const [round, setRound] = useState(0)
  const waiting = (line?.lots ?? []).filter((lot) => lot.verdict === 'hold' && !lot.decided)
  return (
    <main className="view">
      <Header>
        <h1>
          <strong>What came in?</strong>{' '}
          {waiting.length
            ? `${waiting.length === 1 ? 'One lot waits' : `${waiting.length} lots wait`} for the lead.`
            : ''}
        </h1>
      </Header>
      <div className="bin">
        <StoreNav />
        <div className="receive-columns">
          <ReceiveForm
            key={round}
            onDone={(lot) => {
              setRound(round + 1)
              if (lot === null) void navigate('/store')
            }}
          />
          <section aria-label="Lots">
            <h2 className="title item-head">
              Lots <small>the latest first</small>
            </h2>
            <ul className="lots">
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
    </main>
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
          <span className="receive-keys">
            <Key onClick={() => setDeciding('accept')}>Accept</Key>
            <Key look="outlined" onClick={() => setDeciding('refuse')}>
              Refuse
            </Key>
          </span>
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
