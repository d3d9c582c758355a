import { NavLink } from 'react-router'
import styles from './placeNav.module.css'

/** The ways to look at one place, each a view of its own. */
export function PlaceNav({ name, places }: { name: string; places: readonly (readonly [to: string, name: string])[] }) {
  return (
    <nav className={styles.nav} aria-label={name}>
      {places.map(([to, words]) => (
        <NavLink key={to} to={to} end>
          {words}
        </NavLink>
      ))}
    </nav>
  )
}
