import { clsx } from 'clsx'
import { clock, shellMessages } from '@logged-thermal/wording'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { claimWords } from './claimWords'
import { useHand, useLine } from './kitchen'
import styles from './outbox.module.css'
import { isUnsent } from './outbox'
import { Refused } from './Refused'
import { useAppSelector } from './store'

const say = speaks(shellMessages)

/** What this tablet holds that the logbook does not: what was refused first, then what waits, the oldest first. */
export function OutboxSheet({ onClose }: { onClose: () => void }) {
  const line = useLine()
  const { reader, open } = useHand(line)
  const there = useAppSelector(({ connection }) => connection.there)
  const full = useAppSelector(({ connection }) => connection.full)
  const outbox = useAppSelector((state) => state.outbox)
  const unsent = outbox.filter(isUnsent)
  const unkept = unsent.filter(({ kept }) => !kept).length
  return (
    <Sheet open saved onClose={onClose} title={say('onThisTablet')}>
      <Refused />
      <p className={styles.says}>
        {unsent.length === 0 && say(there ? 'allIsSent' : 'isKeptHere')}
        {unsent.length > 0 &&
          say(full ? 'waitsForRoom' : !there ? 'waitsForServer' : open ? 'onItsWay' : 'waitsForShift')}
      </p>
      {unkept > 0 && (
        <p className={styles.says}>
          <strong>{say('notWrittenDown', { count: unkept })}</strong>
        </p>
      )}
      <ol className={styles.waiting}>
        {unsent.map(({ claim }) => (
          <li key={claim.id}>
            <time dateTime={new Date(claim.at).toISOString()}>{clock(claim.at, reader)}</time>
            <span>{claimWords(claim, line, reader)}</span>
            <span className={clsx('muted', styles.by)}>{line?.people.find(({ id }) => id === claim.by)?.name}</span>
          </li>
        ))}
      </ol>
    </Sheet>
  )
}
