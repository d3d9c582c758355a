import Autocomplete, { type AutocompleteProps } from '@mui/material/Autocomplete'
import FormControl from '@mui/material/FormControl'
import FormLabel from '@mui/material/FormLabel'
import OutlinedInput from '@mui/material/OutlinedInput'
import { useId } from 'react'
import { keepFromPage } from './Field'

interface Props<T> extends Omit<AutocompleteProps<T, false, false, false>, 'renderInput'> {
  label: string
  placeholder?: string
  /** It is written into first. */
  first?: boolean
}

/** One of a long list, found by typing a part of any of its names. */
export function SearchField<T>({ label, placeholder, first = false, ...rest }: Props<T>) {
  const id = useId()
  return (
    <Autocomplete
      // The nearest is one Enter away.
      autoHighlight
      {...rest}
      id={id}
      renderInput={({ slotProps, disabled, fullWidth }) => (
        <FormControl disabled={disabled} fullWidth={fullWidth}>
          <FormLabel htmlFor={id}>{label}</FormLabel>
          <OutlinedInput
            ref={slotProps.input.ref}
            endAdornment={slotProps.input.endAdornment}
            slotProps={{ input: slotProps.htmlInput }}
            placeholder={placeholder}
            autoFocus={first}
            onKeyDown={keepFromPage}
          />
        </FormControl>
      )}
    />
  )
}
