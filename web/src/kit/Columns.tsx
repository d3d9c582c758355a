import type { ReactNode } from 'react'
import styles from './columns.module.css'

/** Two columns of a sheet; under each other where the screen is narrow. */
export function Columns({ children }: { children: ReactNode }) {
  return <div className={styles.columns}>{children}</div>
}
