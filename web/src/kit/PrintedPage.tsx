import { clsx } from 'clsx'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { Key } from './Key'
import styles from './printedPage.module.css'

interface Props {
  /** What the page is, read out. */
  label: string
  /** The way back, and what it is called. */
  back: { to: string; words: string }
  print: string
  className?: string | undefined
  children: ReactNode
}

/** One page to print, black on white, with the way back and the key that prints above it. */
export function PrintedPage({ label, back, print, className, children }: Props) {
  return (
    <main className={styles.view}>
      <div className={styles.keys}>
        <Link to={back.to}>{back.words}</Link>
        <Key look="primary" onClick={() => window.print()}>
          {print}
        </Key>
      </div>
      <article className={clsx(styles.sheet, className)} aria-label={label}>
        {children}
      </article>
    </main>
  )
}
