import { clsx } from 'clsx'
import type { ReactNode } from 'react'
import styles from './fieldRow.module.css'

/** Fields beside each other: two to a row, or three where they are short. */
export function FieldRow({ children, short = false }: { children: ReactNode; short?: boolean }) {
  return <div className={clsx(styles.row, short && styles.short)}>{children}</div>
}
