import type { Standing } from '@logged-thermal/core'
import { standingWord } from '@logged-thermal/wording'
import { clsx } from 'clsx'
import styles from './badge.module.css'
import { spoken } from '../kit/language'

/** The verdict as a scrap of ribbon. Missed is split by a zigzag clear of the letters. */
export function Badge({ standing }: { standing: Standing }) {
  return (
    <span className={clsx(styles.badge, styles[standing])} role="status">
      {standingWord(standing, spoken)}
      {standing === 'missed' && <Zigzag />}
    </span>
  )
}

function Zigzag() {
  return (
    <svg className={styles.zigzag} width="20" height="34" viewBox="0 0 20 34" aria-hidden="true">
      <path d="M13 0 L4 16 L13 15 L5 34" fill="none" stroke="var(--milk)" strokeWidth="4" />
    </svg>
  )
}
