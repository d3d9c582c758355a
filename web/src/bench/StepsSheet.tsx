import { useState } from 'react'
import {
  dayOf,
  timelineOf,
  type BatchState,
  type Churning,
  type Edge,
  type Fact,
  type Guide,
  type GuideStep,
  type Instruction,
  type TemperatureScale,
} from '@logged-thermal/core'
import { clock, timeOfDay, dayName, stepName, type Reader, benchSheetsMessages } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { asSentence } from '../methods/sentence'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { DegreeBoard } from '../board/DegreeBoard'
import { useInstructions } from '../app/instructions'
import { clsx } from 'clsx'
import styles from './guide.module.css'
import { useEnteredHere } from '../app/useEnteredHere'
import { speaks } from '../kit/language'

const say = speaks(benchSheetsMessages)

const MOMENTS: Churning['moment'][] = ['going in', 'start', 'end', 'draw']
const EDGE_WORD: Record<Edge, string> = {
  started: say('begin'),
  combined: say('allIn'),
  done: say('done'),
  skipped: say('leaveOut'),
}

interface Props {
  batch: BatchState
  guide: Guide
  open: boolean
  onClose: () => void
  onMark: (step: string, edge: Edge) => void
  reader: Reader
  scale: TemperatureScale
  mayWrite: boolean
}

/** The steps of a batch as its method says them: begun, done, done otherwise; churning moments, and when it is hard. */
export function StepsSheet({ batch, guide, open, onClose, onMark, reader, scale, mayWrite }: Props) {
  const enter = useEnter()
  const entered = useEnteredHere()
  const told = useInstructions(batch)
  const [churning, setChurning] = useState<{ step: string; moment: Churning['moment'] } | null>(null)
  if (churning) {
    return (
      <Sheet open={open} onClose={() => setChurning(null)} title={say('churningHowCold', { moment: churning.moment })}>
        <DegreeBoard
          scale={scale}
          centre={scale === 'C' ? 0 : 32}
          marks={[]}
          rows={3}
          disabled={!mayWrite}
          ask={say('atMoment')}
          controls={null}
          onValue={(value) => {
            enter('churned', batch.id, { ...churning, typed: { value, unit: scale } })
            setChurning(null)
          }}
        />
      </Sheet>
    )
  }
  return (
    <Sheet saved={entered} open={open} onClose={onClose} title={say('stepsOf', { method: batch.method.name })}>
      <ol className={styles.batchSteps}>
        {guide.steps.map((step, i) => (
          <StepItem
            key={step.key}
            batch={batch}
            step={step}
            number={i + 1}
            told={told[step.key]}
            reader={reader}
            mayWrite={mayWrite}
            onMark={onMark}
            onChurn={(moment) => setChurning({ step: step.key, moment })}
          />
        ))}
      </ol>
    </Sheet>
  )
}

function StepItem({
  batch,
  step,
  number,
  told,
  reader,
  mayWrite,
  onMark,
  onChurn,
}: {
  batch: BatchState
  step: GuideStep
  number: number
  told: Instruction | undefined
  reader: Reader
  mayWrite: boolean
  onMark: (step: string, edge: Edge) => void
  onChurn: (moment: Churning['moment']) => void
}) {
  const enter = useEnter()
  const [said, setSaid] = useState<string | null>(null)
  const own = <T extends { step: string }>(facts: readonly Fact<T>[]) =>
    facts.filter(({ value, void: gone }) => !gone && value.step === step.key)
  const marks = own(batch.facts['step-marked'])
  const waits = (step.kind === 'freeze' || step.kind === 'set') && step.timer !== null
  return (
    <li className={clsx(step.state === 'now' && styles.now)} aria-current={step.state === 'now' ? 'step' : undefined}>
      <div>
        <strong>
          {number} {stepName(step.kind, reader)}
        </strong>{' '}
        {asSentence(told?.text ?? '')}
        {told?.activeMinutes ? say('minActiveminutes', { activeMinutes: told.activeMinutes }) : ''}
        {told?.passiveMinutes
          ? say('thenMin', { least: told.passiveMinutes.least, most: told.passiveMinutes.most })
          : ''}
        <p>
          {marks.map(({ entry, value, at }) => (
            <span key={entry}>
              {value.edge} {clock(at, reader)}
              {value.reason ? `, ${value.reason}` : ''}.{' '}
            </span>
          ))}
          {waits &&
            say('readyDayTime', {
              day: dayName(dayOf(step.timer!, reader.zone), reader),
              time: timeOfDay(step.timer!, reader),
            })}
          {own(batch.facts.churned).map(({ entry, value, at }) => (
            <span key={entry}>
              {value.moment} {value.typed ? `${value.typed.value.toFixed(1)}°${value.typed.unit} ` : ''}
              {clock(at, reader)}.{' '}
            </span>
          ))}
        </p>
        {own(batch.facts['step-deviated']).map(({ entry, value }) => (
          <p key={entry}>
            <b>{say('otherwise')}</b> {value.said}
          </p>
        ))}
        {said !== null && (
          <Field
            label={say('whatOtherwise')}
            value={said}
            max={300}
            placeholder={say('n18MinInstead12')}
            onValue={setSaid}
          />
        )}
      </div>
      {mayWrite && said === null && (
        <span className={styles.batchStepKeys}>
          {step.kind === 'churn' &&
            MOMENTS.map((moment) => (
              <Key key={moment} onClick={() => onChurn(moment)}>
                {moment}
              </Key>
            ))}
          {(['started', timelineOf(batch).endEdge(step.key), 'skipped'] as const).map((edge) => (
            <Key
              key={edge}
              look={edge === 'skipped' ? 'outlined' : 'plain'}
              why={(step.ended !== null || marks.some(({ value }) => value.edge === edge)) && say('markedAlready')}
              onClick={() => onMark(step.key, edge)}
            >
              {EDGE_WORD[edge]}
            </Key>
          ))}
          <Key look="outlined" onClick={() => setSaid('')}>
            {say('otherwise2')}
          </Key>
        </span>
      )}
      {said !== null && (
        <Key
          look="primary"
          why={said.trim() === '' && say('writeItFirst')}
          onClick={() => {
            enter('step-deviated', batch.id, { step: step.key, said: said.trim() })
            setSaid(null)
          }}
        >
          {say('noteIt')}
        </Key>
      )}
    </li>
  )
}
