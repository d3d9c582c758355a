import type { ComponentProps } from 'react'
import { clsx } from 'clsx'
import styles from './nameKeys.module.css'

/** Large keys with a name and a line below it: people, pots, places. */
export function NameKeys({ className, ...rest }: ComponentProps<'div'>) {
  return <div className={clsx(styles.names, className)} {...rest} />
}
