import { memo, type CSSProperties } from 'react'
import { clsx } from 'clsx'
import { boardMessages } from '@logged-thermal/wording'
import type { TemperatureScale } from '@logged-thermal/core'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import { colourOf } from '../parts/temperatureScale'
import { celsiusOfDegree } from './degreeEntry'
import styles from './board.module.css'

// A board has some sixty keys, and is looked at anew with each digit, reading and second: a key is drawn again only when
// something of its own has changed.

const say = speaks(boardMessages)

/** A limit's place on the board: the wedge pair stands before the first degree that is beyond it. */
export type WedgeKind = 'reach' | 'be under'

interface TensProps {
  decade: number
  inView: boolean
  disabled: boolean
  onTens: (decade: number) => void
}

/** Brings a row of ten degrees into view. */
export const TensKey = memo(function TensKey({ decade, inView, disabled, onTens }: TensProps) {
  return (
    <Key
      className={clsx(inView && styles.inView)}
      data-in-view={inView || undefined}
      disabled={disabled}
      aria-label={say('inView', { nameOf: nameOf(decade) })}
      onClick={() => onTens(decade)}
    >
      {nameOf(decade)}
    </Key>
  )
})

interface DegreeProps {
  degree: number
  minus: boolean
  scale: TemperatureScale
  chosen: boolean
  disabled: boolean
  wedges: WedgeKind | null
  onDegree: (degree: number, minus: boolean) => void
}

/** One degree, in its colour. */
export const DegreeKey = memo(function DegreeKey(props: DegreeProps) {
  const { degree, minus, scale, chosen, disabled, wedges, onDegree } = props
  return (
    <Key
      className={clsx(styles.degree, chosen && styles.chosen, degree >= 100 && styles.three)}
      style={{ '--degree': colourOf(celsiusOfDegree(degree, scale)) } as CSSProperties}
      disabled={disabled}
      aria-pressed={chosen}
      onClick={() => onDegree(degree, minus)}
    >
      {minus ? `-${Math.abs(degree)}` : degree}
      {wedges && <Wedges kind={wedges} />}
    </Key>
  )
})

interface TenthProps {
  tenth: number
  /** A degree is tapped: this is asked for. */
  asked: boolean
  disabled: boolean
  onTenth: (tenth: number) => void
}

/** The tenth that logs. */
export const TenthKey = memo(function TenthKey({ tenth, asked, disabled, onTenth }: TenthProps) {
  return (
    <Key
      className={clsx(styles.tenth, asked && styles.asked)}
      disabled={disabled || !asked}
      onClick={() => onTenth(tenth)}
    >
      .{tenth}
    </Key>
  )
})

/** Points face in before a limit to be under; flats before one to reach. */
function Wedges({ kind }: { kind: WedgeKind }) {
  const [top, bottom] =
    kind === 'be under' ? ['0,0 17,0 8.500,26', '0,76 17,76 8.500,50'] : ['8.500,0 17,26 0,26', '8.500,76 17,50 0,50']
  return (
    <svg className={styles.gateMark} viewBox="0 0 17 76" preserveAspectRatio="none" aria-hidden="true">
      <polygon points={top} fill="var(--ink)" />
      <polygon points={bottom} fill="var(--ink)" />
    </svg>
  )
}

function nameOf(decade: number): string {
  if (decade >= 0) return `${decade}s`
  return decade === -10 ? '-0s' : `-${-(decade + 10)}s`
}
