import { clsx } from 'clsx'
import type { ReactNode } from 'react'
import styles from './halves.module.css'

/** A view of two sides, each for itself; under each other where the screen is narrow. */
export function Halves({ className, children }: { className?: string | undefined; children: ReactNode }) {
  return <div className={clsx(styles.halves, className)}>{children}</div>
}
