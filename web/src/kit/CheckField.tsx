import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import type { ReactNode } from 'react'

interface Props {
  label: ReactNode
  checked: boolean
  onCheck: (checked: boolean) => void
  disabled?: boolean
}

/** Yes or no, with what it means beside it. */
export function CheckField({ label, checked, onCheck, disabled = false }: Props) {
  return (
    <FormControlLabel
      control={<Checkbox sx={{ flexShrink: 0 }} checked={checked} onChange={(_, next) => onCheck(next)} />}
      label={label}
      disabled={disabled}
    />
  )
}
