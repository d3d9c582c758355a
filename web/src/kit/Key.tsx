import Button, { type ButtonProps } from '@mui/material/Button'
import Tooltip from '@mui/material/Tooltip'
import { clsx } from 'clsx'
import { useState } from 'react'

type Look = 'plain' | 'primary' | 'outlined' | 'quiet' | 'shut'

const VARIANT = { plain: 'plain', primary: 'primary', outlined: 'outline', quiet: 'quiet', shut: 'shut' } as const

interface Props extends Omit<ButtonProps, 'variant'> {
  look?: Look
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
  return shut ? <Why sentence={why}>{key}</Why> : key
}

function Why({ sentence, children }: { sentence: string; children: React.ReactElement }) {
  const [open, setOpen] = useState(false)
  return (
    <Tooltip
      describeChild
      title={sentence}
      open={open}
      onOpen={() => setOpen(true)}
      onClose={() => setOpen(false)}
      enterTouchDelay={0}
      leaveTouchDelay={4000}
    >
      {children}
    </Tooltip>
  )
}
