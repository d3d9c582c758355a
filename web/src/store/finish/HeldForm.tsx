import { useState } from 'react'
import {
  celsiusOf,
  dayOf,
  isLookedAt,
  itemLevel,
  SAME_DEGREE,
  type Store,
  type ToppingItem,
  type Typed,
} from '@logged-thermal/core'
import { degrees, finishMessages, limitDegreesOf, partShutSentence, type Reader } from '@logged-thermal/wording'
import type { LineData } from '../../app/lineData'
import { ChoiceKeys } from '../../kit/ChoiceKeys'
import { Key } from '../../kit/Key'
import { speaks } from '../../kit/language'
import { AmountOf } from '../AmountOf'
import { ProbeRead, useProbe } from '../ProbeRead'
import putAwayStyles from '../putAway.module.css'
import { toppingOf, type Offer } from './finishing'

const say = speaks(finishMessages)

interface Props {
  offer: Offer
  line: LineData
  store: Store
  now: number
  reader: Reader
  happened: boolean
  onTold: (topping: ToppingItem) => void
  onOther: () => void
}

/** Something of the store goes on: how cold it is, how it looks, how much of it. */
export function HeldForm({ offer, line, store, now, reader, happened, onTold, onOther }: Props) {
  const [typed, setTyped] = useState<Typed | null>(null)
  const [warm, setWarm] = useState(false)
  const [asItIs, setAsItIs] = useState(false)
  const [looks, setLooks] = useState<'good' | 'not good' | null>(null)
  const { item } = offer.one
  const probe = useProbe(line)
  const level = itemLevel(item, store.limits, dayOf(now, store.zone))
  const isWarm = typed !== null && level !== null && celsiusOf(typed) > level.celsius + SAME_DEGREE
  const looked = isLookedAt(item.ingredient)
  const ready =
    (level === null || typed !== null) &&
    (happened || ((!isWarm || warm) && (!offer.untreated || asItIs) && (!looked || looks === 'good')))
  return (
    <div className={putAwayStyles.putAway}>
      <section>
        {offer.shut && (
          <p role="alert">
            {partShutSentence(offer.shut, reader)} {say('leadAnswersForIt')}
          </p>
        )}
        {level !== null && <ProbeRead typed={typed} line={line} reader={reader} onTyped={setTyped} />}
        {looked && (
          <ChoiceKeys
            name={say('howItLooks')}
            options={['good', 'not good'] as const}
            chosen={looks ?? ('' as 'good')}
            words={(each) => (each === 'good' ? say('looksGood') : say('looksBad'))}
            onChoose={setLooks}
          />
        )}
      </section>
      <section>
        {isWarm && !happened && !warm && (
          <>
            <p role="alert">
              {say('tooWarmToGoOn', {
                degrees: degrees(celsiusOf(typed), reader, 'under'),
                limit: limitDegreesOf(level.celsius, reader, 'under'),
              })}
            </p>
            <Key look="outlined" onClick={() => setWarm(true)}>
              {say('onWarmKnowingly')}
            </Key>
          </>
        )}
        {warm && <p role="status">{say('readItAfterwards')}</p>}
        {looks === 'not good' && <p role="alert">{say('doesNotGoOn')}</p>}
        {offer.untreated && !asItIs && !happened && (
          <>
            <p role="alert">{say('untreatedFruit', { days: store.limits.practice.fruitDays })}</p>
            <Key look="outlined" onClick={() => setAsItIs(true)}>
              {say('asItIs')}
            </Key>
          </>
        )}
        {ready ? (
          <>
            <h3>{say('howMuchGoesOn')}</h3>
            <AmountOf
              item={item}
              whole
              seldomAll
              onTake={(measure) => {
                const condition = looks ? { good: looks === 'good', why: null } : null
                const read = { typed, instrument: typed ? (probe?.id ?? null) : null, warm, asItIs, condition }
                onTold(toppingOf(item, measure, read, store, now))
              }}
            />
          </>
        ) : (
          level !== null && typed === null && <p className="muted">{say('firstItsTemperature')}</p>
        )}
        <Key look="outlined" onClick={onOther}>
          {say('anotherThing')}
        </Key>
      </section>
    </div>
  )
}
