import { useState } from 'react'
import {
  attention,
  batchStanding,
  checksFor,
  dayOf,
  judgeBatch,
  limitSetOf,
  mixtureTrace,
  ruleSets,
  type BatchState,
  type Check,
  type Finding,
  type LimitSet,
} from '@logged-thermal/core'
import { checkTitle, findingSentence, type Reader, limitsMessages } from '@logged-thermal/wording'
import { Badge } from '../parts/Badge'
import { Glyph } from '../parts/Glyph'
import { HeatRibbon } from '../parts/HeatRibbon'
import { clockLens } from '../parts/lens'
import { useWidth } from '../parts/useWidth'
import { SelectField } from '../kit/SelectField'
import { clsx } from 'clsx'
import styles from './limits.module.css'
import { speaks } from '../kit/language'

const say = speaks(limitsMessages)

interface Props {
  batches: BatchState[]
  inForce: LimitSet
  zone: string
  now: number
  reader: Reader
}

/** One batch under two rule sets: what each would say. It changes nothing. */
export function CompareSets({ batches, inForce, zone, now, reader }: Props) {
  const ordered = latestRead(batches)
  const [batchId, setBatchId] = useState<string | null>(null)
  const [sides, setSides] = useState<[string, string]>(['judged', 'fr-2009'])
  const [ref, width] = useWidth<HTMLDivElement>(380)
  const batch = ordered.find(({ id }) => id === batchId) ?? ordered[0]
  if (!batch) return <p className={clsx(styles.panel, 'muted')}>{say('onceBatchReadTwo')}</p>
  const choices: [string, string][] = [
    ['judged', say('asJudgedVersion', { version: batch.limits.version })],
    ...(inForce.version === batch.limits.version
      ? []
      : [['newer', say('versionForceNow', { version: inForce.version })] as [string, string]]),
    ...Object.values(ruleSets).map(({ key, name }): [string, string] => [key, name]),
  ]
  return (
    <section className={styles.panel} aria-label={say('oneBatchTwoRule')}>
      <h2 className="title">{say('oneBatchTwoRule')}</h2>
      <SelectField
        label={say('batch')}
        quietly
        options={ordered.map(({ id, code, method, facts: { 'reading-taken': readings } }) => ({
          value: id,
          words: say('readingsMethodCodeReadings', { method: method.name, code, readings: readings.length }),
        }))}
        chosen={batch.id}
        onChoose={setBatchId}
      />
      <div ref={ref}>
        {([0, 1] as const).map((side) => (
          <Side
            key={side}
            label={side === 0 ? say('firstRuleSet') : say('secondRuleSet')}
            choices={choices}
            chosen={sides[side]}
            onChoose={(key) => setSides(side === 0 ? [key, sides[1]] : [sides[0], key])}
            batch={batch}
            checks={checksUnder(sides[side], batch, inForce, zone)}
            zone={zone}
            now={now}
            reader={reader}
            width={width}
          />
        ))}
      </div>
      <p className="muted">{say('onlyAskedBatchKeeps')}</p>
    </section>
  )
}

function checksUnder(key: string, batch: BatchState, inForce: LimitSet, zone: string): Check[] {
  if (key === 'judged') return batch.checks
  const set = key === 'newer' ? inForce : limitSetOf(ruleSets[key]!, { id: inForce.id, from: 0 })
  return checksFor(batch.method, set, dayOf(batch.startedAt, zone), batch.terms.eggs)
}

function Side({
  label,
  choices,
  chosen,
  onChoose,
  batch,
  checks,
  zone,
  now,
  reader,
  width,
}: {
  label: string
  choices: [string, string][]
  chosen: string
  onChoose: (key: string) => void
  batch: BatchState
  checks: Check[]
  zone: string
  now: number
  reader: Reader
  width: number
}) {
  const asked = { ...batch, checks, disposition: null }
  const findings = judgeBatch(asked, { zone }, now)
  const shown = findings.filter(
    ({ check, standing }) => check.limit.force !== 'quality' && (standing !== 'open' || isTimed(check)),
  )
  return (
    <div className={styles.compareSide}>
      <div className={styles.compareHead}>
        <SelectField
          label={label}
          quietly
          options={choices.map(([value, words]) => ({ value, words }))}
          chosen={chosen}
          onChoose={onChoose}
        />
        <Badge standing={batchStanding(findings)} />
      </div>
      <div className={styles.compareLane}>
        <HeatRibbon
          batch={asked}
          findings={findings}
          asks={attention(asked, findings, { zone }, now)}
          now={now}
          lens={evidenceLens(asked, findings, width, now)}
          height={84}
          size="due"
          reader={reader}
          evidence
        />
      </div>
      <ul>
        {shown.map((finding) => (
          <Said key={finding.check.key} finding={finding} reader={reader} />
        ))}
      </ul>
    </div>
  )
}

function Said({ finding, reader }: { finding: Finding; reader: Reader }) {
  return (
    <li>
      <Glyph standing={finding.standing} size={18} />
      <span>
        <strong>{checkTitle(finding, reader)}</strong> {findingSentence(finding, reader)}
      </span>
    </li>
  )
}

/** From the first reading to the last gate, clock-linear. */
function evidenceLens(batch: BatchState, findings: Finding[], width: number, now: number) {
  const read = mixtureTrace(batch).map(({ at }) => at)
  const gates = findings.flatMap(({ deadline, check }) => (deadline !== null && isTimed(check) ? [deadline] : []))
  const all = [...read, ...gates]
  const [first, last] = [Math.min(...all, now), Math.max(...all, now - 6 * 3_600_000)]
  // Room for the words under the last gate.
  return clockLens(width, first - 300_000, last + 0.4 * (last - first), now)
}

/** The batch read last stands first, those with too few readings to tell anything last. */
function latestRead(batches: readonly BatchState[]): BatchState[] {
  const rank = (batch: BatchState) => {
    const read = mixtureTrace(batch)
    return read.length < 5 ? 0 : (read.at(-1)?.at ?? 0)
  }
  return [...batches].sort((a, b) => rank(b) - rank(a))
}

function isTimed({ limit: { rule } }: Check): boolean {
  return rule.kind === 'hold' || rule.kind === 'reach' || rule.kind === 'equivalent'
}
