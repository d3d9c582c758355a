import type { ReactNode } from 'react'
import { NavLink, useLocation } from 'react-router'
import { shellMessages } from '@logged-thermal/wording'
import { IN_BAR, places } from '../app/places'
import { SignSheet } from '../login/SignSheet'
import { Tour, TourOffer } from './Tour'
import { UndoToast } from './UndoToast'
import styles from './shell.module.css'
import { speaks } from '../kit/language'

const say = speaks(shellMessages)

/** The views, and the bar at the bottom edge. */
export function Shell({ children }: { children: ReactNode }) {
  const { pathname } = useLocation()
  return (
    <div className={styles.shell}>
      <a className={styles.skip} href="#main">
        {say('toContent')}
      </a>
      <a className={styles.skip} href="#views">
        {say('toViews')}
      </a>
      {children}
      {pathname === '/' && <TourOffer />}
      <Bar />
      <SignSheet />
      <UndoToast />
      <Tour />
    </div>
  )
}

/** Places, and nothing that is not a place. */
function Bar() {
  return (
    <nav className={styles.bar} aria-label={say('views')} id="views" tabIndex={-1}>
      <img className={styles.mark} src="/icon.svg" alt="" />
      {IN_BAR.map((key) => (
        <NavLink
          key={key}
          to={places[key].path}
          end={key === 'line'}
          className={({ isActive }) => (isActive ? styles.active : undefined)}
        >
          {places[key].name}
        </NavLink>
      ))}
    </nav>
  )
}
