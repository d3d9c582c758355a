import { TOLERANCE, type CheckTerms, type InstrumentKind } from '@logged-thermal/core'
import { difference, instrumentsMessages } from '@logged-thermal/wording'
import { useHand, useLine } from '../app/kitchen'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { speaks } from '../kit/language'
import styles from './instruments.module.css'

const say = speaks(instrumentsMessages)

export type Overdue = Exclude<CheckTerms, 'not asked'>['overdue']

const DAYS = ['1', '7', '14', '30', '90', '365'] as const
const OVERDUE = ['counts', 'proves nothing'] as const

interface Props {
  kind: InstrumentKind
  tolerance: number
  onTolerance: (tolerance: number) => void
  days: number
  onDays: (days: number) => void
  overdue: Overdue
  onOverdue: (overdue: Overdue) => void
}

/** What it is held to, how often it is checked, and what its readings are worth while a check is overdue. */
export function Terms({ kind, tolerance, onTolerance, days, onDays, overdue, onOverdue }: Props) {
  const { reader } = useHand(useLine())
  const most = kind === 'ph' ? TOLERANCE.ph : TOLERANCE.temperature
  return (
    <>
      <div className={styles.term}>
        <span>{say('tolerance')}</span>
        <ChoiceKeys
          name={say('tolerance')}
          options={[String(most / 2), String(most)]}
          chosen={String(tolerance)}
          words={(each) => (kind === 'ph' ? each : difference(Number(each), reader))}
          onChoose={(each) => onTolerance(Number(each))}
        />
      </div>
      <div className={styles.term}>
        <span>{say('everyDays')}</span>
        <ChoiceKeys
          name={say('everyDays')}
          options={DAYS}
          chosen={String(days) as (typeof DAYS)[number]}
          words={(each) => say('days', { days: Number(each) })}
          onChoose={(each) => onDays(Number(each))}
        />
      </div>
      <div className={styles.term}>
        <span>{say('whenOverdue')}</span>
        <ChoiceKeys
          name={say('whenOverdue')}
          options={OVERDUE}
          chosen={overdue}
          words={(each) => say(each === 'counts' ? 'overdue_counts' : 'overdue_nothing')}
          onChoose={onOverdue}
        />
      </div>
    </>
  )
}
