import type { ReactNode } from 'react'
import { KeyRow } from './KeyRow'
import styles from './notice.module.css'

interface Props {
  title?: ReactNode
  /** What can be done about it. */
  keys?: ReactNode
  children?: ReactNode
}

/** What was not taken, and why, beside what it is about. */
export function Notice({ title, keys, children }: Props) {
  return (
    <div className={styles.notice} role="alert">
      {title && <strong>{title}</strong>}
      {children}
      {keys && <KeyRow className={styles.keys}>{keys}</KeyRow>}
    </div>
  )
}
