import type { Decision, Edge, Guide, HeatWindow, Phase } from '@logged-thermal/core'
import type { Reader } from '@logged-thermal/wording'
import type { JudgedBatch } from '../../app/kitchen'
import type { BenchSheet } from '../benchSheet'

export interface SlabProps {
  one: JudgedBatch
  phase: Phase
  guide: Guide
  window: HeatWindow
  now: number
  reader: Reader
  open: boolean
  onLead: (decision: Decision | null) => void
  onMark: (step: string, edge: Edge) => void
  onSheet: (sheet: BenchSheet) => void
}
