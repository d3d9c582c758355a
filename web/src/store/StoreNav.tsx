import { storeMessages } from '@logged-thermal/wording'
import { NavLink } from 'react-router'
import styles from './store.module.css'
import { speaks } from '../kit/language'

const say = speaks(storeMessages)

const PLACES: [to: string, name: string][] = [
  ['/store', say('byDoor')],
  ['/store/list', say('list')],
  ['/store/round', say('temperatureRound')],
  ['/store/bin', say('binRound')],
  ['/store/receive', say('receiveDelivery')],
]

/** The ways to look at the cold store. */
export function StoreNav() {
  return (
    <nav className={styles.nav} aria-label={say('coldStore')}>
      {PLACES.map(([to, name]) => (
        <NavLink key={to} to={to} end>
          {name}
        </NavLink>
      ))}
    </nav>
  )
}
