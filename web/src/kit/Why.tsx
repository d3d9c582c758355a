import Tooltip from '@mui/material/Tooltip'
import { useState, type ReactElement } from 'react'

/** Tells on tap, on focus and to a reader of the screen why the key in it does nothing. */
export function Why({ sentence, children }: { sentence: string; children: ReactElement }) {
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
