import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { dayName, receivingSentence, type Reader, storeInMessages } from '@logged-thermal/wording'
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
import { speaks } from '../kit/language'

const say = speaks(storeInMessages)

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
          <strong>{say('whatCame')}</strong> {waiting.length ? say('oneLotWaitsLots', { waiting: waiting.length }) : ''}
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
          <section aria-label={say('lots')}>
            <h2 className={clsx('title', itemStyles.head)}>
              {say('lots')} <small>{say('latestFirst')}</small>
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
          {say('cameUseByCalled', {
            supplier: lot.supplier,
            day: dayName(dayOf(Math.min(now, lot.receivedAt), zone), reader),
            day2: lot.useBy && dayName(lot.useBy, reader),
            hasUseBy: Boolean(lot.useBy),
            waits,
            mayGoIn: mayGoIn(lot),
            hasRecall: Boolean(lot.recall),
          })}
        </small>
      </Link>
      {waits && (
        <>
          <p className="muted">{reasons.map((reason) => receivingSentence(reason, reader)).join(' ')}</p>
          <KeyRow>
            <Key onClick={() => setDeciding('accept')}>{say('accept')}</Key>
            <Key look="outlined" onClick={() => setDeciding('refuse')}>
              {say('refuse')}
            </Key>
          </KeyRow>
        </>
      )}
      {deciding && (
        <SignedSheet
          title={`${deciding === 'accept' ? say('accept') : say('refuse')} ${lot.name} ${lot.code}?`}
          ask={say('whyWriting')}
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
