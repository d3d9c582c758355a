import FormControl from '@mui/material/FormControl'
import FormHelperText from '@mui/material/FormHelperText'
import FormLabel from '@mui/material/FormLabel'
import InputAdornment from '@mui/material/InputAdornment'
import OutlinedInput from '@mui/material/OutlinedInput'
import { clsx } from 'clsx'
import { useId, type KeyboardEvent, type ReactNode, type Ref } from 'react'
import { HIDDEN } from './hidden'

interface Props {
  /** What is asked for; stands above. */
  label: ReactNode
  value: string
  /** Not given: it is shown and cannot be changed. */
  onValue?: ((value: string) => void) | undefined
  /** Which keys a tablet shows. */
  mode?: 'text' | 'decimal' | 'numeric' | 'search' | 'none' | undefined
  /** Stands behind the value: 'g', '°C'. */
  unit?: string
  /** Lines to write in; one without it. */
  rows?: number
  max?: number
  placeholder?: string | undefined
  /** What is wrong with the value, or what to know about it. */
  error?: string | null
  hint?: ReactNode
  /** The label is read out but not shown: the place says it. */
  quietly?: boolean
  disabled?: boolean
  /** A password: shown as dots. A new one is offered by the browser, never filled in. */
  secret?: 'current' | 'new'
  /** It is written into first: a tablet opens its keys. */
  first?: boolean
  className?: string | undefined
  inputRef?: Ref<HTMLInputElement> | undefined
  onDone?: () => void
  onLeave?: () => void
}

/** Something to write into, with its name above and what is wrong below. */
export function Field(props: Props) {
  const { label, value, onValue, mode = 'text', unit, rows, max = 300, placeholder, error, hint } = props
  const { quietly = false, disabled = false, first = false, secret, className, inputRef, onDone, onLeave } = props
  const id = useId()
  const said = error ?? hint
  return (
    <FormControl className={clsx('field', className)} error={Boolean(error)} disabled={disabled} fullWidth>
      <FormLabel htmlFor={id} sx={quietly ? HIDDEN : undefined}>
        {label}
      </FormLabel>
      <OutlinedInput
        id={id}
        inputRef={inputRef}
        type={secret ? 'password' : mode === 'search' ? 'search' : 'text'}
        value={value}
        multiline={rows !== undefined}
        minRows={rows}
        placeholder={placeholder}
        readOnly={!onValue}
        autoComplete={secret ? `${secret}-password` : 'off'}
        autoFocus={first}
        endAdornment={unit && <InputAdornment position="end">{unit}</InputAdornment>}
        aria-describedby={said ? `${id}-said` : undefined}
        slotProps={{ input: { inputMode: mode, maxLength: max } }}
        onChange={({ target }) => onValue?.(target.value)}
        onFocus={({ target }) => !onValue && target.select()}
        onBlur={onLeave}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && rows === undefined) onDone?.()
          keepFromPage(event)
        }}
      />
      {said && (
        <FormHelperText id={`${id}-said`} role={error ? 'alert' : undefined}>
          {said}
        </FormHelperText>
      )}
    </FormControl>
  )
}

/** What is typed into a field is no shortcut of the page behind it; Escape and Tab still leave it. */
export function keepFromPage(event: KeyboardEvent): void {
  if (event.key !== 'Escape' && event.key !== 'Tab') event.stopPropagation()
}
