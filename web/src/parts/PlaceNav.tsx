import { useEffect, useRef } from 'react'
import { NavLink, useLocation } from 'react-router'
import styles from './placeNav.module.css'

/** The ways to look at one place, each a view of its own. */
export function PlaceNav({ name, places }: { name: string; places: readonly (readonly [to: string, name: string])[] }) {
  const nav = useRef<HTMLElement>(null)
  const { pathname } = useLocation()
  // On a phone they are wider than the screen: where one is, is in sight. Only they move, and not the page with them.
  useEffect(() => {
    const here = nav.current?.querySelector('[aria-current="page"]')?.getBoundingClientRect()
    const row = nav.current?.getBoundingClientRect()
    if (nav.current && here && row) nav.current.scrollLeft += here.left + here.width / 2 - (row.left + row.width / 2)
  }, [pathname])
  return (
    <nav ref={nav} className={styles.nav} aria-label={name}>
      {places.map(([to, words]) => (
        <NavLink key={to} to={to} end>
          {words}
        </NavLink>
      ))}
    </nav>
  )
}
