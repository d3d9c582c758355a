import { expectedSteps, gatesAt, type Check, type Method, type Problem } from '@logged-thermal/core'
import { gateName, held, stepName, type Reader, methodsMessages } from '@logged-thermal/wording'
import { useId } from 'react'
import { useWidth } from '../parts/useWidth'
import { eased } from './eased'
import { colourOf, thicknessOf } from '../parts/temperatureScale'
import styles from './methods.module.css'
import { speaks } from '../kit/language'

const say = speaks(methodsMessages)

const HEIGHT = 168
const MIDDLE = 76
const FULL = 104
const START = 16
/** A step is never narrower, in pixels: a small screen scrolls along the ribbon instead. */
const LEAST_STEP = 60

/** How the batch should go: its steps side by side, the ribbon through them, a gate where a reading has to prove something. */
export function MethodRibbon({
  method,
  checks,
  problems,
  reader,
}: {
  method: Method
  checks: Check[]
  problems: Problem[]
  reader: Reader
}) {
  const [ref, room] = useWidth<HTMLDivElement>(1256)
  const id = useId().replaceAll(':', '')
  const steps = expectedSteps(method, checks)
  const width = Math.max(room, LEAST_STEP / Math.min(1, ...steps.map(({ from, to }) => to - from)))
  const inset = 28
  const x = (share: number) => inset + share * (width - inset - 84)
  const bends = [{ at: 0, celsius: START }, ...steps.map(({ to, celsius }) => ({ at: to, celsius }))]
  const edge = (side: 1 | -1) =>
    eased(bends).map(
      ({ at, celsius }) => `${x(at).toFixed(1)} ${(MIDDLE + (side * thicknessOf(celsius) * FULL) / 2).toFixed(1)}`,
    )
  const days = Math.min(...checks.flatMap(({ limit: { rule } }) => (rule.kind === 'days' ? [rule.days] : [])), Infinity)
  return (
    <div ref={ref} className={styles.methodRibbon} tabIndex={0} role="group" aria-label={say('ribbon')}>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={say('howShouldGo', {
          method: method.name,
          steps: steps.map(({ kind }) => stepName(kind, reader)).join(', '),
        })}
      >
        <defs>
          <linearGradient id={id} gradientUnits="userSpaceOnUse" x1={x(0)} x2={x(1)} y1="0" y2="0">
            {eased(bends).map(({ at, celsius }, i) => (
              <stop key={i} offset={at} stopColor={colourOf(celsius)} />
            ))}
          </linearGradient>
        </defs>
        {steps.map(({ key, from }) => (
          <line key={key} x1={x(from)} x2={x(from)} y1="0" y2={HEIGHT} stroke="var(--glass2)" strokeWidth="1" />
        ))}
        <path d={`M${edge(-1).join('L')}L${edge(1).reverse().join('L')}Z`} fill={`url(#${id})`} />
        {steps.map((step, i) => {
          const gates = gatesAt(step.key, checks)
          const fault = problems.some((problem) => problem.step === step.key && problem.weight === 'blocks')
          return (
            <g key={step.key}>
              {fault && (
                <rect
                  x={x(step.from) + 2}
                  y="3"
                  width={Math.max(20, x(step.to) - x(step.from) - 4)}
                  height={HEIGHT - 34}
                  fill="none"
                  stroke="var(--on-glass)"
                  strokeWidth="3"
                  strokeDasharray="7 5"
                />
              )}
              {gates.map((check, g) => (
                <Gate
                  key={check.key}
                  check={check}
                  x={x(step.from + ((step.to - step.from) * (g + 1)) / (gates.length + 1))}
                  reader={reader}
                />
              ))}
              <text
                className={styles.methodRibbonStep}
                x={(x(step.from) + x(step.to)) / 2}
                y={HEIGHT - 10}
                textAnchor="middle"
              >
                {x(step.to) - x(step.from) > 60 ? `${i + 1} ${stepName(step.kind, reader)}` : i + 1}
              </text>
            </g>
          )
        })}
        {Number.isFinite(days) && (
          <g fill="var(--on-glass)">
            <rect x={x(1) + 8} y="8" width="3.5" height={HEIGHT - 42} />
            <rect x={x(1) + 16} y="8" width="3.5" height={HEIGHT - 42} />
            <text className={styles.methodRibbonDay} x={x(1) + 28} y={MIDDLE + 8}>
              {say('dayDays', { days })}
            </text>
          </g>
        )}
      </svg>
    </div>
  )
}

function Gate({ check, x, reader }: { check: Check; x: number; reader: Reader }) {
  const { rule } = check.limit
  const reach = rule.kind !== 'reach' || rule.direction === 'rising'
  const name = gateName(check, reader)
  const seconds = rule.kind === 'hold' ? (rule.rows.findLast((row) => row.seconds > 0)?.seconds ?? 0) : 0
  const quality = check.limit.force === 'quality'
  const wedge = reach
    ? `M${x - 15} 26h30l-11 -16h-8ZM${x - 15} 126h30l-11 16h-8Z`
    : `M${x - 15} 8h30l-13 36h-4ZM${x - 15} 144h30l-13 -36h-4Z`
  return (
    <g>
      <path
        d={wedge}
        fill="none"
        stroke="var(--on-glass)"
        strokeWidth="2.4"
        strokeDasharray={quality ? '2 3' : undefined}
      />
      <text x={reach ? x : x + 20} y={reach ? MIDDLE + 6 : 24} textAnchor={reach ? 'middle' : 'start'}>
        {reach && seconds ? `${name} ${held(seconds, reader).replace('for ', '')}` : name}
      </text>
    </g>
  )
}
