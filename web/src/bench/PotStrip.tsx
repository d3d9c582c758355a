import { memo } from 'react'
import { useNavigate } from 'react-router'
import { isPressing } from '@logged-thermal/core'
import { type Reader, asksWords, benchMessages } from '@logged-thermal/wording'
import type { JudgedBatch } from '../app/kitchen'
import { Key } from '../kit/Key'
import { clsx } from 'clsx'
import styles from './guide.module.css'
import { speaks } from '../kit/language'

const say = speaks(benchMessages)

/** More than these are on the Line. */
const SHOWN = 3

interface Props {
  others: JudgedBatch[]
  now: number
  reader: Reader
  /** A value is half typed: nothing is switched until it is logged or cleared. */
  half: boolean
}

/** The other pots, one tap away, the one that needs somebody next in front. */
export const PotStrip = memo(function PotStrip({ others, now, reader, half }: Props) {
  const navigate = useNavigate()
  const live = others.filter(({ asks }) => asks.kind !== 'keep' && asks.kind !== 'held')
  if (live.length === 0) return null
  return (
    <nav className={styles.pots} aria-label={say('otherPotsNextOne')}>
      {half && <span className={styles.potsHalf}>{say('logOrClearValue')}</span>}
      {live.slice(0, SHOWN).map(({ batch, asks }, i) => {
        const words = asksWords(asks, now, reader)
        const pressing = i === 0 && isPressing(asks, now)
        return (
          <Key
            key={batch.id}
            look={i === 0 ? 'plain' : 'outlined'}
            className={clsx(pressing && styles.pressing)}
            why={half && say('logOrClearValue')}
            onClick={() => void navigate(`/bench/${batch.id}`)}
          >
            {i === 0 && <span className={styles.potsNext}>{say('next')}</span>}
            <strong>{batch.method.name}</strong>
            {words && (
              <small>
                {words.action}
                {words.number && words.number !== '0' ? ` ${words.number} ${words.unit}` : ''}
              </small>
            )}
          </Key>
        )
      })}
      {live.length > SHOWN && (
        <Key look="outlined" why={half && say('logOrClearValue')} onClick={() => void navigate('/')}>
          {say('moreLive', { live: live.length - SHOWN })}
        </Key>
      )}
    </nav>
  )
})
