import ButtonBase from '@mui/material/ButtonBase'
import type { ReactNode } from 'react'
import { NavLink, useNavigate } from 'react-router'
import { SignSheet } from '../login/SignSheet'
import { useLockShiftMutation } from '../app/api'
import { useHand, useLine } from '../app/kitchen'
import { useAppDispatch, useAppSelector } from '../app/store'
import { tablet } from '../app/tablet'
import './shell.css'

/** The views, and the bar at the bottom edge. */
export function Shell({ children }: { children: ReactNode }) {
  return (
    <div className="shell">
      {children}
      <Nav />
      <SignSheet />
    </div>
  )
}

function Nav() {
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const night = useAppSelector(({ tablet: { theme } }) => theme === 'night')
  const { person, reader, open } = useHand(useLine())
  const [lock] = useLockShiftMutation()
  const other = reader.scale === 'C' ? 'F' : 'C'
  return (
    <nav className="nav" aria-label="Views">
      <img className="mark" src="/icon.svg" alt="" />
      <NavLink to="/" end>
        Line
      </NavLink>
      <NavLink to="/bench">Bench</NavLink>
      <NavLink to="/store">Cold</NavLink>
      <NavLink to="/cooldown" className="wide-only">
        Cooldown
      </NavLink>
      <NavLink to="/methods">Methods</NavLink>
      <NavLink to="/limits">Limits</NavLink>
      <NavLink to="/temper" className="wide-only">
        Ladles
      </NavLink>
      <span className="gap" />
      {person && (
        <ButtonBase
          aria-label={`Show °${other}`}
          onClick={() => dispatch(tablet.actions.unitChosen({ person: person.id, unit: other }))}
        >
          in °{reader.scale}
        </ButtonBase>
      )}
      <ButtonBase onClick={() => dispatch(tablet.actions.themeSwitched())}>{night ? 'Day' : 'Night'}</ButtonBase>
      {open ? (
        <ButtonBase onClick={() => void lock()}>Lock</ButtonBase>
      ) : (
        <ButtonBase onClick={() => void navigate('/login')}>Open shift</ButtonBase>
      )}
    </nav>
  )
}
