import type { ReactNode } from 'react'
import { createPortal } from 'react-dom'
import { Key } from './Key'
import styles from './toast.module.css'

interface Props {
  words: ReactNode
  /** What takes it back, and how many seconds it may be tapped for. */
  undo: string
  left: number
  onUndo: () => void
}

/** What was just done, with the way back, counted down. It lies over a sheet that is open, and can be reached in it. */
export function Toast({ words, undo, left, onUndo }: Props) {
  // Drawn anew each second of the countdown: so it moves into a sheet that opens, and out of one that closes.
  const sheets = document.querySelectorAll('[role="dialog"]')
  const into = sheets[sheets.length - 1] ?? document.body
  return createPortal(
    <div className={styles.toast} role="status">
      <p>{words}</p>
      <Key onClick={onUndo}>
        {undo}
        <small aria-hidden>{left} s</small>
      </Key>
    </div>,
    into,
  )
}
