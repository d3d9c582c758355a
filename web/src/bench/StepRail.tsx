import { memo, useEffect, useRef } from 'react'
import { isGate, type Finding, type Guide, type GuideStep } from '@logged-thermal/core'
import {
  checkTitle,
  clock,
  gateName,
  limitDegrees,
  standingWord,
  stepName,
  type Reader,
  benchMessages,
} from '@logged-thermal/wording'
import { Glyph } from '../parts/Glyph'
import { RowKey } from '../kit/RowKey'
import styles from './guide.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(benchMessages)

interface Props {
  guide: Guide
  findings: Finding[]
  reader: Reader
  onStep: (step: string) => void
}

interface Chamber {
  key: string
  step: GuideStep
  name: string
  finding: Finding | null
  now: boolean
}

/** Where the batch is: every step, and at each that has gates, how they stand. Tapped, a step says all about it. */
export const StepRail = memo(function StepRail({ guide, findings, reader, onStep }: Props) {
  const rail = useRef<HTMLOListElement>(null)
  const at = guide.now?.key
  useEffect(() => {
    const box = rail.current
    const here = box?.querySelector<HTMLElement>('[aria-current]')
    if (box && here) box.scrollLeft = here.offsetLeft - box.offsetLeft - 80
  }, [at])
  return (
    <ol className={styles.rail} aria-label={say('steps')} ref={rail}>
      {guide.steps
        .flatMap((step) => chambersOf(step, findings))
        .map(({ key, step, name, finding, now }) => (
          <li
            key={key}
            className={now ? styles.now : step.state === 'now' ? styles.ahead : styles[step.state]}
            aria-current={now ? 'step' : undefined}
          >
            <RowKey onClick={() => onStep(step.key)}>
              {finding ? (
                <Glyph standing={finding.standing} on={now ? 'ink' : 'glass'} />
              ) : (
                step.state === 'done' && <span aria-label={say('done')}>✓</span>
              )}
              {name}
              {step.coolTo && (
                <small>{say('toDegrees', { degrees: limitDegrees(step.coolTo, 'C', reader, 'under') })}</small>
              )}
              {now && step.timer !== null && !finding && (
                <small>{say('untilTime', { time: clock(step.timer, reader) })}</small>
              )}
              {finding && (
                <small>
                  {finding.deadline !== null ? checkTitle(finding, reader) : gateName(finding.check, reader)}
                  <span className="visually-hidden">, {standingWord(finding.standing, reader)}</span>
                </small>
              )}
            </RowKey>
          </li>
        ))}
    </ol>
  )
})

/** A cooling has a chamber for each of its stages; every other step has one. */
function chambersOf(step: GuideStep, findings: readonly Finding[]): Chamber[] {
  const own = findings.filter(({ check }) => check.step === step.key)
  const gates = own.filter((finding) => isGate(finding) && finding.check.limit.force !== 'quality')
  const now = step.state === 'now'
  if (step.kind !== 'cool' || gates.length === 0)
    return [{ key: step.key, step, name: stepName(step.kind, spoken), finding: gates[0] ?? null, now }]
  const open = gates.find(({ standing }) => standing === 'open')
  return gates.map((finding, i) => ({
    key: finding.check.key,
    step,
    name: i === 0 ? say('cool') : say('chill'),
    finding,
    now: now && finding === (open ?? gates.at(-1)),
  }))
}
