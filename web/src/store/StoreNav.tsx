import { NavLink } from 'react-router'
import styles from './store.module.css'

const PLACES: [to: string, name: string][] = [
  ['/store', 'By door'],
  ['/store/list', 'List'],
  ['/store/round', 'Temperature round'],
  ['/store/bin', 'Bin round'],
  ['/store/receive', 'Receive a delivery'],
]

/** The ways to look at the cold store. */
export function StoreNav() {
  return (
    <nav className={styles.nav} aria-label="Cold store">
      {PLACES.map(([to, name]) => (
        <NavLink key={to} to={to} end>
          {name}
        </NavLink>
      ))}
    </nav>
  )
}
