import { useState } from 'react'
import {
  comparedWithPrinted,
  degreesTyped,
  parseTemperature,
  ruleSets,
  templateOf,
  type Degrees,
  type Line,
  type Rule,
  type Variance,
} from '@logged-thermal/core'
import { lineName } from '@logged-thermal/wording'
import { VarianceFields, varianceProblem } from './VarianceFields'
import { Key } from '../kit/Key'
import { Field } from '../kit/Field'
import { TemperatureField } from '../kit/TemperatureField'
import { KeyRow } from '../kit/KeyRow'
import { FieldRow } from '../kit/FieldRow'
import limitsStyles from './limits.module.css'
import decideStyles from '../decide/decide.module.css'

interface Props {
  line: Line
  onDone: (line: Line) => void
  onCancel: () => void
}

const NO_VARIANCE: Variance = { authority: '', reference: '', reason: '', validUntil: '' }

/** A line of the house's: its figures with their unit, the reason, and where it would be looser the written variance. */
export function HouseLineForm({ line, onDone, onCancel }: Props) {
  const [rule, setRule] = useState<Rule | null>(line.house?.rule ?? templateOf(line))
  const [broken, setBroken] = useState<Record<string, boolean>>({})
  const [reason, setReason] = useState(line.house?.reason ?? '')
  const [variance, setVariance] = useState<Variance>(line.variance ?? NO_VARIANCE)
  if (!rule) return <p className={limitsStyles.panel}>This limit has no figure that a house could set.</p>

  const compared = comparedWithPrinted(line, rule)
  const looser = compared === 'looser'
  const missing = problemOf(rule, Object.values(broken).some(Boolean), compared, reason, looser ? variance : null)
  const offers = [
    ...line.published.flatMap(({ alternative, rule: each }) =>
      alternative ? [{ rule: each, why: 'The equivalence that the rule set publishes' }] : [],
    ),
    ...Object.values(ruleSets)
      .filter(({ limits }) =>
        limits.some(({ key, origin }) => key === line.key && origin === line.published[0]?.origin),
      )
      .flatMap(({ offers: all }) => all.filter(({ key }) => key === line.key)),
  ]
  const nearby = line.published.flatMap(({ rule: each }) => degreesIn(each))
  const mark = (name: string) => (isBroken: boolean) => setBroken((all) => ({ ...all, [name]: isBroken }))
  return (
    <section className={limitsStyles.panel} aria-label="House line">
      <header>
        <h2 className="title">{lineName(line.key)}: the house's line</h2>
      </header>
      {offers.map(({ rule: offered, why }) => (
        <Key key={why} onClick={() => (setRule(offered), setReason(why), setBroken({}))}>
          {why}
        </Key>
      ))}
      <RuleFields rule={rule} nearby={nearby} onRule={setRule} onBroken={mark} />
      <Field label="Reason" value={reason} onValue={setReason} />
      {looser && (
        <fieldset>
          <legend>Looser than printed: only by a written variance</legend>
          <VarianceFields variance={variance} onChange={setVariance} />
        </fieldset>
      )}
      <p role="status" className={decideStyles.why}>
        {missing ?? (looser ? 'Looser, by variance.' : 'Stricter than printed: it holds beside it.')}
      </p>
      <KeyRow>
        <Key
          look="primary"
          disabled={missing !== null}
          onClick={() =>
            onDone({ ...line, house: { rule, reason: reason.trim() }, variance: looser ? variance : null })
          }
        >
          Into the next version
        </Key>
        <Key look="outlined" onClick={onCancel}>
          Not now
        </Key>
      </KeyRow>
    </section>
  )
}

function RuleFields({
  rule,
  nearby,
  onRule,
  onBroken,
}: {
  rule: Rule
  nearby: Degrees[]
  onRule: (rule: Rule) => void
  onBroken: (name: string) => (broken: boolean) => void
}) {
  const degrees = (name: string, value: Degrees, change: (value: Degrees) => void) => (
    <DegreesField key={name} name={name} value={value} nearby={nearby} onValue={change} onBroken={onBroken(name)} />
  )
  const count = (name: string, value: number, change: (value: number) => void) => (
    <NumberField key={name} name={name} value={value} onValue={change} onBroken={onBroken(name)} />
  )
  switch (rule.kind) {
    case 'hold': {
      const [row] = rule.rows.slice(-1)
      return (
        <FieldRow>
          {degrees('At', row!.at, (at) => onRule({ kind: 'hold', rows: [{ at, seconds: row!.seconds }] }))}
          {count('Seconds, 0 is at once', row!.seconds, (seconds) =>
            onRule({ kind: 'hold', rows: [{ at: row!.at, seconds }] }),
          )}
        </FieldRow>
      )
    }
    case 'reach':
      return (
        <FieldRow>
          {degrees('To', rule.to, (to) => onRule({ ...rule, to }))}
          {count('Minutes', rule.withinMinutes, (withinMinutes) => onRule({ ...rule, withinMinutes }))}
        </FieldRow>
      )
    case 'stay':
      return degrees(rule.side === 'under' ? 'Stay at or under' : 'Stay at or over', rule.level, (level) =>
        onRule({ ...rule, level }),
      )
    case 'days':
      return count('Days', rule.days, (days) => onRule({ ...rule, days }))
    case 'hours':
      return count('Hours', rule.hours, (hours) => onRule({ ...rule, hours }))
    case 'equivalent':
      return count('Minutes at the reference', rule.minutes, (minutes) => onRule({ ...rule, minutes }))
    case 'exposure':
    case 'egg lot':
    case 'no number':
    case 'condition':
    case 'tolerance':
    case 'acidity':
      return null
  }
}

/** A temperature with its unit: a bare number is asked about, never guessed. */
function DegreesField({
  name,
  value,
  nearby,
  onValue,
  onBroken,
}: {
  name: string
  value: Degrees
  nearby: Degrees[]
  onValue: (value: Degrees) => void
  onBroken: (broken: boolean) => void
}) {
  const [text, setText] = useState(`${value.c} °C`)
  const parsed = parseTemperature(text)
  const read = (next: string) => {
    setText(next)
    const now = parseTemperature(next)
    onBroken(!now.ok)
    if (now.ok) onValue(degreesTyped(now.typed, nearby))
  }
  return <TemperatureField label={name} value={text} parsed={parsed} onValue={read} />
}

function NumberField({
  name,
  value,
  onValue,
  onBroken,
}: {
  name: string
  value: number
  onValue: (value: number) => void
  onBroken: (broken: boolean) => void
}) {
  const [text, setText] = useState(String(value))
  return (
    <Field
      label={name}
      value={text}
      mode="decimal"
      onValue={(typed) => {
        setText(typed)
        const number = Number(typed.replace(',', '.'))
        const ok = typed.trim() !== '' && Number.isFinite(number) && number >= 0
        onBroken(!ok)
        if (ok) onValue(number)
      }}
    />
  )
}

/** What is still missing before the line can go into a version. */
function problemOf(
  rule: Rule,
  broken: boolean,
  compared: ReturnType<typeof comparedWithPrinted>,
  reason: string,
  variance: Variance | null,
): string | null {
  if (broken) return 'A figure is not readable yet.'
  if (compared === 'same') return 'That is what is printed already.'
  if (rule.kind === 'days' && !Number.isInteger(rule.days)) return 'Days are whole.'
  if (reason.trim() === '') return 'Write the reason.'
  const problem = variance && varianceProblem(variance)
  return problem && `Looser than printed. ${problem}`
}

function degreesIn(rule: Rule): Degrees[] {
  switch (rule.kind) {
    case 'hold':
      return rule.rows.map(({ at }) => at)
    case 'reach':
      return [rule.to, ...(typeof rule.clock === 'object' && 'crossing' in rule.clock ? [rule.clock.crossing] : [])]
    case 'stay':
      return [rule.level]
    default:
      return []
  }
}
