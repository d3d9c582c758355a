import { useState } from 'react'
import {
  approvedOf,
  dayOf,
  type BatchState,
  type Churning,
  type Instant,
  type Step,
  type Unit,
} from '@logged-thermal/core'
import { clock, dayName, stepName, type Reader } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useLine } from '../app/kitchen'
import { asSentence } from '../methods/sentence'
import { Key } from '../parts/Key'
import { Sheet } from '../parts/Sheet'
import { DegreeBoard } from './DegreeBoard'

const MOMENTS: Churning['moment'][] = ['going in', 'start', 'end', 'draw']

/** The steps of a batch as its method says them: begun, done, done otherwise; churning moments, and when it is hard. */
export function StepsSheet({
  batch,
  open,
  onClose,
  reader,
  unit,
  mayWrite,
}: {
  batch: BatchState
  open: boolean
  onClose: () => void
  reader: Reader
  unit: Unit
  mayWrite: boolean
}) {
  const line = useLine()
  const enter = useEnter()
  const [saying, setSaying] = useState<string | null>(null)
  const [said, setSaid] = useState('')
  const [churning, setChurning] = useState<{ step: string; moment: Churning['moment'] } | null>(null)
  const state = line?.methods.find(({ id }) => id === batch.method.id)
  const method = state?.versions.find(({ version }) => version === batch.method.version) ?? approvedOf(state ?? null)
  const deviate = (step: string) => {
    enter('step-deviated', batch.id, { step, said: said.trim() })
    setSaying(null)
    setSaid('')
  }
  if (churning) {
    return (
      <Sheet open={open} onClose={() => setChurning(null)} title={`Churning, ${churning.moment}: how cold?`}>
        <DegreeBoard
          unit={unit}
          centre={unit === 'C' ? 0 : 32}
          marks={[]}
          rows={3}
          disabled={!mayWrite}
          ask="Tap the degree, then the tenth"
          controls={null}
          onValue={(value) => {
            enter('churned', batch.id, { ...churning, typed: { value, unit } })
            setChurning(null)
          }}
        />
      </Sheet>
    )
  }
  return (
    <Sheet open={open} onClose={onClose} title={`Steps of ${batch.method.name}`}>
      <ol className="batch-steps">
        {batch.method.steps.map((step, i) => {
          const told = method?.instructions[step.key]
          const marks = batch.marks.filter(({ value, void: gone }) => !gone && value.step === step.key)
          const hard = readyAt(step, told?.passiveMinutes?.least ?? null, marks)
          return (
            <li key={step.key}>
              <div>
                <strong>
                  {i + 1} {stepName[step.kind]}
                </strong>{' '}
                {asSentence(told?.text ?? '')}
                {told?.activeMinutes ? ` ${told.activeMinutes} min.` : ''}
                {told?.passiveMinutes ? ` Then ${told.passiveMinutes.least} to ${told.passiveMinutes.most} min.` : ''}
                <p>
                  {marks.map(({ entry, value, at }) => (
                    <span key={entry}>
                      {value.edge} {clock(at, reader)}.{' '}
                    </span>
                  ))}
                  {hard !== null && `Ready ${dayName(dayOf(hard, reader.zone))} ${clock(hard, reader)}. `}
                  {batch.churnings
                    .filter(({ value, void: gone }) => !gone && value.step === step.key)
                    .map(({ entry, value, at }) => (
                      <span key={entry}>
                        {value.moment} {value.typed ? `${value.typed.value.toFixed(1)}°${value.typed.unit} ` : ''}
                        {clock(at, reader)}.{' '}
                      </span>
                    ))}
                </p>
                {batch.deviations
                  .filter(({ value, void: gone }) => !gone && value.step === step.key)
                  .map(({ entry, value }) => (
                    <p key={entry}>
                      <b>Otherwise:</b> {value.said}
                    </p>
                  ))}
                {saying === step.key && (
                  <label className="form-field">
                    What was otherwise
                    <input
                      value={said}
                      maxLength={300}
                      placeholder="18 min instead of 12"
                      onChange={({ target }) => setSaid(target.value)}
                    />
                  </label>
                )}
              </div>
              {mayWrite && saying !== step.key && (
                <span className="batch-step-keys">
                  {step.kind === 'churn'
                    ? MOMENTS.map((moment) => (
                        <Key key={moment} onClick={() => setChurning({ step: step.key, moment })}>
                          {moment}
                        </Key>
                      ))
                    : (['started', 'done'] as const).map((edge) => (
                        <Key
                          key={edge}
                          disabled={marks.some(({ value }) => value.edge === edge)}
                          onClick={() => enter('step-marked', batch.id, { step: step.key, edge })}
                        >
                          {edge === 'started' ? 'Begin' : 'Done'}
                        </Key>
                      ))}
                  <Key look="outlined" onClick={() => setSaying(step.key)}>
                    Otherwise
                  </Key>
                </span>
              )}
              {saying === step.key && (
                <Key look="primary" disabled={said.trim() === ''} onClick={() => deviate(step.key)}>
                  Note it
                </Key>
              )}
            </li>
          )
        })}
      </ol>
    </Sheet>
  )
}

/** When a step that waits is ready: so long after it began. */
function readyAt({ kind }: Step, leastMinutes: number | null, marks: BatchState['marks']): Instant | null {
  const began = marks.filter(({ value }) => value.edge === 'started').at(-1)
  return (kind === 'freeze' || kind === 'set') && leastMinutes !== null && began
    ? began.at + leastMinutes * 60_000
    : null
}
