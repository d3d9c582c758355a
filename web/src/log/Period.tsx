import { addDays, type Day } from '@logged-thermal/core'
import { dayName, logMessages, type Reader } from '@logged-thermal/wording'
import { DateField } from '../kit/DateField'
import { Key } from '../kit/Key'
import { SelectField } from '../kit/SelectField'
import { speaks } from '../kit/language'
import { LENGTHS, type Asked } from './asked'
import styles from './log.module.css'

const say = speaks(logMessages)

interface Props {
  asked: Pick<Asked, 'day' | 'days'>
  ask: (change: Partial<Pick<Asked, 'day' | 'days'>>) => void
}

/** The last day of the time that is looked at; the arrows go on by as much as is looked at. */
export function DayStep({ asked: { day, days }, ask, today, reader }: Props & { today: Day; reader: Reader }) {
  const step = (by: number) => ask({ day: addDays(day, by * Number(days)) })
  return (
    <div className={styles.days}>
      <Key aria-label={say('dayBefore')} onClick={() => step(-1)}>
        ‹
      </Key>
      <div className={styles.day}>
        <DateField label={say('pickDay')} value={day} most={today} onValue={(value) => value && ask({ day: value })} />
        <small>{dayName(day, reader)}</small>
      </div>
      <Key aria-label={say('dayAfter')} disabled={day >= today} onClick={() => step(1)}>
        ›
      </Key>
    </div>
  )
}

/** How many days up to then. */
export function HowLong({ asked: { days }, ask, className }: Props & { className?: string | undefined }) {
  return (
    <SelectField
      className={className}
      label={say('howLong')}
      options={LENGTHS.map((value) => ({ value, words: say(`days_${value}`) }))}
      chosen={days}
      onChoose={(value) => ask({ days: value })}
    />
  )
}
