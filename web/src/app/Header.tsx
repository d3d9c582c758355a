import { useState, type ReactNode } from 'react'
import { Link, useLocation } from 'react-router'
import { actionWord, clock, span, type Reader } from '@logged-thermal/wording'
import { Key } from '../parts/Key'
import { useHand, useJudged, useLine } from './kitchen'
import { useNow, useTold } from './now'
import { isUnsent } from './sender'
import { PeopleSheet } from './PeopleSheet'
import { useAppSelector } from './store'

/** A view's sentence, what is still kept on this tablet, who is logging, and the kitchen's clock. */
export function Header({ children, seconds = false }: { children: ReactNode; seconds?: boolean }) {
  const { person, reader, open } = useHand(useLine())
  const [choosing, setChoosing] = useState(false)
  return (
    <header className="head">
      {children}
      <RescueNear />
      <SetBack />
      <Kept />
      {open && (
        <Key look="quiet" className="logging-as" onClick={() => setChoosing(true)}>
          <small>logging as</small>
          {person?.name ?? 'tap your name'}
        </Key>
      )}
      <WallClock reader={reader} seconds={seconds} />
      <PeopleSheet open={choosing} onClose={() => setChoosing(false)} />
    </header>
  )
}

/** The kitchen's clock. */
function WallClock({ reader, seconds }: { reader: Reader; seconds: boolean }) {
  const now = useNow()
  return (
    <time className="clock" dateTime={new Date(now).toISOString()}>
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
  const first = useJudged(line).find(({ asks }) => asks.kind === 'rescue')
  const by = first?.asks.kind === 'rescue' ? first.asks.by : 0
  const left = useTold((now) => span(Math.max(0, by - now)))
  if (first?.asks.kind !== 'rescue') return null
  const { batch, asks } = first
  return (
    <Link className="rescue-near" to={`/bench/${batch.id}`}>
      <strong>{left}</strong>
      <span>
        {batch.method.name}
        <small>
          {actionWord(asks.first)} by {clock(asks.by, reader)}
        </small>
      </span>
    </Link>
  )
}

/** What only the tablets can tell: that the server has lost, or been given, another logbook. */
function SetBack() {
  const setBack = useAppSelector(({ connection }) => connection.setBack)
  if (!setBack) return null
  return (
    <p className="kept" role="alert">
      <strong>The logbook is not the one that this tablet saw.</strong> It saw entry {setBack.seen}, and now it ends at{' '}
      {setBack.ends} or goes otherwise. Tell the food-safety lead.
    </p>
  )
}

function Kept() {
  const unsent = useAppSelector(({ outbox }) => outbox.filter(isUnsent).length)
  const there = useAppSelector(({ connection }) => connection.there)
  if (there) return null
  return (
    <p className="kept" role="status">
      {unsent > 0 ? (
        <strong>{unsent === 1 ? '1 entry kept here.' : `${unsent} entries kept here.`}</strong>
      ) : (
        <strong>The server is away.</strong>
      )}{' '}
      {unsent > 0 ? 'Sent when the server is back.' : 'What you enter is kept here.'}
    </p>
  )
}
