import { useState } from 'react'
import {
  celsiusOf,
  dayOf,
  heatPlan,
  VALIDATING_BAKES,
  type Method,
  type ShownBake,
  type ValidatedBake,
} from '@logged-thermal/core'
import { timeOfDay, dayName, ovenWords, throughWords, type Reader, methodFormsMessages } from '@logged-thermal/wording'
import { useBakesQuery } from '../app/api'
import { useLine } from '../app/kitchen'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { NameKeys } from '../kit/NameKeys'
import { FieldRow } from '../kit/FieldRow'
import { KeyRow } from '../kit/KeyRow'
import styles from './methods.module.css'
import { speaks } from '../kit/language'

const say = speaks(methodFormsMessages)

/** The bake of a method: by three that were read through, or a study; then oven, minutes and how it looks. */
export function BakeForm({
  method,
  last,
  reader,
  onClose,
  onDone,
}: {
  method: Method
  last: string
  reader: Reader
  onClose: () => void
  onDone: (bake: ValidatedBake) => void
}) {
  const line = useLine()
  const { data } = useBakesQuery({ method: method.id, seq: line?.seq ?? 0 })
  const shown = (data?.bakes ?? []).filter(({ version }) => version === method.version)
  const [chosen, setChosen] = useState<ShownBake[]>([])
  const [study, setStudy] = useState('')
  const [oven, setOven] = useState('')
  const [minutes, setMinutes] = useState('')
  const [cue, setCue] = useState('')
  const step = heatPlan(method).killed?.step
  if (!step) return null
  const hottest = chosen.reduce<ShownBake | null>(
    (most, each) => (most && celsiusOf(most.oven) >= celsiusOf(each.oven) ? most : each),
    null,
  )
  const longest = Math.ceil(Math.max(0, ...chosen.map((each) => each.minutes)))
  const typed = oven === '' ? (hottest?.oven ?? null) : ovenTyped(oven, reader.scale)
  const said = minutes === '' ? longest : Number(minutes.replace(',', '.'))
  const problem =
    chosen.length < VALIDATING_BAKES && study.trim() === ''
      ? say('chooseThreeBakesOr')
      : !typed
        ? say('howHotOven')
        : !(said >= 1 && said <= 1440)
          ? say('forHowManyMinutes')
          : cue.trim() === ''
            ? say('whatDoesLookLike')
            : null
  const toggle = (bake: ShownBake) =>
    setChosen((all) =>
      all.some(({ batch }) => batch === bake.batch)
        ? all.filter(({ batch }) => batch !== bake.batch)
        : [...all, bake].slice(-VALIDATING_BAKES),
    )
  const done = () => {
    if (!typed) return
    const batches = chosen.map(({ batch }) => batch)
    const shownBy = chosen.length === VALIDATING_BAKES ? { batches } : { study: study.trim() }
    onDone({ step, version: method.version, oven: typed, minutes: said, cue: cue.trim(), shownBy, validUntil: last })
  }
  return (
    <Sheet open onClose={onClose} title={say('validateBake', { method: method.name })}>
      <div className={styles.signedRows}>
        <NameKeys role="group" aria-label={say('bakesWereRead')}>
          {shown.map((bake) => (
            <Key
              key={bake.batch}
              look={chosen.some(({ batch }) => batch === bake.batch) ? 'primary' : 'plain'}
              aria-pressed={chosen.some(({ batch }) => batch === bake.batch)}
              onClick={() => toggle(bake)}
            >
              {bake.code}
              <small>
                {say('afterMinAt', {
                  day: dayName(dayOf(bake.startedAt, reader.zone), reader),
                  time: timeOfDay(bake.startedAt, reader),
                  throughWords: throughWords(reader),
                  minutes: Math.ceil(bake.minutes),
                  ovenWords: ovenWords(bake.oven, reader),
                })}
              </small>
            </Key>
          ))}
        </NameKeys>
        {shown.length === 0 && <p>{say('noBakeVersionRead', { throughWords: throughWords(reader) })}</p>}
        <Field label={say('orWrittenStudyFor')} value={study} max={300} onValue={setStudy} />
        <FieldRow>
          <Field
            label={say('ovenScale', { scale: reader.scale })}
            value={oven}
            mode="decimal"
            placeholder={hottest ? String(hottest.oven.value) : ''}
            onValue={setOven}
          />
          <Field
            label={say('minutesAtLeast')}
            value={minutes}
            mode="decimal"
            placeholder={longest > 0 ? String(longest) : ''}
            onValue={setMinutes}
          />
        </FieldRow>
        <Field label={say('doneWhen')} value={cue} max={120} placeholder={say('goldenSpringsBack')} onValue={setCue} />
        <p role="status">{problem ?? say('holdsUntilNoCooler', { day: dayName(last, reader) })}</p>
        <KeyRow>
          <Key look="primary" why={problem} onClick={done}>
            {say('signIt')}
          </Key>
        </KeyRow>
      </div>
    </Sheet>
  )
}

function ovenTyped(text: string, scale: 'C' | 'F') {
  const value = Number(text.replace(',', '.'))
  return Number.isFinite(value) && value >= 40 && value <= 800 ? { value, unit: scale } : null
}
