import { useMemo } from 'react'
import { createSelector } from '@reduxjs/toolkit'
import isSame from 'fast-deep-equal'
import {
  askedSince,
  attention,
  dayOf,
  limitsAt,
  forecastOf,
  isUnitKind,
  batchStanding,
  canProve,
  instrumentStanding,
  judgeOf,
  urgency,
  type Attention,
  type BatchState,
  type Finding,
  type Forecast,
  type Id,
  type Means,
  type Judge,
  type Instant,
  type Refusal,
  type InstrumentState,
  type Standing,
  type TemperatureScale,
} from '@logged-thermal/core'
import type { Reader } from '@logged-thermal/wording'
import { language } from '../kit/language'
import { api, type ShiftNow } from './api'
import { ledger } from './ledger'
import { withKnownMethods } from './knownMethods'
import { type LineData, type PersonOnList } from './lineData'
import { useAsOf } from './now'
import type { Waiting } from './outbox'
import type { Unsent } from './refusedHere'
import { useAppSelector, type RootState } from './store'

/** A batch as it stands now: its facts, what core finds, and what it asks for. */
export interface JudgedBatch {
  batch: BatchState
  findings: Finding[]
  standing: Standing
  asks: Attention
  /** How it goes on cooling as it stands; null while it does not cool. */
  forecast: Forecast | null
}

/** The kitchen with what is still on this tablet folded on top; null until it is loaded. */
export function useLine(): LineData | null {
  return useAppSelector(selectLine)
}

/** What was folded last, of which Line and which entries. */
let last: { line: LineData; unsent: readonly Waiting[]; folded: Unsent } | null = null

/** One folded kitchen for every part of the page that asks: the very same one until another entry is in it. */
const selectUnsent = createSelector(
  [(state: RootState) => state.line, (state: RootState) => state.outbox, (state: RootState) => state.ledgerThere],
  (line, outbox, isThere): Unsent | null => {
    if (!line) return null
    if (!isThere) return { line: withKnownMethods(line), refused: NONE_REFUSED }
    const unsent = outbox.filter(({ refusal, seq }) => refusal === null && (seq === null || seq > line.seq))
    if (last?.line === line && isFoldedAlike(last, unsent)) return last.folded
    const folded = ledger().foldUnsent(line, unsent)
    last = { line, unsent, folded: { ...folded, line: withKnownMethods(folded.line) } }
    return last.folded
  },
)

/** Whether the same entries are folded the same: that one was recorded meanwhile changes nothing, unless it was thought refused. */
function isFoldedAlike(before: { unsent: readonly Waiting[]; folded: Unsent }, unsent: readonly Waiting[]): boolean {
  return (
    unsent.length === before.unsent.length &&
    unsent.every(({ claim, seq }, i) => {
      const was = before.unsent[i]!
      return claim === was.claim && ((seq === null) === (was.seq === null) || !before.folded.refused.has(claim.id))
    })
  )
}

const selectLine = (state: RootState) => selectUnsent(state)?.line ?? null

/** What of the unsent the server will not take, as far as this tablet knows: it says so before the server is asked. */
export function useRefusedHere(): ReadonlyMap<Id, Refusal> {
  return useAppSelector((state) => selectUnsent(state)?.refused ?? NONE_REFUSED)
}

const NONE_REFUSED: ReadonlyMap<Id, Refusal> = new Map()

const NOTHING_LEARNED: Means['learned'] = {}

// The page asks for both once (`shell/App.tsx`); what looks at them is everywhere, and only looks.
const selectLearned = api.endpoints.learned.select()
const selectShift = api.endpoints.shift.select()

/** The shift of this tablet; null: none is open, or it is not known yet. */
export function useShift(): ShiftNow['shift'] {
  return useAppSelector((state) => selectShift(state).data?.shift ?? null)
}

/** What this kitchen has to cool with, and what its own coolings say. */
export function useMeans(line: LineData | null): Means {
  const learned = useAppSelector((state) => selectLearned(state).data?.learned) ?? NOTHING_LEARNED
  const units = line?.units
  return useMemo(() => meansOf(units ?? NO_UNITS, learned), [units, learned])
}

const NO_UNITS: LineData['units'] = []
let lastMeans: { units: LineData['units']; learned: Means['learned']; means: Means } | null = null

/** One object for every part of the page that asks: what core has found under it, it does not look for again. */
function meansOf(units: LineData['units'], learned: Means['learned']): Means {
  if (lastMeans?.units !== units || lastMeans.learned !== learned) {
    const places = [...new Set(units.map(({ kind }) => kind).filter(isUnitKind))]
    lastMeans = { units, learned, means: { places, learned } }
  }
  return lastMeans.means
}

/** One judge for as long as a batch stays as it is: asking it again each second costs nothing of its readings. */
const judges = new WeakMap<BatchState, Judge>()

function judgeFor(batch: BatchState, zone: string): Judge {
  const known = judges.get(batch) ?? judgeOf(batch, [], { zone })
  judges.set(batch, known)
  return known
}

/** What was found of a batch, and until when that holds. */
interface Found {
  means: Means
  from: Instant
  until: Instant
  one: JudgedBatch
}

const found = new WeakMap<BatchState, Found>()

/**
 * What a batch asks for may change by time alone in ways that nobody foretells: it is looked at anew after this, ms. One that
 * asks for no hands changes with its dates alone, which are foretold.
 */
const LOOKED_AT_AGAIN = { underWay: 10_000, quiet: 60_000 }
const QUIET: readonly Attention['kind'][] = ['decide', 'discard', 'use today', 'keep', 'held', 'closed']

/** Sooner for one, later for another: all at the same instant, they would hold up a tap. */
function lookedAtAgain({ batch, asks }: JudgedBatch): number {
  const after = LOOKED_AT_AGAIN[QUIET.includes(asks.kind) ? 'quiet' : 'underWay']
  return after * (0.9 + (0.2 * (parseInt(batch.id.slice(-3), 16) || 0)) / 0xfff)
}

/**
 * A batch as it stands at an instant: the very same object until an entry changes the batch, or time alone a finding or
 * what it asks for.
 */
export function judgedAt(batch: BatchState, zone: string, means: Means, now: Instant): JudgedBatch {
  const known = found.get(batch)
  if (known && known.means === means && now >= known.from && now < known.until) return known.one
  const judge = judgeFor(batch, zone)
  const findings = judge.findings(now)
  const asks = attention(batch, findings, { zone, means }, now)
  const forecast = forecastOf(batch, findings, means)
  const fresh = { batch, findings, standing: batchStanding(findings), asks, forecast }
  // Looked at again and found the same, it is the same: nothing is drawn anew for it.
  const one = known?.means === means && isSame(known.one, fresh) ? known.one : fresh
  const changes = [judge.nextAt(), 'at' in asks ? asks.at : null, 'by' in asks ? asks.by : null]
  const next = changes.filter((at): at is Instant => at !== null && at > now)
  found.set(batch, { means, from: now, until: Math.min(now + lookedAtAgain(one), ...next), one })
  return one
}

/** Since when a reading of a batch was asked for that is taken at an instant: by what this tablet showed last. */
export function shownAsked(batch: BatchState, at: Instant): Instant | null {
  const shown = found.get(batch)
  return shown ? askedSince(shown.one.asks, at) : null
}

/** Every batch that is not thrown away, the most urgent first: another list once an entry or time alone changes one. */
export function useJudged(line: LineData | null): readonly JudgedBatch[] {
  const means = useMeans(line)
  return useAsOf((now) => (line ? judgedLine(line, means, now) : NOTHING_JUDGED))
}

const NOTHING_JUDGED: readonly JudgedBatch[] = []
const judgedLines = new WeakMap<
  LineData,
  { means: Means; judged: readonly JudgedBatch[]; list: readonly JudgedBatch[] }
>()

/** The batches of a line as they stand at an instant: the very same list while each of them is the same. */
export function judgedLine(line: LineData, means: Means, now: Instant): readonly JudgedBatch[] {
  const judged = line.batches.map((batch) => judgedAt(batch, line.kitchen.zone, means, now))
  const known = judgedLines.get(line)
  if (known && known.means === means && judged.every((one, i) => one === known.judged[i])) return known.list
  const list = judged
    .filter(({ asks }) => asks.kind !== 'closed')
    .sort((a, b) => urgency(a.asks, now) - urgency(b.asks, now))
  judgedLines.set(line, { means, judged, list })
  return list
}

/** Who logs here, with what, in which unit. */
export interface Hand {
  person: PersonOnList | null
  instrument: InstrumentState | null
  reader: Reader
  /** The shift is open: entries can be made. */
  open: boolean
  /** An auditor's: it shows everything, and enters nothing. */
  readsOnly: boolean
}

/** The probe that is taken unless somebody chose: one that can prove, before one that cannot. */
function firstProbe(instruments: readonly InstrumentState[], now: Instant): InstrumentState | null {
  const probes = instruments.filter(({ kind, gone }) => kind === 'probe' && !gone)
  return probes.find((probe) => canProve(instrumentStanding(probe, now))) ?? probes[0] ?? null
}

/** A day, and how times are written, are looked at so often, ms: by everything that writes one. */
const SLOWLY = 10_000

export function useHand(line: LineData | null): Hand {
  const tablet = useAppSelector((state) => state.tablet)
  const shift = useShift()
  const person = line?.people.find(({ id }) => id === (tablet.person ?? shift?.person)) ?? null
  const first = useAsOf((now) => firstProbe(line?.instruments ?? [], now), 60_000)
  const isThere = useAppSelector(({ ledgerThere }) => ledgerThere)
  const readsOnly = line?.people.find(({ id }) => id === shift?.person)?.role === 'inspector'
  const { instrument } = tablet
  const scale: TemperatureScale = (person && tablet.units[person.id]) || (line?.kitchen.unit ?? 'C')
  const zone = line?.kitchen.zone ?? 'UTC'
  const versions = line?.limits?.versions
  const hours = useAsOf((now) => limitsAt(versions ?? [], now)?.practice.clock ?? 24, SLOWLY)
  const today = useAsOf((now) => dayOf(now, zone), SLOWLY)
  const reader = useMemo((): Reader => ({ scale, zone, locale: language, hours, today }), [scale, zone, hours, today])
  return {
    person,
    instrument:
      instrument === 'first'
        ? first
        : (line?.instruments.find(({ id, gone }) => id === instrument.id && !gone) ?? null),
    reader,
    open: (shift?.open ?? false) && !readsOnly && isThere,
    readsOnly,
  }
}
