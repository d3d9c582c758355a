import { expectedSteps, gatesAt, type Check, type Method } from '@logged-thermal/core'
import { gateName, planMessages, stepName, type Reader } from '@logged-thermal/wording'
import { useId } from 'react'
import { speaks } from '../../kit/language'
import { thicknessOf } from '../../parts/temperatureScale'
import { eased, type Bend } from '../eased'
import styles from './plan.module.css'

const say = speaks(planMessages)

const [WIDTH, TOP, MIDDLE, FULL] = [696, 34, 86, 84]
const NAMES = MIDDLE + FULL / 2 + 14
const HEIGHT = NAMES + 34
/** A name needs so much room beside the next, px; without it the number alone stands there. */
const LETTER = 6.4

/** Under it cool, over it hot, °C: how the print is hatched, for the eye alone. */
const [COOL, HOT] = [21, 57]

/** The flow of a method in ink: its steps by number, as hot as they should be, a wedge where a limit is shown. */
export function PlanRibbon({ method, checks, reader }: { method: Method; checks: Check[]; reader: Reader }) {
  const id = useId().replaceAll(':', '')
  const steps = expectedSteps(method, checks)
  const x = (share: number) => 8 + share * (WIDTH - 40)
  const bends = [{ at: 0, celsius: 16 }, ...steps.map(({ to, celsius }) => ({ at: to, celsius }))]
  const half = ({ celsius }: Bend) => (thicknessOf(celsius) * FULL) / 2
  const edges = (line: Bend[]) => {
    const over = line.map((bend) => `${x(bend.at).toFixed(1)} ${(MIDDLE - half(bend)).toFixed(1)}`)
    const under = line.map((bend) => `${x(bend.at).toFixed(1)} ${(MIDDLE + half(bend)).toFixed(1)}`)
    return `M${[...over, ...under.reverse()].join('L')}Z`
  }
  const line = eased(bends)
  const gates = steps.flatMap(({ key, from, to }) => {
    const own = gatesAt(key, checks).filter(({ limit }) => limit.force !== 'quality' && limit.key !== 'rewarmed')
    return own.map((check, i) => ({ check, at: x(from + ((to - from) * (i + 1)) / (own.length + 1)) }))
  })
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className={styles.ribbon}
      role="img"
      aria-label={say('flow', { steps: steps.map(({ kind }, i) => `${i + 1} ${stepName(kind, reader)}`).join(', ') })}
    >
      <defs>
        <pattern id={`${id}cool`} width="9" height="9" patternUnits="userSpaceOnUse">
          <circle cx="3" cy="3" r="1" />
        </pattern>
        <Hatch id={`${id}warm`} apart={10} />
        <Hatch id={`${id}hot`} apart={4.5} />
      </defs>
      {stretches(line).map(({ how, bends: part }, i) => (
        <path key={i} d={edges(part)} fill={`url(#${id}${how})`} />
      ))}
      <path d={edges(line)} fill="none" stroke="currentColor" strokeWidth="1.6" />
      {steps.slice(1).map(({ key, from }) => (
        <line key={key} x1={x(from)} x2={x(from)} y1={MIDDLE - 14} y2={MIDDLE + 14} stroke="currentColor" />
      ))}
      {gates.map(({ check, at }, i) => (
        <g key={check.key}>
          <path d={`M${at - 12} ${TOP}h24l-8 18h-8Z`} />
          <path d={`M${at - 12} ${NAMES - 16}h24l-8 -18h-8Z`} />
          <text x={at} y={i % 2 ? TOP - 5 : TOP - 19} textAnchor="middle" className={styles.gate}>
            {gateName(check, reader)}
          </text>
        </g>
      ))}
      {steps.map(({ key, kind, from, to }, i) => {
        const name = stepName(kind, reader)
        return (
          <text key={key} x={x((from + to) / 2)} y={NAMES} textAnchor="middle">
            <tspan className={styles.gate}>{i + 1}</tspan>
            {name.length * LETTER < x(to) - x(from) && (
              <tspan x={x((from + to) / 2)} dy="15" className={styles.name}>
                {name}
              </tspan>
            )}
          </text>
        )
      })}
      <path
        d={`M${x(1) + 8} ${TOP}v${NAMES - TOP - 16}m7 0v-${NAMES - TOP - 16}`}
        stroke="currentColor"
        strokeWidth="3"
      />
    </svg>
  )
}

function Hatch({ id, apart }: { id: string; apart: number }) {
  return (
    <pattern id={id} width={apart} height={apart} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <line y2={apart} stroke="currentColor" strokeWidth="2" />
    </pattern>
  )
}

type How = 'cool' | 'warm' | 'hot'

/** The line in pieces of one hatch, each beginning where the last ended. */
function stretches(line: readonly Bend[]): { how: How; bends: Bend[] }[] {
  const found: { how: How; bends: Bend[] }[] = []
  for (const bend of line) {
    const how = bend.celsius >= HOT ? 'hot' : bend.celsius > COOL ? 'warm' : 'cool'
    const last = found.at(-1)
    if (last?.how === how) last.bends.push(bend)
    else {
      last?.bends.push(bend)
      found.push({ how, bends: [bend] })
    }
  }
  return found
}
