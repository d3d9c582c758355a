import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { dayName, receivingSentence, type Reader, storeInMessages } from '@logged-thermal/wording'
import { dayOf, limitsAt, mayGoIn, receivingOf, waitsFor, type LotState } from '@logged-thermal/core'
import { View } from '../app/View'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { DecideLot } from '../decide/DecideLot'
import { ReceiveForm } from './ReceiveForm'
import { StoreNav } from './StoreNav'
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
  const waiting = (line?.lots ?? []).filter((lot) => waitsFor(lot) !== null)
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
  const set = limitsAt(limits, lot.receivedAt)
  const reasons = set ? receivingOf(lot, set, dayOf(lot.receivedAt, zone), set.practice.susceptible).reasons : []
  const waits = waitsFor(lot)
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
            waits: waits !== null,
            mayGoIn: mayGoIn(lot),
            hasRecall: Boolean(lot.recall),
          })}
        </small>
      </Link>
      {waits && (
        <>
          <p className="muted">
            {waits === 'probe failed'
              ? say('lotProbeFailed')
              : waits === 'probe fell'
                ? say('lotProbeFell')
                : reasons.map((reason) => receivingSentence(reason, reader)).join(' ')}
          </p>
          <DecideLot lot={lot} item={lot.held?.item ?? null} />
        </>
      )}
    </li>
  )
}
