import { useState } from 'react'
import {
  dayOf,
  isLookedAt,
  itemLeft,
  itemLevel,
  toppingShut,
  type ItemState,
  type Measure,
  type PartShut,
  type Store,
  type ToppingItem,
  type Typed,
} from '@logged-thermal/core'
import { degrees, finishMessages, limitDegreesOf, partShutSentence, type Reader } from '@logged-thermal/wording'
import type { LineData } from '../../app/lineData'
import { Key } from '../../kit/Key'
import { speaks } from '../../kit/language'
import { AmountOf } from '../AmountOf'
import { LooksKeys, type Looks } from '../LooksKeys'
import { ProbeRead, useProbe } from '../ProbeRead'
import putAwayStyles from '../putAway.module.css'
import { ancestryIn } from '../useStore'
import { toppingOf, type Offer } from './finishing'

const say = speaks(finishMessages)

interface Props {
  base: ItemState
  offer: Offer
  line: LineData
  store: Store
  now: number
  reader: Reader
  /** It is on already, whatever stands against it. */
  happened: boolean
  onTold: (topping: ToppingItem) => void
  onOther: () => void
}

/** Something of the store goes on: how cold it is, how it looks, how much of it. Core says what stands against it. */
export function HeldForm({ base, offer, line, store, now, reader, happened, onTold, onOther }: Props) {
  const [typed, setTyped] = useState<Typed | null>(null)
  const [warm, setWarm] = useState(false)
  const [asItIs, setAsItIs] = useState(false)
  const [looks, setLooks] = useState<Looks>(null)
  const { item } = offer.one
  const probe = useProbe(line)
  const needsReading = itemLevel(item, store.limits, dayOf(now, store.zone)) !== null
  const topping = (measure: Measure) => {
    const condition = looks ? { good: looks === 'good', why: null } : null
    const read = { typed, instrument: typed ? (probe?.id ?? null) : null, warm, asItIs, condition }
    return toppingOf(item, measure, read, store, now)
  }
  const unread = needsReading && typed === null
  const tried = topping({ ...item.measure, value: Math.min(itemLeft(item).value, 0.1) })
  const shut =
    happened || unread
      ? null
      : toppingShut(tried, item, ancestryIn(line, item), base, ancestryIn(line, base), store, now)
  return (
    <div className={putAwayStyles.putAway}>
      <section>
        {offer.shut && (
          <p role="alert">
            {partShutSentence(offer.shut, reader)} {say('leadAnswersForIt')}
          </p>
        )}
        {needsReading && <ProbeRead typed={typed} line={line} reader={reader} onTyped={setTyped} />}
        {isLookedAt(item.ingredient) && <LooksKeys looks={looks} onLooks={setLooks} />}
      </section>
      <section>
        {shut && (
          <Against
            shut={shut}
            store={store}
            reader={reader}
            onWarm={() => setWarm(true)}
            onAsItIs={() => setAsItIs(true)}
          />
        )}
        {warm && <p role="status">{say('readItAfterwards')}</p>}
        {unread && <p className="muted">{say('firstItsTemperature')}</p>}
        {!unread && !shut && (
          <>
            <h3>{say('howMuchGoesOn')}</h3>
            <AmountOf item={item} whole seldomAll onTake={(measure) => onTold(topping(measure))} />
          </>
        )}
        <Key look="outlined" onClick={onOther}>
          {say('anotherThing')}
        </Key>
      </section>
    </div>
  )
}

/** What stands against it, and the way on where it may go on knowingly. */
function Against({
  shut,
  store,
  reader,
  onWarm,
  onAsItIs,
}: Pick<Props, 'store' | 'reader'> & { shut: PartShut; onWarm: () => void; onAsItIs: () => void }) {
  switch (shut.code) {
    case 'too warm':
      return (
        <>
          <p role="alert">
            {say('tooWarmToGoOn', {
              degrees: degrees(shut.celsius, reader, 'under'),
              limit: limitDegreesOf(shut.level, reader, 'under'),
            })}
          </p>
          <Key look="outlined" onClick={onWarm}>
            {say('onWarmKnowingly')}
          </Key>
        </>
      )
    case 'fruit not treated':
      return (
        <>
          <p role="alert">{say('untreatedFruit', { days: store.limits.practice.fruitDays })}</p>
          <Key look="outlined" onClick={onAsItIs}>
            {say('asItIs')}
          </Key>
        </>
      )
    case 'looked bad':
      return <p role="alert">{say('doesNotGoOn')}</p>
    case 'not looked at':
      return <p role="status">{say('lookAtItFirst')}</p>
    default:
      return <p role="alert">{partShutSentence(shut, reader)}</p>
  }
}
