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
  /** What else can be done with it. */
  keys?: ReactNode
  className?: string | undefined
  children: ReactNode
}

/** One page to print, black on white, with the way back and the key that prints above it. */
export function PrintedPage({ label, back, print, keys, className, children }: Props) {
  return (
    <main className={styles.view}>
      <div className={styles.keys}>
        <Link to={back.to}>{back.words}</Link>
        <span className={styles.right}>
          {keys}
          <Key look={keys ? 'plain' : 'primary'} onClick={() => window.print()}>
            {print}
          </Key>
        </span>
      </div>
      <article className={clsx(styles.sheet, className)} aria-label={label}>
        {children}
      </article>
    </main>
  )
}
