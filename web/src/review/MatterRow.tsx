import type { Matter } from '@logged-thermal/core'
import { mattersMessages } from '@logged-thermal/wording'
import { clsx } from 'clsx'
import { Link } from 'react-router'
import { shutUnless } from '../app/shut'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import { CauseMark } from './MatterMark'
import styles from './review.module.css'

const say = speaks(mattersMessages)

interface Props {
  matter: Matter
  words: { title: string; says: string[] }
  open: boolean
  /** null: nothing is to be thrown away. */
  onBin: (() => void) | null
  onOpen: (path: string) => void
  onDecide: (batch: string) => void
  onClose: () => void
}

/** One cause, all that follows from it, and the key that settles it. */
export function MatterRow({ matter, words: { title, says }, open, onBin, onOpen, onDecide, onClose }: Props) {
  const { cause, batches, items, settled, subject } = matter
  const pressing = cause.of === 'item' && cause.item.standing.asks === 'discard'
  const way = wayOf(matter)
  return (
    <li className={clsx(styles.matter, pressing && styles.pressing)} data-matter={matter.of}>
      <CauseMark cause={cause} />
      <div>
        <strong>{title}</strong>
        <p>{says.join(' ')}</p>
        {cause.of === 'incident' && cause.incident.photo && (
          <a className={styles.photo} href={`/api/photos/${cause.incident.photo}`} target="_blank" rel="noreferrer">
            <img src={`/api/photos/${cause.incident.photo}`} alt={say('photoOf', { what: title })} loading="lazy" />
          </a>
        )}
        {(batches.length > 0 || items.length > 0) && (
          <ul className={styles.follows}>
            {batches.map(({ batch }) => (
              <li key={batch.id}>
                <Link to={`/log/batch/${batch.id}`}>
                  {batch.name} {batch.code}
                </Link>
                <Key look="outlined" why={shutUnless(open)} onClick={() => onDecide(batch.id)}>
                  {say('decide')}
                  <span className="visually-hidden"> {batch.code}</span>
                </Key>
              </li>
            ))}
            {items.map(({ card }) => (
              <li key={card.id}>
                <Link to={`/store/item/${card.id}`}>
                  {card.name} {card.code}
                </Link>
              </li>
            ))}
          </ul>
        )}
      </div>
      <div className={styles.keys}>
        {onBin && (
          <Key look="primary" why={shutUnless(open)} onClick={onBin}>
            {say('binned')}
            <span className="visually-hidden">, {title}</span>
          </Key>
        )}
        {way !== null && (
          <Key look={onBin ? 'outlined' : 'plain'} onClick={() => onOpen(way)}>
            {cause.of === 'instrument' ? say('lookBack') : say('openIt')}
            <span className="visually-hidden">, {title}</span>
          </Key>
        )}
        {cause.of === 'batch' && (
          <Key look="primary" why={shutUnless(open)} onClick={() => onDecide(subject.id)}>
            {say('decide')}
            <span className="visually-hidden"> {cause.batch.code}</span>
          </Key>
        )}
        {settled && (
          <Key look="primary" why={shutUnless(open)} onClick={onClose}>
            {say('close')}
            <span className="visually-hidden">, {title}</span>
          </Key>
        )}
      </div>
    </li>
  )
}

/** Where it is looked at; null: here is all there is. */
function wayOf({ cause, subject }: Matter): string | null {
  switch (cause.of) {
    case 'item':
      return `/store/item/${subject.id}`
    case 'batch':
    case 'eggs':
      return `/log/batch/${subject.id}`
    case 'instrument':
      return `/instruments/${subject.id}/look-back`
    case 'unit':
      return '/store'
    default:
      return null
  }
}
