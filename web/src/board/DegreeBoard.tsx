import { boardMessages } from '@logged-thermal/wording'
import { useEffect, useLayoutEffect, useRef, useState } from 'react'
import type { TemperatureScale } from '@logged-thermal/core'
import { Key } from '../kit/Key'
import { HalfTyped } from './HalfTyped'
import { useSteady } from '../kit/steady'
import { DegreeKey, TensKey, TenthKey, type WedgeKind } from './BoardKeys'
import {
  aroundNext,
  decades,
  degreesOf,
  inView,
  NOTHING,
  numberOf,
  withTenth,
  type Around,
  type Entered,
} from './degreeEntry'
import { clsx } from 'clsx'
import styles from './board.module.css'
import { speaks } from '../kit/language'

const say = speaks(boardMessages)

/** Where a limit lies, in the board's unit. */
export interface BoardMark {
  value: number
  kind: WedgeKind
}

const TENTHS = Array.from({ length: 10 }, (_, tenth) => tenth)

interface Props {
  scale: TemperatureScale
  /** In the board's unit: the last reading, never a forecast. */
  centre: number
  marks: BoardMark[]
  rows: number
  disabled: boolean
  ask: string
  /** Where the probe, the time and the unit are changed. */
  controls: React.ReactNode
  onValue: (value: number) => void
  /** A value is begun and not logged yet. */
  onHalf?: (half: boolean) => void
}

/** Tap the degree, tap the tenth: logged. Or type it. The unit is always in sight. */
export function DegreeBoard({ scale, centre, marks, rows, disabled, ask, controls, onValue, onHalf }: Props) {
  const [entered, show] = useState<Entered>(NOTHING)
  // Keys come faster than a render: what was typed is read from here.
  const latest = useRef<Entered>(NOTHING)
  const setEntered = (next: Entered) => {
    latest.current = next
    show(next)
    onHalf?.(next.kind !== 'nothing')
  }
  const [around, setAround] = useState<Around>({ scale, value: centre, last: centre })
  const [wrong, setWrong] = useState<string | null>(null)
  const next = aroundNext(around, { scale, last: centre, rows, half: entered.kind === 'degree' })
  if (next !== around) setAround(next)
  const view = inView(scale, next.value, rows)
  const strip = useRef<HTMLDivElement>(null)
  const board = useRef<HTMLElement>(null)
  useEffect(() => {
    const shown = strip.current?.querySelector('[data-in-view]')
    const box = strip.current
    if (box && shown instanceof HTMLElement) box.scrollLeft = shown.offsetLeft - box.offsetLeft - box.clientWidth / 2
  }, [scale, next.value])

  const clear = () => {
    setEntered(NOTHING)
    setWrong(null)
  }
  const log = (value: number) => {
    clear()
    onValue(value)
  }
  // With the paint: a key that follows a reading at once goes by what is shown, not by what was.
  useLayoutEffect(() => {
    const typed = (event: KeyboardEvent) => {
      // A sheet over the board takes the keyboard with it.
      if (board.current?.closest('[aria-hidden="true"]')) return
      if (disabled || event.ctrlKey || event.metaKey || event.altKey || isInField(event.target)) return
      const { key } = event
      const text = latest.current.kind === 'typed' ? latest.current.text : ''
      if (/^[\d.,-]$/.test(key) && text.length < 6) {
        setEntered({ kind: 'typed', text: text + key })
        setWrong(null)
      } else if (key === 'Backspace') setEntered(text.length > 1 ? { kind: 'typed', text: text.slice(0, -1) } : NOTHING)
      else if (key === 'Escape') clear()
      else if (key === 'Enter' && text !== '') {
        event.preventDefault()
        const value = numberOf(text)
        if (value === null) setWrong(say('notNumberTypeDigits', { text }))
        else log(value)
      } else if (/^[a-z]$/i.test(key)) setWrong(say('noDigitTypeDigits', { key }))
    }
    window.addEventListener('keydown', typed)
    return () => window.removeEventListener('keydown', typed)
  })
  const bringTens = useSteady((decade: number) => setAround({ scale, value: decade, last: centre }))
  const tapDegree = useSteady((degree: number, minus: boolean) => setEntered({ kind: 'degree', degree, minus }))
  const tapTenth = useSteady((tenth: number) => {
    const { current } = latest
    if (current.kind === 'degree') log(withTenth(current, tenth))
  })
  const typedValue = entered.kind === 'typed' ? numberOf(entered.text) : null
  // On a phone there is room for one: what was begun is cleared, or what it is read with is changed.
  const narrow = rows < 3
  const clearKey = (
    <Key look="outlined" className={styles.clear} disabled={entered.kind === 'nothing'} onClick={clear}>
      {say('clear')}
    </Key>
  )
  return (
    <section ref={board} className={styles.board} aria-label={say('degreeBoard', { scale })}>
      <div className={styles.head}>
        <div className={styles.controls}>{narrow && entered.kind !== 'nothing' ? clearKey : controls}</div>
        <output className={styles.value} aria-label={say('valueIn', { scale })}>
          <small className={styles.ask}>{ask}</small>
          <Shown entered={entered} scale={scale} />
        </output>
        {!narrow && clearKey}
      </div>
      {wrong && (
        <p role="alert" className={styles.wrong}>
          {wrong}
        </p>
      )}
      <div className={styles.strip} ref={strip} role="group" aria-label={say('tens')}>
        {decades(scale).map((decade) => (
          <TensKey key={decade} decade={decade} inView={view.includes(decade)} disabled={disabled} onTens={bringTens} />
        ))}
      </div>
      <div className={styles.degrees}>
        {view.flatMap((decade) =>
          degreesOf(decade).map(({ degree, minus }) => (
            <DegreeKey
              key={`${minus ? '-' : ''}${degree}`}
              degree={degree}
              minus={minus}
              scale={scale}
              chosen={entered.kind === 'degree' && entered.degree === degree && entered.minus === minus}
              disabled={disabled}
              wedges={minus ? null : wedgesAt(degree, marks)}
              onDegree={tapDegree}
            />
          )),
        )}
        {TENTHS.map((tenth) => (
          <TenthKey
            key={`.${tenth}`}
            tenth={tenth}
            asked={entered.kind === 'degree'}
            disabled={disabled}
            onTenth={tapTenth}
          />
        ))}
      </div>
      <HalfTyped
        begun={begunOf(entered, scale)}
        onLog={typedValue === null ? null : () => log(typedValue)}
        onDrop={clear}
      />
    </section>
  )
}

function begunOf(entered: Entered, scale: TemperatureScale): string | null {
  if (entered.kind === 'nothing') return null
  return entered.kind === 'typed'
    ? `${entered.text} °${scale}`
    : `${entered.minus ? '-' : ''}${Math.abs(entered.degree)}._ °${scale}`
}

function Shown({ entered, scale }: { entered: Entered; scale: TemperatureScale }) {
  const slot = (asked: boolean) => <i className={clsx(styles.slot, asked && styles.wanted)} />
  switch (entered.kind) {
    case 'nothing':
      return (
        <>
          {slot(false)}
          {slot(false)}.{slot(false)}°{scale}
        </>
      )
    case 'degree':
      return (
        <>
          {entered.minus ? '-' : ''}
          {Math.abs(entered.degree)}.{slot(true)}°{scale}
        </>
      )
    case 'typed':
      return (
        <>
          {entered.text}°{scale}
        </>
      )
  }
}

function wedgesAt(degree: number, marks: readonly BoardMark[]): WedgeKind | null {
  const first = ({ value, kind }: BoardMark) => (kind === 'reach' ? Math.ceil(value) - 1 : Math.floor(value))
  return marks.find((mark) => degree === first(mark))?.kind ?? null
}

function isInField(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)
}
