import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import {
  isTooClose,
  isTooLate,
  litresOf,
  pansFor,
  unitTakes,
  type Load,
  type TrialResult,
  type TrialStage,
  type VesselState,
} from '@logged-thermal/core'
import { centimetres, limitDegreesOf, span, type Reader } from '@logged-thermal/wording'
import type { Trials } from './useTrials'
import type { Way } from './ways'
import { RowKey } from '../kit/RowKey'
import { clsx } from 'clsx'
import styles from './cooldown.module.css'

interface Props {
  ways: readonly Way[]
  trials: Trials
  load: Load
  vessel: VesselState
  chosen: number
  onChoose: (index: number) => void
  reader: Reader
}

/** Every way side by side: its gates, how deep it may stand, how many pans that asks, and the ice. */
export function WaysTable({ ways, trials, load, vessel, chosen, onChoose, reader }: Props) {
  const stages = trials.results.find((result) => result)?.stages.map(({ stage }) => stage) ?? []
  return (
    <div className={styles.waysScroll} tabIndex={0} role="region" aria-label="Ways side by side">
      <Table className={styles.waysTable}>
        <TableHead>
          <TableRow>
            <TableCell scope="col">Way</TableCell>
            {stages.map((stage) => (
              <TableCell scope="col" key={stage.key}>
                {limitDegreesOf(stage.to, reader)} in {span(stage.withinMinutes * 60_000)}
              </TableCell>
            ))}
            <TableCell scope="col">Deepest that passes</TableCell>
            <TableCell scope="col">Ice; hot at once</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {ways.map((way, i) => {
            const result = trials.results[i]
            const depth = way.iceFirst === 0 ? trials.depths[way.place] : undefined
            return (
              <TableRow key={way.name} className={clsx(i === chosen && styles.chosen)}>
                <TableCell component="th" scope="row">
                  <RowKey aria-pressed={i === chosen} onClick={() => onChoose(i)}>
                    {way.name}
                  </RowKey>
                </TableCell>
                {stages.map((stage, s) => (
                  <TableCell key={stage.key}>{result ? <Spare {...result.stages[s]!} /> : '…'}</TableCell>
                ))}
                <TableCell>
                  {depth === undefined ? '' : <Deepest depth={depth} load={load} vessel={vessel} />}
                </TableCell>
                <TableCell>{result && <Means way={way} result={result} load={load} />}</TableCell>
              </TableRow>
            )
          })}
        </TableBody>
      </Table>
    </div>
  )
}

function Spare(made: TrialStage) {
  const { stage, least, likely, most } = made
  const spare = likely === null ? null : stage.withinMinutes - likely
  const range = `${least === null ? 'never' : span(least * 60_000)} to ${most === null ? 'never' : span(most * 60_000)}`
  if (spare === null) return <span className={styles.late}>not reached</span>
  if (isTooLate(made))
    return (
      <span className={styles.late} title={range}>
        <strong>{span(-spare * 60_000)}</strong> too late
      </span>
    )
  const close = isTooClose(made)
  return (
    <span className={clsx(close && styles.close)} title={range}>
      <strong>{span(spare * 60_000)}</strong> {close ? 'too close' : 'to spare'}
    </span>
  )
}

function Deepest({ depth, load, vessel }: { depth: number | null; load: Load; vessel: VesselState }) {
  if (depth === null) return <span className={styles.late}>none passes</span>
  const pans = pansFor(litresOf(load), vessel.inside, depth)
  return (
    <>
      <strong>{centimetres(Math.min(depth, vessel.inside.height))}</strong>: {pans} {pans === 1 ? 'pan' : 'pans'}
    </>
  )
}

function Means({
  way: { unit },
  result: { ice, iceGone, watts },
  load,
}: {
  way: Way
  result: TrialResult
  load: Load
}) {
  const takes = unit?.watts ? unitTakes(unit.watts, watts / load.kilograms) : Infinity
  const parts = [
    ice > 0.05 ? `${ice.toFixed(1)} kg ice${iceGone === null ? ', lasts' : `: gone in ${span(iceGone * 60_000)}`}` : '',
    Number.isFinite(takes) ? `at most ${Math.floor(takes)} kg` : '',
  ].filter(Boolean)
  return <>{parts.join('; ')}</>
}
