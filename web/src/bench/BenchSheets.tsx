import { Suspense } from 'react'
import { type BatchState, type Edge, type Finding, type Guide, type TemperatureScale } from '@logged-thermal/core'
import type { Reader } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useNow } from '../app/now'
import type { JudgedBatch } from '../app/kitchen'
import type { BenchSheet } from './benchSheet'
import {
  AciditySheet,
  AddSheet,
  CoolingSheet,
  CueSheet,
  DecideSheet,
  EggsSheet,
  LoggerSheet,
  LotsSheet,
  MarkReason,
  MoreSheet,
  PaperSheet,
  PartsSheet,
  PlaceSheet,
  PourSheet,
  PutAwaySheet,
  ReadingsSheet,
  RewarmSheet,
  StepsSheet,
  TemperSheet,
  ToolSheet,
} from './sheets'

interface Props {
  batch: BatchState
  others: JudgedBatch[]
  findings: Finding[]
  guide: Guide
  /** Which one lies over the Bench. */
  sheet: BenchSheet
  onSheet: (sheet: BenchSheet | null) => void
  onMark: (step: string, edge: Edge, reason?: string) => void
  reader: Reader
  scale: TemperatureScale
  awake: boolean
  mayWrite: boolean
}

/** Every sheet of the Bench, one at a time. */
export function BenchSheets(props: Props) {
  const { batch, others, findings, guide, sheet, onSheet, onMark, reader, scale, awake, mayWrite } = props
  const enter = useEnter()
  // What is entered from an open sheet is reckoned as of now, however seldom the Bench is drawn.
  const now = useNow()
  const close = () => onSheet(null)
  const addAt = guide.now?.key ?? batch.method.steps.at(-1)?.key ?? ''
  return (
    <Suspense>
      {sheet === 'readings' && (
        <ReadingsSheet
          open
          onClose={close}
          batch={batch}
          others={others.map((other) => other.batch)}
          reader={reader}
          mayWrite={mayWrite}
        />
      )}
      {sheet === 'steps' && (
        <StepsSheet
          batch={batch}
          guide={guide}
          open
          onClose={close}
          onMark={onMark}
          reader={reader}
          scale={scale}
          mayWrite={mayWrite}
        />
      )}
      {sheet === 'cue' && (
        <CueSheet
          batch={batch}
          open
          onClose={close}
          onCue={({ key, text }) => {
            enter('noted', batch.id, { text, cue: key })
            close()
          }}
        />
      )}
      {sheet === 'eggs' && (
        <EggsSheet
          batch={batch}
          open
          onClose={close}
          onKept={() => onSheet('parts')}
          mayWrite={mayWrite}
          reader={reader}
        />
      )}
      {sheet === 'temper' && <TemperSheet batch={batch} findings={findings} open onClose={close} reader={reader} />}
      {sheet === 'add' && <AddSheet batch={batch} step={addAt} open onClose={close} />}
      {sheet === 'lots' && <LotsSheet batch={batch} step={addAt} onClose={close} reader={reader} />}
      {sheet === 'tool' && <ToolSheet batch={batch} step={addAt} onClose={close} />}
      {sheet === 'parts' && <PartsSheet batch={batch} step={addAt} now={now} onClose={close} reader={reader} />}
      {sheet === 'put away' && <PutAwaySheet batch={batch} now={now} onClose={close} />}
      {sheet === 'rewarm' && <RewarmSheet batch={batch} onClose={close} />}
      {sheet === 'cooling' && <CoolingSheet batch={batch} onClose={close} onSheet={onSheet} />}
      {typeof sheet === 'object' && 'pour' in sheet && (
        <PourSheet batch={batch} pans={sheet.pour.pans} now={now} onClose={close} reader={reader} />
      )}
      {typeof sheet === 'object' && 'place' in sheet && (
        <PlaceSheet batch={batch} others={others} kind={sheet.place} onClose={close} reader={reader} />
      )}
      {sheet === 'paper' && <PaperSheet batch={batch} onClose={close} reader={reader} />}
      {sheet === 'logger' && <LoggerSheet batch={batch} onClose={close} reader={reader} />}
      {sheet === 'acidity' && (
        <AciditySheet batch={batch} findings={findings} open onClose={close} reader={reader} mayWrite={mayWrite} />
      )}
      {sheet === 'more' && (
        <MoreSheet batch={batch} open onClose={close} onSheet={onSheet} awake={awake} mayWrite={mayWrite} />
      )}
      {typeof sheet === 'object' && 'decide' in sheet && (
        <DecideSheet batch={batch} findings={findings} first={sheet.decide} onClose={close} />
      )}
      {typeof sheet === 'object' && 'mark' in sheet && (
        <MarkReason
          batch={batch}
          {...sheet.mark}
          now={now}
          reader={reader}
          onClose={close}
          onReason={(reason) => {
            onMark(sheet.mark.step, sheet.mark.edge, reason)
            close()
          }}
        />
      )}
    </Suspense>
  )
}
