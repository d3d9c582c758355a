import LinearProgress from '@mui/material/LinearProgress'
import type { ReactNode } from 'react'
import styles from './whole.module.css'

/** What stands alone on the screen: nothing there yet, a fault, or waiting. */
export function Whole({ children, busy = false }: { children: ReactNode; busy?: boolean }) {
  return (
    <div className={styles.whole} role={busy ? 'status' : undefined} aria-busy={busy}>
      {children}
      {busy && <LinearProgress aria-hidden className={styles.progress ?? ''} />}
    </div>
  )
}
