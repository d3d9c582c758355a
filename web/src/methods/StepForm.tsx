import { useState } from 'react'
import {
  degreesTyped,
  parseTemperature,
  STEP_KINDS,
  type Degrees,
  type Instruction,
  type Method,
  type Step,
  type StepKind,
  type Typed,
  type TemperatureScale,
} from '@logged-thermal/core'
import { stepName } from '@logged-thermal/wording'
import { Key } from '../parts/Key'
import { instructionOf, type Edit } from './editing'

/** One step: what it is, what is said, how long, where to aim, and the oven with its unit. */
export function StepForm({
  method,
  step,
  onEdit,
  onClose,
}: {
  method: Method
  step: Step
  onEdit: (edit: Edit) => void
  onClose: () => void
}) {
  const was = instructionOf(method, step.key)
  const [kind, setKind] = useState<StepKind>(step.kind)
  const [part, setPart] = useState(step.measures === 'mixture' ? '' : step.measures.part)
  const [text, setText] = useState(was.text)
  const [active, setActive] = useState(String(was.activeMinutes || ''))
  const [least, setLeast] = useState(was.passiveMinutes ? String(was.passiveMinutes.least) : '')
  const [most, setMost] = useState(was.passiveMinutes ? String(was.passiveMinutes.most) : '')
  const [from, setFrom] = useState(shownTarget(was.target?.from))
  const [to, setTo] = useState(shownTarget(was.target?.to))
  const [oven, setOven] = useState(was.oven ? `${was.oven.value} °${was.oven.unit}` : '')
  const temperatures = [from, to, oven].map((each) => (each.trim() === '' ? null : parseTemperature(each)))
  const minutes = [active, least, most].map((each) => (each.trim() === '' ? 0 : Number(each.replace(',', '.'))))
  const [activeMinutes, leastMinutes, mostMinutes] = minutes as [number, number, number]
  const wrong =
    temperatures.some((each) => each && !each.ok) ||
    minutes.some((each) => !Number.isFinite(each) || each < 0) ||
    (most !== '' && mostMinutes < leastMinutes)
  const done = () => {
    const [low, high, heat] = temperatures.map((each): Typed | null => (each?.ok ? each.typed : null))
    const instruction: Instruction = {
      text: text.trim(),
      activeMinutes,
      passiveMinutes:
        least === '' && most === '' ? null : { least: leastMinutes, most: most === '' ? leastMinutes : mostMinutes },
      target: low && high ? { from: degreesTyped(low, []), to: degreesTyped(high, []) } : null,
      oven: heat ?? null,
    }
    onEdit({
      kind: 'change step',
      key: step.key,
      step: { kind, measures: part.trim() === '' ? 'mixture' : { part: part.trim() } },
      instruction,
    })
    onClose()
  }
  return (
    <section className="method-form" aria-label="Step">
      <div className="field-row">
        <label className="form-field">
          Step
          <select value={kind} onChange={({ target }) => setKind(target.value as StepKind)}>
            {STEP_KINDS.map((each) => (
              <option key={each} value={each}>
                {stepName[each]}
              </option>
            ))}
          </select>
        </label>
        <label className="form-field">
          Readings of
          <input
            value={part}
            maxLength={80}
            placeholder="the mixture"
            onChange={({ target }) => setPart(target.value)}
          />
        </label>
      </div>
      <label className="form-field">
        What to do
        <input value={text} maxLength={300} onChange={({ target }) => setText(target.value)} />
      </label>
      <div className="field-row three">
        <NumberOf name="Work, min" value={active} onValue={setActive} />
        <NumberOf name="Wait, least" value={least} onValue={setLeast} />
        <NumberOf name="Wait, most" value={most} onValue={setMost} />
      </div>
      <div className="field-row three">
        <TemperatureOf name="Aim from" value={from} onValue={setFrom} />
        <TemperatureOf name="to" value={to} onValue={setTo} />
        {(kind === 'bake' || oven !== '') && <TemperatureOf name="Oven at" value={oven} onValue={setOven} />}
      </div>
      {wrong && (
        <p role="alert">A temperature needs its unit, and minutes are numbers, the most not under the least.</p>
      )}
      <div className="limits-keys">
        <Key look="primary" disabled={wrong} onClick={done}>
          Change it
        </Key>
        <Key
          look="outlined"
          disabled={method.steps.length < 2}
          onClick={() => {
            onEdit({ kind: 'remove step', key: step.key })
            onClose()
          }}
        >
          Take it away
        </Key>
        <Key look="outlined" onClick={onClose}>
          Not now
        </Key>
      </div>
    </section>
  )
}

function NumberOf({ name, value, onValue }: { name: string; value: string; onValue: (value: string) => void }) {
  return (
    <label className="form-field">
      {name}
      <input value={value} inputMode="decimal" onChange={({ target }) => onValue(target.value)} />
    </label>
  )
}

/** A bare number could be either unit: it is asked about. */
function TemperatureOf({ name, value, onValue }: { name: string; value: string; onValue: (value: string) => void }) {
  const parsed = value.trim() === '' ? null : parseTemperature(value)
  return (
    <label className="form-field">
      {name}
      <input value={value} placeholder="82 °C" onChange={({ target }) => onValue(target.value)} />
      {parsed && !parsed.ok && (
        <span className="field-ask" role="alert">
          <span className="field-question">
            {parsed.problem === 'no unit' ? `${parsed.value}: °C or °F?` : `"${value}" is no temperature.`}
          </span>
          {parsed.problem === 'no unit' &&
            (['C', 'F'] as TemperatureScale[]).map((scale) => (
              <Key key={scale} onClick={() => onValue(`${parsed.value} °${scale}`)}>
                °{scale}
              </Key>
            ))}
        </span>
      )}
    </label>
  )
}

function shownTarget(degrees: Degrees | undefined): string {
  return degrees ? `${degrees.c} °C` : ''
}
