import { Suspense, useState, type ReactNode } from 'react'
import { Link, useLocation, useNavigate } from 'react-router'
import { isPressing } from '@logged-thermal/core'
import { actionWord, clock, shellMessages, span } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { later, useReadAhead } from '../kit/later'
import { HelpKey } from './HelpKey'
import { KeptHere, NewProgram } from './KeptHere'
import { useHand, useJudged, useLine } from './kitchen'
import { useAsOf, useNow, useTold } from './now'
import { places, type PlaceKey } from './places'
import { SearchKey } from './SearchKey'
import { useAppSelector } from './store'
import styles from './header.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(shellMessages)

const PersonMenu = later(() => import('./PersonMenu'), 'PersonMenu')
const NEXT = [PersonMenu]

interface Props {
  place: PlaceKey
  keys: ReactNode
  seconds: boolean
  children: ReactNode
}

/** A view's sentence, what is still kept on this tablet, who is logging, and the kitchen's clock. */
export function Header({ place, keys, seconds, children }: Props) {
  return (
    <header className={styles.head}>
      <Back place={place} />
      {children}
      {keys}
      <RescueNear />
      <SetBack />
      <KeptHere />
      <NewProgram />
      <div className={styles.tools}>
        <SearchKey className={styles.find} />
        <HelpKey />
      </div>
      <Person />
      <WallClock seconds={seconds} />
    </header>
  )
}

/** From what lies under another view, back to that. */
function Back({ place }: { place: PlaceKey }) {
  const { under } = places[place]
  if (!under) return null
  const { path, name } = places[under]
  return (
    <Link className={styles.back} to={path} aria-label={say('back', { place: name })}>
      <svg width="16" height="26" viewBox="0 0 16 26" aria-hidden="true">
        <path d="M14 2L3 13L14 24" fill="none" stroke="currentColor" strokeWidth="4" />
      </svg>
    </Link>
  )
}

/** Who logs here. Tapped: another name, and what belongs to the person and the tablet. */
function Person() {
  const { person, open, readsOnly } = useHand(useLine())
  const navigate = useNavigate()
  const [choosing, setChoosing] = useState(false)
  useReadAhead(NEXT)
  return (
    <>
      <Key
        look={open ? 'quiet' : 'outlined'}
        className={styles.loggingAs}
        onClick={() => (open ? setChoosing(true) : void navigate('/login'))}
      >
        <small>{open ? say('loggingAs') : readsOnly ? say('readsOnly') : say('locked')}</small>
        {open ? <PersonName name={person?.name ?? say('tapName')} /> : say('openShift')}
      </Key>
      <Suspense>{choosing && <PersonMenu onClose={() => setChoosing(false)} />}</Suspense>
    </>
  )
}

/** On a phone the first letters do. */
function PersonName({ name }: { name: string }) {
  const letters = name.split(' ').map((part) => part.charAt(0))
  return (
    <>
      <span className={styles.name}>{name}</span>
      <span className={styles.letters} aria-hidden>
        {letters.join('')}
      </span>
    </>
  )
}

/** The kitchen's clock. */
function WallClock({ seconds }: { seconds: boolean }) {
  const now = useNow()
  const { reader } = useHand(useLine())
  return (
    <time className={styles.clock} dateTime={new Date(now).toISOString()}>
      {clock(now, reader)}
      {seconds && <small>:{String(Math.floor(now / 1000) % 60).padStart(2, '0')}</small>}
    </time>
  )
}

/** On any view but the Line and the Bench: what can still be saved never leaves the screen. */
function RescueNear() {
  const { pathname } = useLocation()
  return pathname === '/' || pathname.startsWith('/bench') ? null : <RescueBlock />
}

function RescueBlock() {
  const line = useLine()
  const { reader } = useHand(line)
  const judged = useJudged(line)
  const first = useAsOf((now) => judged.find(({ asks }) => asks.kind === 'rescue' && isPressing(asks, now)))
  if (first?.asks.kind !== 'rescue') return null
  const { batch, asks } = first
  return (
    <Link className={styles.rescue} to={`/bench/${batch.id}`}>
      <Left by={asks.by} />
      <span>
        {batch.method.name}
        <small>
          {say('byActionwordTime', { actionWord: actionWord(asks.first, reader), time: clock(asks.by, reader) })}
        </small>
      </span>
    </Link>
  )
}

function Left({ by }: { by: number }) {
  return <strong>{useTold((now) => span(Math.max(0, by - now), spoken))}</strong>
}

/** What only the tablets can tell: that the server has lost, or been given, another logbook. */
function SetBack() {
  const setBack = useAppSelector(({ connection }) => connection.setBack)
  if (!setBack) return null
  return (
    <p className={styles.setBack} role="alert">
      <strong>{say('logbookNotOneTablet')}</strong> {say('sawEntryNowEnds', { seen: setBack.seen, ends: setBack.ends })}
    </p>
  )
}
