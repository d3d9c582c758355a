import { DatePicker } from '@mui/x-date-pickers/DatePicker'
import { format, isValid, parse } from 'date-fns'
import type { Language } from '@logged-thermal/wording'
import { keepFromPage } from '../Field'
import { written } from '../language'
import type { DateProps } from './props'
import { Local } from './Local'

const DAY = 'yyyy-MM-dd'
const SHOWN: Record<Language, string> = { 'en-GB': 'd MMM yyyy', 'en-US': 'MMM d yyyy' }
const dateOf = (day: string) => parse(day, DAY, new Date(2000, 0, 1))

export default function DatePick({ label, value, onValue, least, most }: DateProps) {
  return (
    <Local>
      <DatePicker
        label={label}
        value={value ? dateOf(value) : null}
        {...(least ? { minDate: dateOf(least) } : {})}
        {...(most ? { maxDate: dateOf(most) } : {})}
        format={SHOWN[written]}
        onChange={(date) => onValue(date && isValid(date) ? format(date, DAY) : '')}
        slotProps={{ textField: { fullWidth: true, onKeyDown: keepFromPage } }}
      />
    </Local>
  )
}
