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
} from '@logged-thermal/core'
import { stepName, methodFormsMessages } from '@logged-thermal/wording'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { instructionOf, type Edit } from './editing'
import { SelectField } from '../kit/SelectField'
import { TemperatureField } from '../kit/TemperatureField'
import { FieldRow } from '../kit/FieldRow'
import { KeyRow } from '../kit/KeyRow'
import { saidOf, WayFields, type Ways } from './WayFields'
import styles from './methods.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(methodFormsMessages)

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
  const [ways, setWays] = useState<Ways>({ over: was.over, first: was.first, cover: was.cover })
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
      ...saidOf(ways, kind),
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
    <section className={styles.methodForm} aria-label={say('step')}>
      <FieldRow>
        <SelectField
          label={say('step')}
          options={STEP_KINDS.map((each) => ({ value: each, words: stepName(each, spoken) }))}
          chosen={kind}
          onChoose={setKind}
        />
        <Field label={say('readingsOf')} value={part} max={80} placeholder={say('theMixture')} onValue={setPart} />
      </FieldRow>
      <Field label={say('whatDo')} value={text} max={300} onValue={setText} />
      <FieldRow short>
        <NumberOf name={say('workMin')} value={active} onValue={setActive} />
        <NumberOf name={say('waitLeast')} value={least} onValue={setLeast} />
        <NumberOf name={say('waitMost')} value={most} onValue={setMost} />
      </FieldRow>
      <FieldRow short>
        <TemperatureOf name={say('aimFrom')} value={from} onValue={setFrom} />
        <TemperatureOf name={say('aimTo')} value={to} onValue={setTo} />
        {(kind === 'bake' || oven !== '') && <TemperatureOf name={say('ovenAt')} value={oven} onValue={setOven} />}
      </FieldRow>
      <WayFields kind={kind} ways={ways} onWays={setWays} />
      {wrong && <p role="alert">{say('temperatureNeedsItsUnit')}</p>}
      <KeyRow>
        <Key look="primary" why={wrong && say('temperatureNeedsItsUnit')} onClick={done}>
          {say('changeIt')}
        </Key>
        <Key
          look="outlined"
          why={method.steps.length < 2 && say('lastStepStays')}
          onClick={() => {
            onEdit({ kind: 'remove step', key: step.key })
            onClose()
          }}
        >
          {say('takeAway')}
        </Key>
        <Key look="outlined" onClick={onClose}>
          {say('notNow')}
        </Key>
      </KeyRow>
    </section>
  )
}

function NumberOf({ name, value, onValue }: { name: string; value: string; onValue: (value: string) => void }) {
  return <Field label={name} value={value} mode="decimal" onValue={onValue} />
}

/** A bare number could be either unit: it is asked about. */
function TemperatureOf({ name, value, onValue }: { name: string; value: string; onValue: (value: string) => void }) {
  const parsed = value.trim() === '' ? null : parseTemperature(value)
  return <TemperatureField label={name} value={value} placeholder="82 °C" parsed={parsed} onValue={onValue} />
}

function shownTarget(degrees: Degrees | undefined): string {
  return degrees ? `${degrees.c} °C` : ''
}
