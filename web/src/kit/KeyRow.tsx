import { clsx } from 'clsx'
import type { ComponentProps } from 'react'
import styles from './keyRow.module.css'

/** Keys beside each other, as wide as the place gives. With a label they are a group. */
export function KeyRow({ label, className, ...rest }: ComponentProps<'div'> & { label?: string }) {
  return (
    <div
      {...(label === undefined ? {} : { role: 'group', 'aria-label': label })}
      {...rest}
      className={clsx(styles.row, className)}
    />
  )
}
