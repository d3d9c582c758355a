import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider'
import { AdapterDateFns } from '@mui/x-date-pickers/AdapterDateFns'
import type { ReactNode } from 'react'

/** What pickers write days and times by. They know wall time only: which zone it is meant in, the view says. */
export function Local({ children }: { children: ReactNode }) {
  return <LocalizationProvider dateAdapter={AdapterDateFns}>{children}</LocalizationProvider>
}
