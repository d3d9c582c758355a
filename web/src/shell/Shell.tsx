import { Suspense, type ReactNode } from 'react'
import { NavLink, useLocation } from 'react-router'
import { shellMessages } from '@logged-thermal/wording'
import { IN_BAR, places } from '../app/places'
import { isToSign } from '../app/outbox'
import { useAppSelector } from '../app/store'
import { later } from '../kit/later'
import { Slept } from './Slept'
import { TourOffer } from './TourOffer'
import { UndoToast } from './UndoToast'
import styles from './shell.module.css'
import { speaks } from '../kit/language'

const say = speaks(shellMessages)

const SignSheet = later(() => import('../login/SignSheet'), 'SignSheet')
const Tour = later(() => import('./Tour'), 'Tour')

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
      <div className={styles.above}>
        <Slept />
        {pathname === '/' && <TourOffer />}
      </div>
      <Bar />
      <UndoToast />
      <Asked />
    </div>
  )
}

/** What lies over any view once it is asked for. */
function Asked() {
  const signs = useAppSelector(({ outbox }) => outbox.some(isToSign))
  const tours = useAppSelector(({ tablet }) => typeof tablet.tour === 'number')
  return (
    <Suspense>
      {signs && <SignSheet />}
      {tours && <Tour />}
    </Suspense>
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
