import { clsx } from 'clsx'
import { shellMessages, span } from '@logged-thermal/wording'
import { memory } from '../memory/database'
import { speaks, spoken } from '../kit/language'
import styles from './outbox.module.css'
import { isProgramKept } from './program'
import { useAppSelector } from './store'

const say = speaks(shellMessages)

/** So far a tablet's clock may be off before anybody is told, ms. */
const OFF = 2 * 60_000

/** What this tablet can and cannot do without a network, and how its clock stands: said once, here. */
export function TabletState() {
  const offsetMs = useAppSelector(({ connection }) => connection.offsetMs)
  const off = Math.abs(offsetMs)
  const sentences = [
    say(isProgramKept() ? 'opensWithoutNetwork' : window.isSecureContext ? 'opensWithServer' : 'needsSecure'),
    say(memory() ? 'keepsEntries' : 'keepsNothing'),
    off > OFF ? say(offsetMs > 0 ? 'clockBehind' : 'clockAhead', { by: span(off, spoken) }) : null,
  ]
  return (
    <ul className={clsx('muted', styles.state)}>
      {sentences.map((sentence) => sentence && <li key={sentence}>{sentence}</li>)}
    </ul>
  )
}
