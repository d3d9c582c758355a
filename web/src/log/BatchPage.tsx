import { useMemo, useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import {
  dayOf,
  frameOf,
  gateAt,
  isHeld,
  isPutAway,
  isClosed,
  judgeBatch,
  levelsOf,
  mixtureTrace,
  standingForGood,
  timelineOf,
  type BatchState,
  type Finding,
  type Standing,
  type TracePart,
} from '@logged-thermal/core'
import { clock, dayName, logMessages, standingWord, type Reader } from '@logged-thermal/wording'
import { sentenceOf, useBatchQuery } from '../app/api'
import { useHand, useLine } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { useNow } from '../app/now'
import { View } from '../app/View'
import { recordsFor } from '../parts/recordsFor'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import { Badge } from '../parts/Badge'
import { useWidth } from '../parts/useWidth'
import { Cooked } from './Cooked'
import { FromTo } from './FromTo'
import { RestsOn } from './RestsOn'
import { TracePane, type StoodGate } from './TracePane'
import { WhoRead } from './WhoRead'
import styles from './batch.module.css'

const say = speaks(logMessages)
const HALF_MINUTE = 30_000
const HEIGHT = 300
const PARTS: readonly TracePart[] = ['making', 'heat', 'all']

/** A batch for ever: its trace, what each limit rests on, who read it with what, how it was cooked, and what became of it. */
export function BatchPage() {
  const { id = '' } = useParams()
  const line = useLine()
  const { reader } = useHand(line)
  const now = useNow(HALF_MINUTE)
  const { data, error } = useBatchQuery({ id, seq: line?.seq ?? 0 }, { skip: line === null })
  if (!line) return null
  const batch = data?.batch
  if (!batch) return <View place="batch" busy={!error} sentence={error ? sentenceOf(error) : say('lookingUp')} />
  const findings = judgeBatch(batch, { zone: reader.zone }, now)
  const standing = standingForGood(batch, findings)
  const begun = say('begunBy', {
    time: `${dayName(dayOf(batch.startedAt, reader.zone), reader)} ${clock(batch.startedAt, { ...reader, today: null })}`,
    name: line.people.find((person) => person.id === batch.startedBy)?.name ?? '',
    vessel: batch.vessel.name,
  })
  const runs = !isClosed(batch) && !isPutAway(batch)
  return (
    <View
      place="batch"
      sentence={
        <>
          <strong>{batch.method.name}</strong> {batch.code}, {standingWord(standing, reader).toLowerCase()}
        </>
      }
    >
      <Page
        batch={batch}
        findings={findings}
        now={now}
        line={line}
        reader={reader}
        begun={begun}
        standing={standing}
        runs={runs}
      />
    </View>
  )
}

interface PageProps {
  batch: BatchState
  findings: Finding[]
  now: number
  line: LineData
  reader: Reader
  begun: string
  standing: Standing
  runs: boolean
}

function Page({ batch, findings, now, line, reader, begun, standing, runs }: PageProps) {
  const navigate = useNavigate()
  const [picked, setPicked] = useState<string | null>(null)
  const [part, setPart] = useState<TracePart>('making')
  const [ref, width] = useWidth<HTMLDivElement>(1280)
  // Times of its own day need no name of the day.
  const dayReader = useMemo(
    (): Reader => ({ ...reader, today: dayOf(batch.startedAt, reader.zone) }),
    [reader, batch.startedAt],
  )
  const trace = useMemo(() => mixtureTrace(batch), [batch])
  const gates = useMemo(
    () =>
      findings.flatMap((finding): StoodGate[] => {
        const gate = gateAt(finding, trace, now)
        return gate ? [{ ...gate, key: finding.check.key, standing: finding.standing }] : []
      }),
    [findings, trace, now],
  )
  const cookedAt = useMemo(() => heatEnd(batch, findings), [batch, findings])
  const frame = frameOf(part, trace, gates, levelsOf(findings, gates), batch.startedAt, cookedAt)
  const ringed = findings
    .filter(({ check, standing }) => (picked === null ? standing === 'proven' : check.key === picked))
    .flatMap(({ deciding }) => deciding)
  return (
    <div className={styles.page}>
      <div className={styles.glass} ref={ref}>
        <TracePane
          batch={batch}
          trace={trace}
          gates={gates}
          findings={findings}
          ringed={ringed}
          frame={frame}
          width={width}
          height={HEIGHT}
          now={now}
          reader={dayReader}
        />
      </div>
      <div className={styles.under}>
        <Badge standing={standing} />
        {isHeld(batch) && <b className={styles.held}>{say('held')}</b>}
        <p>{begun}</p>
        {runs && (
          <Key look="outlined" onClick={() => void navigate(`/bench/${batch.id}`)}>
            {say('toBench')}
          </Key>
        )}
        <Key
          look="outlined"
          className="no-print"
          target="_blank"
          href={`/api/records/batch/${batch.id}.pdf?${recordsFor(reader)}`}
        >
          {say('onPaper')}
        </Key>
        <Key look="outlined" className="no-print" href={`/api/records/batch/${batch.id}.csv`}>
          {say('traceFile')}
        </Key>
        <Key look="outlined" className="no-print" href={`/api/proof/batch/${batch.id}`}>
          {say('proofFile')}
        </Key>
        {cookedAt !== null && (
          <ChoiceKeys
            name={say('showPart')}
            options={PARTS}
            words={(each) => say(`part_${each}`)}
            chosen={part}
            onChoose={setPart}
          />
        )}
      </div>
      <div className={styles.columns}>
        <RestsOn findings={findings} picked={picked} onPick={setPicked} reader={dayReader} />
        <WhoRead batch={batch} ringed={ringed} line={line} reader={dayReader} />
        <Cooked batch={batch} reader={dayReader} />
        <FromTo batch={batch} line={line} reader={dayReader} />
      </div>
    </div>
  )
}

/** When its last heat ended; null while it is on the heat, or never was. */
function heatEnd(batch: BatchState, findings: readonly Finding[]): number | null {
  const to = findings.find(({ check }) => check.evidence.to !== null)?.check.evidence.to
  return to ? timelineOf(batch).at(to) : null
}
