import { clsx } from 'clsx'
import { clock, checkTitle, lookBackMessages, type Reader } from '@logged-thermal/wording'
import type { LookedBackBatch } from '../app/api'
import type { LineData } from '../app/lineData'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import { Badge } from '../parts/Badge'
import { Loupe } from './Loupe'
import styles from './lookBack.module.css'

const say = speaks(lookBackMessages)

interface Props {
  batch: LookedBackBatch
  line: LineData
  reader: Reader
  /** Why nothing can be decided here. */
  why: string | null
  isRunning: boolean
  onDecide: () => void
  onAccept: () => void
}

/** A batch at its worst: what breaks, by which reading, where it is now, and the key that decides. */
export function LookedBackRow({ batch, line, reader, why, isRunning, onDecide, onAccept }: Props) {
  const { name, code, risk, breaks, way, reading, decidedAt } = batch
  return (
    <section className={clsx(styles.row, decidedAt !== null && styles.decided)} aria-label={`${name} ${code}`}>
      <div>
        <strong className={styles.dish}>
          {name} {code}
        </strong>
        <Badge standing={risk === 'holds' ? 'proven' : risk} />
      </div>
      <div className={styles.breaks}>
        {breaks && (
          <>
            <span>{checkTitle(breaks, reader)}</span>
            <small>{say(way === 'as found' ? 'breaksAsFound' : 'breaksOpposite')}</small>
          </>
        )}
      </div>
      <div className={styles.loupe}>
        {reading && reading.level !== null && <Loupe reading={reading} limit={reading.level} reader={reader} />}
      </div>
      <Where {...{ batch, line, isRunning }} />
      <div className={styles.act}>
        {decidedAt === null ? (
          <>
            <Key
              look={risk === 'missed' ? 'primary' : 'plain'}
              why={why}
              aria-label={`${isRunning ? say('openBatch', { code }) : say('decide')}, ${name} ${code}`}
              onClick={onDecide}
            >
              {isRunning ? say('openBatch', { code }) : say('decide')}
            </Key>
            <Key look="quiet" why={why} aria-label={`${say('letThisCount')}, ${name} ${code}`} onClick={onAccept}>
              {say('letThisCount')}
            </Key>
          </>
        ) : (
          <small>{say('decidedOn', { time: clock(decidedAt, reader) })}</small>
        )}
      </div>
    </section>
  )
}

function Where({ batch: { items, vessel }, line, isRunning }: Pick<Props, 'batch' | 'line' | 'isRunning'>) {
  const left = items.filter(({ gone }) => !gone)
  const units = [...new Set(left.map(({ unit }) => line.units.find(({ id }) => id === unit)?.name ?? ''))].filter(
    Boolean,
  )
  return (
    <div className={styles.where}>
      <span>
        {left.length > 0 ? say('leftHeld', { count: left.length }) : say(isRunning ? 'stillInPot' : 'nothingLeft')}
      </span>
      <small>{left.length > 0 ? units.join(', ') : isRunning ? vessel : ''}</small>
    </div>
  )
}
