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
import { centimetres, limitDegreesOf, span, type Reader, cooldownMessages } from '@logged-thermal/wording'
import type { Trials } from './useTrials'
import type { Way } from './ways'
import { RowKey } from '../kit/RowKey'
import { clsx } from 'clsx'
import styles from './cooldown.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(cooldownMessages)

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
    <div className={styles.waysScroll} tabIndex={0} role="region" aria-label={say('waysSideBySide')}>
      <Table className={styles.waysTable}>
        <TableHead>
          <TableRow>
            <TableCell scope="col">{say('way')}</TableCell>
            {stages.map((stage) => (
              <TableCell scope="col" key={stage.key}>
                {say('degreesSpan', {
                  degrees: limitDegreesOf(stage.to, reader),
                  span: span(stage.withinMinutes * 60_000, reader),
                })}
              </TableCell>
            ))}
            <TableCell scope="col">{say('deepestPasses')}</TableCell>
            <TableCell scope="col">{say('iceHotAtOnce')}</TableCell>
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
  const range = say('valueValue2', {
    value: least === null ? 'never' : span(least * 60_000, spoken),
    value2: most === null ? 'never' : span(most * 60_000, spoken),
  })
  if (spare === null) return <span className={styles.late}>{say('notReached')}</span>
  if (isTooLate(made))
    return (
      <span className={styles.late} title={range}>
        <strong>{span(-spare * 60_000, spoken)}</strong> {say('tooLate')}
      </span>
    )
  const close = isTooClose(made)
  return (
    <span className={clsx(close && styles.close)} title={range}>
      <strong>{span(spare * 60_000, spoken)}</strong> {close ? say('tooClose') : say('toSpare')}
    </span>
  )
}

function Deepest({ depth, load, vessel }: { depth: number | null; load: Load; vessel: VesselState }) {
  if (depth === null) return <span className={styles.late}>{say('nonePasses')}</span>
  const pans = pansFor(litresOf(load), vessel.inside, depth)
  return (
    <>
      <strong>{centimetres(Math.min(depth, vessel.inside.height), spoken)}</strong>: {pans}{' '}
      {pans === 1 ? say('pan') : say('pans')}
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
    ice > 0.05
      ? say('kgIceGoneLasts', {
          ice: ice.toFixed(1),
          span: iceGone === null ? null : span(iceGone * 60_000, spoken),
          hasIceGone: iceGone !== null,
        })
      : '',
    Number.isFinite(takes) ? say('atMostKg', { takes: Math.floor(takes) }) : '',
  ].filter(Boolean)
  return <>{parts.join('; ')}</>
}
