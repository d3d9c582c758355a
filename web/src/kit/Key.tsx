import Button, { type ButtonProps } from '@mui/material/Button'
import { clsx } from 'clsx'
import { Suspense } from 'react'
import { later } from './later'

type Look = 'plain' | 'primary' | 'outlined' | 'quiet' | 'shut'

/** The key can be read and reached before the words of its refusal are there. */
const Why = later(() => import('./Why'), 'Why')

const VARIANT = { plain: 'plain', primary: 'primary', outlined: 'outline', quiet: 'quiet', shut: 'shut' } as const

interface Props extends Omit<ButtonProps, 'variant'> {
  look?: Look
  /** With an address: opened beside, or saved under such a name. */
  target?: '_blank'
  download?: string
  /** Why it does nothing now: told when it is tapped, and read out with its name. */
  why?: string | null | false
}

/** A key: at least 56 by 56, with a lip that goes when it is pressed. */
export function Key({ look = 'plain', className, why, ...rest }: Props) {
  const shut = typeof why === 'string' && !rest.disabled
  const key = (
    <Button
      {...rest}
      {...(shut ? { 'aria-disabled': true, onClick: undefined, type: 'button' as const } : {})}
      variant={shut ? 'shut' : VARIANT[look]}
      className={clsx('key', look, shut && 'shut', className)}
    />
  )
  if (!shut) return key
  return (
    <Suspense fallback={key}>
      <Why sentence={why}>{key}</Why>
    </Suspense>
  )
}
