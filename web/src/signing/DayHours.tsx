import { useState } from 'react'
import { FieldError, type OpenDay, type Turn, type Week } from '@logged-thermal/core'
import { signingMessages } from '@logged-thermal/wording'
import { ledger } from '../app/ledger'
import { logsHere, type PersonOnList } from '../app/lineData'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { FieldRow } from '../kit/FieldRow'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { SelectField } from '../kit/SelectField'
import { Sheet } from '../kit/Sheet'
import { TimeField } from '../kit/TimeField'
import { speaks } from '../kit/language'
import styles from './signing.module.css'

const say = speaks(signingMessages)

const USUAL: OpenDay = { opens: '06:00', closes: '22:00', signs: [] }

interface Props {
  week: Week
  /** Which of its days. */
  i: number
  people: readonly PersonOnList[]
  title: string
  hours: 12 | 24
  onDone: (week: Week) => void
  onClose: () => void
}

/** The hours of one day of the week, and who signs in them. */
export function DayHours({ week, i, people, title, hours, onDone, onClose }: Props) {
  const [day, setDay] = useState<OpenDay | null>(week[i] ?? week.find((each) => each !== null) ?? USUAL)
  const deputies = people.filter(logsHere)
  const candidate = (every: boolean) => week.map((each, at) => (at === i || every ? day : each))
  const wrong = problemOf(candidate(false))
  const change = (part: Partial<OpenDay>) => day && setDay({ ...day, ...part })
  const turn = (at: number, part: Partial<Turn>) =>
    day && change({ signs: day.signs.map((each, j) => (j === at ? { ...each, ...part } : each)) })
  const add = () => {
    const next = deputies.find(({ role }) => role === 'lead') ?? deputies[0]
    if (!day || !next) return
    const from = day.signs.at(-1)?.until ?? day.opens
    change({
      signs: [...day.signs, { person: next.id, from: from === day.closes ? day.opens : from, until: day.closes }],
    })
  }
  return (
    <Sheet open onClose={onClose} title={title}>
      <div className={styles.form}>
        <ChoiceKeys
          name={say('dayIs')}
          options={['open', 'closed'] as const}
          chosen={day ? 'open' : 'closed'}
          words={(each) => say(each === 'open' ? 'isOpen' : 'isClosed')}
          onChoose={(each) => setDay(each === 'open' ? (week[i] ?? USUAL) : null)}
        />
        {day && (
          <>
            <FieldRow>
              <TimeField
                label={say('opens')}
                value={day.opens}
                onValue={(opens) => opens && change({ opens })}
                hours={hours}
              />
              <TimeField
                label={say('closes')}
                value={day.closes}
                onValue={(closes) => closes && change({ closes })}
                hours={hours}
              />
            </FieldRow>
            <h3 className="title">{say('signsThen')}</h3>
            {day.signs.map((each, at) => (
              <div key={at} className={styles.turn} role="group" aria-label={say('turnOf', { number: at + 1 })}>
                <SelectField
                  label={say('who')}
                  options={deputies.map(({ id, name }) => ({ value: id, words: name }))}
                  chosen={each.person}
                  onChoose={(person) => turn(at, { person })}
                />
                <TimeField
                  label={say('from')}
                  value={each.from}
                  onValue={(from) => from && turn(at, { from })}
                  hours={hours}
                />
                <TimeField
                  label={say('until')}
                  value={each.until}
                  onValue={(until) => until && turn(at, { until })}
                  hours={hours}
                />
                <Key
                  look="outlined"
                  aria-label={say('removeTurn', { name: people.find(({ id }) => id === each.person)?.name ?? '' })}
                  onClick={() => change({ signs: day.signs.filter((_, j) => j !== at) })}
                >
                  {say('remove')}
                </Key>
              </div>
            ))}
            <KeyRow>
              <Key look="outlined" onClick={add}>
                {say('addTurn')}
              </Key>
            </KeyRow>
          </>
        )}
        {wrong && <p role="alert">{wrong}</p>}
        <KeyRow>
          <Key look="primary" why={wrong} onClick={() => onDone(candidate(false))}>
            {say('done')}
          </Key>
          {day && (
            <Key look="outlined" why={problemOf(candidate(true))} onClick={() => onDone(candidate(true))}>
              {say('everyDay')}
            </Key>
          )}
        </KeyRow>
      </div>
    </Sheet>
  )
}

/** What core would refuse of a week, in words; null: nothing. */
function problemOf(week: Week): string | null {
  try {
    ledger().kinds['week-set'].parse({ path: 'body', value: { week } })
    return null
  } catch (error) {
    if (!(error instanceof FieldError)) throw error
    return error.field.endsWith('closes') ? say('overlaps') : say('outside')
  }
}
