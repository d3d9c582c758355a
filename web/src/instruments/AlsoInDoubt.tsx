import { clock, lookBackMessages, type Reader } from '@logged-thermal/wording'
import type { LookBackAnswer, LookedBackBatch } from '../app/api'
import { DecideLot } from '../decide/DecideLot'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import styles from './lookBack.module.css'

const say = speaks(lookBackMessages)

/** Units whose air it read: what was in them counts as unread for that time. */
export function UnitsInDoubt({
  units,
  why,
  onAccept,
}: {
  units: LookBackAnswer['units']
  why: string | null
  onAccept: (unit: LookBackAnswer['units'][number]) => void
}) {
  if (units.length === 0) return null
  return (
    <section className={styles.others}>
      <h2 className="title">{say('unitsTitle')}</h2>
      <p className="muted">{say('unitsWait')}</p>
      <ul>
        {units.map((unit) => (
          <li key={unit.id}>
            <strong>{unit.name}</strong> <small>{say('looksInDoubt', { count: unit.doubted.length })}</small>{' '}
            <Key
              look="quiet"
              why={why}
              aria-label={`${say('letThisCount')}, ${unit.name}`}
              onClick={() => onAccept(unit)}
            >
              {say('letThisCount')}
            </Key>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What holds either way: named, so that nobody has to guess what is let count together. */
export function Holding({ batches }: { batches: readonly LookedBackBatch[] }) {
  if (batches.length === 0) return null
  return (
    <section className={styles.others}>
      <h2 className="title">{say('holdsTitle')}</h2>
      <ul>
        {batches.map(({ id, code, name }) => (
          <li key={id}>
            <strong>{code}</strong> {name}
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What else it read: things that are held, and lots at the door. */
export function OthersInDoubt({
  data: { items, lots },
  reader,
  why,
}: {
  data: LookBackAnswer
  reader: Reader
  why: string | null
}) {
  return (
    <>
      {items.length > 0 && (
        <section className={styles.others}>
          <h2 className="title">{say('itemsTitle')}</h2>
          <p className="muted">{say('readAgain')}</p>
          <ul>
            {items.map(({ id, code, name, decided }) => (
              <li key={id}>
                <strong>{code}</strong> {name} {decided && <small>{say('decidedMark')}</small>}
              </li>
            ))}
          </ul>
        </section>
      )}
      {lots.length > 0 && (
        <section className={styles.others}>
          <h2 className="title">{say('lotsTitle')}</h2>
          {lots.some(({ waits }) => waits) && <p className="muted">{say('lotsWait')}</p>}
          <ul>
            {lots.map((lot) => (
              <li key={lot.id} data-lot={lot.code}>
                <strong>{lot.code}</strong> {lot.name}{' '}
                <small>{say('lotReceivedAt', { time: clock(lot.receivedAt, reader) })}</small>{' '}
                {lot.decided && <small>{say('decidedMark')}</small>}
                {lot.waits && <DecideLot lot={lot} item={lot.item} why={why} />}
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  )
}
