import { useState } from 'react'
import { GROUPED_BY, type Group, type GroupedBy, type Trend } from '@logged-thermal/core'
import { trendsMessages } from '@logged-thermal/wording'
import type { LineData } from '../app/lineData'
import { SelectField } from '../kit/SelectField'
import { speaks } from '../kit/language'
import styles from './trends.module.css'

const say = speaks(trendsMessages)
/** Rows at most: those with the most batches. */
const SHOWN = 12
const WIDTH = 150

/** How many of each kind are proven: the counts first, then the range that the share lies in. */
export function Shares({ trend, line }: { trend: Trend; line: LineData }) {
  const [by, setBy] = useState<GroupedBy>('method')
  const groups = trend.groups[by].slice(0, SHOWN)
  return (
    <section className={styles.shares} aria-label={say('countsFirst')}>
      <div className={styles.head}>
        <h2 className="title">{say('countsFirst')}</h2>
        <small>{say('range')}</small>
      </div>
      <SelectField
        label={say('together')}
        options={GROUPED_BY.map((value) => ({ value, words: say(`group_${value}`) }))}
        chosen={by}
        onChoose={setBy}
      />
      {groups.length === 0 && <p className="muted">{say('nothingGrouped')}</p>}
      <ul>
        {groups.map((group) => (
          <li key={group.key}>
            <span>{nameOf(by, group.key, line)}</span>
            <b>{say('ofAll', { proven: group.proven, all: group.proven + group.unproven + group.missed })}</b>
            <Range group={group} />
          </li>
        ))}
      </ul>
      {groups.length > 1 && <p className="muted">{say('overlap')}</p>}
    </section>
  )
}

/** The share as a disc, and the range as a line between its ends, from 0 to 100 in 100. */
function Range({ group: { proven, unproven, missed, range } }: { group: Group }) {
  const x = (share: number) => 6 + share * (WIDTH - 12)
  const all = proven + unproven + missed
  return (
    <svg
      width={WIDTH}
      height="32"
      role="img"
      aria-label={say('rangeSays', { low: Math.round(range.low * 100), high: Math.round(range.high * 100) })}
    >
      <path d={`M${x(0)} 26H${x(1)}M${x(0)} 21v10M${x(0.5)} 23v6M${x(1)} 21v10`} stroke="var(--pist-d)" fill="none" />
      <path
        d={`M${x(range.low)} 12H${x(range.high)}M${x(range.low)} 6v12M${x(range.high)} 6v12`}
        stroke="var(--ink)"
        strokeWidth="2.500"
        fill="none"
      />
      {all > 0 && <circle cx={x(proven / all)} cy="12" r="5" fill="var(--ink)" />}
    </svg>
  )
}

function nameOf(by: GroupedBy, key: string, line: LineData): string {
  switch (by) {
    case 'vessel':
      return key
    case 'method':
      return line.methods.find(({ id }) => id === key)?.versions.at(-1)?.name ?? key
    case 'unit':
      return line.units.find(({ id }) => id === key)?.name ?? key
    case 'instrument':
      return line.instruments.find(({ id }) => id === key)?.code ?? key
    case 'person':
      return line.people.find(({ id }) => id === key)?.name ?? key
  }
}
