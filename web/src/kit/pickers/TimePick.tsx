import { TimePicker } from '@mui/x-date-pickers/TimePicker'
import { format, isValid, parse } from 'date-fns'
import { keepFromPage } from '../Field'
import type { TimeProps } from './props'
import { Local } from './Local'

export default function TimePick({ label, value, onValue, hours }: TimeProps) {
  return (
    <Local>
      <TimePicker
        label={label}
        value={value ? parse(value, 'HH:mm', new Date(2000, 0, 1)) : null}
        ampm={hours === 12}
        onChange={(time) => onValue(time && isValid(time) ? format(time, 'HH:mm') : '')}
        slotProps={{ textField: { fullWidth: true, onKeyDown: keepFromPage } }}
      />
    </Local>
  )
}
