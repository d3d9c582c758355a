import FormControl from '@mui/material/FormControl'
import FormHelperText from '@mui/material/FormHelperText'
import FormLabel from '@mui/material/FormLabel'
import MenuItem from '@mui/material/MenuItem'
import Select from '@mui/material/Select'
import { clsx } from 'clsx'
import { useId, type ReactNode } from 'react'
import { HIDDEN } from './hidden'
import { keepFromPage } from './Field'

interface Props<T extends string> {
  label: ReactNode
  options: readonly { value: T; words: string }[]
  chosen: T
  onChoose: (value: T) => void
  /** What to know about it. */
  hint?: string
  quietly?: boolean
  disabled?: boolean
  className?: string | undefined
}

/** One of many, in a list that drops down. For a few, choice keys say it without a tap. */
export function SelectField<T extends string>(props: Props<T>) {
  const { label, options, chosen, onChoose, hint, quietly = false, disabled = false, className } = props
  const id = useId()
  return (
    <FormControl className={clsx('field', className)} disabled={disabled} fullWidth>
      <FormLabel id={id} sx={quietly ? HIDDEN : undefined}>
        {label}
      </FormLabel>
      <Select
        labelId={id}
        {...(hint ? { 'aria-describedby': `${id}-hint` } : {})}
        value={options.some(({ value }) => value === chosen) ? chosen : ''}
        displayEmpty
        onChange={({ target }) => onChoose(target.value as T)}
        onKeyDown={keepFromPage}
      >
        {options.map(({ value, words }) => (
          <MenuItem key={value} value={value}>
            {words}
          </MenuItem>
        ))}
      </Select>
      {hint && <FormHelperText id={`${id}-hint`}>{hint}</FormHelperText>}
    </FormControl>
  )
}
