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
import { lineName, limitFormsMessages } from '@logged-thermal/wording'
import { VarianceFields, varianceProblem } from './VarianceFields'
import { Key } from '../kit/Key'
import { Field } from '../kit/Field'
import { TemperatureField } from '../kit/TemperatureField'
import { KeyRow } from '../kit/KeyRow'
import { FieldRow } from '../kit/FieldRow'
import limitsStyles from './limits.module.css'
import decideStyles from '../decide/decide.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(limitFormsMessages)

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
  if (!rule) return <p className={limitsStyles.panel}>{say('limitNoFigureHouse')}</p>

  const compared = comparedWithPrinted(line, rule)
  const looser = compared === 'looser'
  const missing = problemOf(rule, Object.values(broken).some(Boolean), compared, reason, looser ? variance : null)
  const offers = [
    ...line.published.flatMap(({ alternative, rule: each }) =>
      alternative ? [{ rule: each, why: say('equivalenceRuleSetPublishes') }] : [],
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
    <section className={limitsStyles.panel} aria-label={say('houseLine')}>
      <header>
        <h2 className="title">{say('housesLine', { lineName: lineName(line.key, spoken) })}</h2>
      </header>
      {offers.map(({ rule: offered, why }) => (
        <Key key={why} onClick={() => (setRule(offered), setReason(why), setBroken({}))}>
          {why}
        </Key>
      ))}
      <RuleFields rule={rule} nearby={nearby} onRule={setRule} onBroken={mark} />
      <Field label={say('reason')} value={reason} onValue={setReason} />
      {looser && (
        <fieldset>
          <legend>{say('looserThanPrintedOnly')}</legend>
          <VarianceFields variance={variance} onChange={setVariance} />
        </fieldset>
      )}
      <p role="status" className={decideStyles.why}>
        {missing ?? (looser ? say('looserByVariance') : say('stricterThanPrintedHolds'))}
      </p>
      <KeyRow>
        <Key
          look="primary"
          why={missing}
          onClick={() =>
            onDone({ ...line, house: { rule, reason: reason.trim() }, variance: looser ? variance : null })
          }
        >
          {say('intoNextVersion')}
        </Key>
        <Key look="outlined" onClick={onCancel}>
          {say('notNow')}
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
          {degrees(say('at'), row!.at, (at) => onRule({ kind: 'hold', rows: [{ at, seconds: row!.seconds }] }))}
          {count(say('seconds0AtOnce'), row!.seconds, (seconds) =>
            onRule({ kind: 'hold', rows: [{ at: row!.at, seconds }] }),
          )}
        </FieldRow>
      )
    }
    case 'reach':
      return (
        <FieldRow>
          {degrees(say('to'), rule.to, (to) => onRule({ ...rule, to }))}
          {count(say('minutes'), rule.withinMinutes, (withinMinutes) => onRule({ ...rule, withinMinutes }))}
        </FieldRow>
      )
    case 'stay':
      return degrees(rule.side === 'under' ? say('stayAtOrUnder') : say('stayAtOrOver'), rule.level, (level) =>
        onRule({ ...rule, level }),
      )
    case 'days':
      return count(say('days'), rule.days, (days) => onRule({ ...rule, days }))
    case 'hours':
      return count(say('hours'), rule.hours, (hours) => onRule({ ...rule, hours }))
    case 'equivalent':
      return count(say('minutesAtReference'), rule.minutes, (minutes) => onRule({ ...rule, minutes }))
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
  if (broken) return say('figureNotReadableYet')
  if (compared === 'same') return say('whatPrintedAlready')
  if (rule.kind === 'days' && !Number.isInteger(rule.days)) return say('daysWhole')
  if (reason.trim() === '') return say('writeReason')
  const problem = variance && varianceProblem(variance)
  return problem && say('looserThanPrinted', { problem })
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
