import { clsx } from 'clsx'
import { startTransition, useState } from 'react'
import type { Day, Standing } from '@logged-thermal/core'
import { logMessages, standingWord, type Reader } from '@logged-thermal/wording'
import type { LineData } from '../app/lineData'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { SelectField } from '../kit/SelectField'
import { speaks } from '../kit/language'
import { IDS, isFiltered, queryOf, type Asked } from './asked'
import { DayStep, HowLong } from './Period'
import styles from './log.module.css'

const say = speaks(logMessages)
const STANDINGS: Standing[] = ['proven', 'unproven', 'missed', 'open']

interface Props {
  asked: Asked
  ask: (change: Partial<Asked>) => void
  line: LineData
  reader: Reader
  today: Day
}

/** Which time, and which of its batches: all of it stands in the address too. */
export function Filters({ asked, ask, line, reader, today }: Props) {
  const { standing } = asked
  // What is cleared is written anew.
  const [cleared, setCleared] = useState(0)
  const [wider, setWider] = useState(IDS.some((name) => asked[name] !== ''))
  const of = (list: readonly { id: string; words: string }[], any: string) => [
    { value: '', words: any },
    ...list.map(({ id, words }) => ({ value: id, words })),
  ]
  return (
    <div className={clsx(styles.filters, wider && styles.opened)} role="search" aria-label={say('howLong')}>
      <DayStep asked={asked} ask={ask} today={today} reader={reader} />
      <Words key={cleared} value={asked.words} onValue={(words) => ask({ words })} />
      <HowLong className={styles.often} asked={asked} ask={ask} />
      <SelectField
        className={styles.often}
        label={say('standing')}
        options={[
          { value: '', words: say('anyStanding') },
          ...STANDINGS.map((value) => ({ value, words: standingWord(value, reader) })),
        ]}
        chosen={standing}
        onChoose={(value) => ask({ standing: value })}
      />
      <div className={styles.ends}>
        {isFiltered(asked) && (
          <Key
            look="outlined"
            onClick={() => {
              ask({ words: '', standing: '', person: '', method: '', instrument: '', unit: '', lot: '' })
              setCleared(cleared + 1)
            }}
          >
            {say('clearFilters')}
          </Key>
        )}
        <Key look="outlined" aria-expanded={wider} onClick={() => setWider(!wider)}>
          {say('moreFilters')}
        </Key>
        <Key look="outlined" href={`/api/log/batches.csv?${queryOf(asked, reader.zone)}`}>
          {say('csv')}
        </Key>
      </div>
      {wider && (
        <div className={styles.wider}>
          <SelectField
            label={say('by')}
            options={of(
              line.people.map(({ id, name }) => ({ id, words: name })),
              say('anyone'),
            )}
            chosen={asked.person}
            onChoose={(person) => ask({ person })}
          />
          <SelectField
            label={say('of')}
            options={of(
              line.methods.map(({ id, versions }) => ({ id, words: versions.at(-1)?.name ?? '' })),
              say('anyMethod'),
            )}
            chosen={asked.method}
            onChoose={(method) => ask({ method })}
          />
          <SelectField
            label={say('with')}
            options={of(
              line.instruments.map(({ id, code }) => ({ id, words: code })),
              say('anyProbe'),
            )}
            chosen={asked.instrument}
            onChoose={(instrument) => ask({ instrument })}
          />
          <SelectField
            label={say('in')}
            options={of(
              line.units.map(({ id, name }) => ({ id, words: name })),
              say('anyUnit'),
            )}
            chosen={asked.unit}
            onChoose={(unit) => ask({ unit })}
          />
          <SelectField
            label={say('from')}
            options={of(
              line.lots.map(({ id, name, code }) => ({ id, words: `${name} ${code}` })),
              say('anyLot'),
            )}
            chosen={asked.lot}
            onChoose={(lot) => ask({ lot })}
          />
        </div>
      )}
    </div>
  )
}

/** Each key counts, and none waits for an answer. */
function Words({ value, onValue }: { value: string; onValue: (value: string) => void }) {
  const [text, setText] = useState(value)
  const type = (typed: string) => {
    setText(typed)
    startTransition(() => onValue(typed.trim()))
  }
  return <Field className={styles.words} label={say('words')} mode="search" max={80} value={text} onValue={type} />
}
