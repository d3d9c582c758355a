import type { Instant } from '../../ground/instant'
import type { Decision } from '../../ledger/entry'
import type { Standing } from '../../ledger/standing'
import type { Id } from '../../ledger/subject'
import { allFacts, isClosed, isHeld, isPutAway, type BatchState } from '../../state/batch'
import { valid } from '../../state/fact'
import { isBinding, isGate } from '../batch/judgeBatch'
import { toSettle } from '../eggs/eggLedger'
import { mixtureTrace } from '../evidence/evidence'
import { waitingIn } from '../evidence/waiting'
import type { Finding } from '../finding'
import type { World } from '../world'
import { asCooked } from './asCooked'
import { changesIn } from './changes'
import { gateAt, type Gate } from './gate'
import { paceOf, type Pace } from './pace'
import { isSettled } from './settled'
import { spareOf, type Spare } from './spare'
import { countingFor } from './standing'
import { standsFrom } from './standsFrom'
import { thinned } from './thinned'

/** A batch as the Log shows it in a row: facts, and how it stands from when on. */
export interface LoggedBatch {
  id: Id
  code: string
  name: string
  method: Id
  startedAt: Instant
  startedBy: Id
  /** The last thing that happened to it, as far as is known. */
  until: Instant
  vessel: string
  /** Whoever entered something about it. */
  people: Id[]
  instruments: Id[]
  lots: Id[]
  /** Where it stood to cool. */
  units: Id[]
  /** Its readings in short, °C, in order of time. */
  trace: [at: Instant, celsius: number][]
  /** Read with an instrument that failed a check after: these prove nothing. */
  doubted: Instant[]
  decision: Decision | null
  held: boolean
  /** Entries that came too late and wait for the lead; entries that stand corrected. */
  waiting: number
  /** Egg that was cracked for it and went nowhere, and nothing more is made of it. */
  eggsLeft: boolean
  /** What the lead let count that they had entered themselves. */
  ownAccepted: { by: Id; at: Instant }[]
  corrected: number
  /** What was done otherwise than the method says, or left out, in order. */
  otherwise: { at: Instant; by: Id; said: string }[]
  /** How soon and how often it was read while it cooled. */
  pace: Pace
  /** Entries that came late, were put right or taken back. */
  changed: number
  stands: LoggedStand[]
}

/** How it stands from an instant on: the check that says it, and where its gates are. */
export interface LoggedStand {
  from: Instant
  standing: Standing
  /** Nothing of it waits for the lead. */
  settled: boolean
  /** The worst; of what is proven, the one with the least to spare. null: it has no gate. */
  says: Finding | null
  gates: (Gate & {
    key: string
    standing: Standing
    /** It is not proven because nobody read it when that was asked for. */
    unread: boolean
    spare: Spare | null
    /** When the readings that decide it were taken. */
    deciding: Instant[]
  })[]
}

/** Nobody took the reading that would have said it. */
const UNREAD: readonly Finding['because']['code'][] = [
  'never read',
  'closed unread',
  'not read in time',
  'start not read',
  'somewhere between',
  'pans unread',
]

/** Readings that a row draws at most. */
const DRAWN = 80

export function loggedBatch(batch: BatchState, world: World): LoggedBatch {
  const { id, code, method, startedAt, startedBy, vessel, facts, disposition, served } = batch
  const trace = mixtureTrace(batch)
  const decided = disposition && !disposition.void ? disposition : null
  const happened = [
    ...allFacts(batch).filter((fact) => !fact.void),
    ...[decided, served].filter((fact) => fact !== null),
  ]
  const readings = valid(facts['reading-taken'])
  return {
    id,
    code,
    name: method.name,
    method: method.id,
    startedAt,
    startedBy,
    until: happened.reduce((last, { at }) => Math.max(last, at), startedAt),
    vessel: vessel.name,
    people: distinct([startedBy, ...happened.map(({ by }) => by)]),
    instruments: distinct(readings.map(({ value }) => value.instrument)),
    lots: distinct([
      ...valid(facts['lots-used']).flatMap(({ value }) => value.uses.map(({ lot }) => lot)),
      ...valid(facts['eggs-taken']).map(({ value }) => value.lot),
    ]),
    units: distinct([
      ...valid(facts.placed).map(({ value }) => value.unit),
      ...valid(facts.portioned).map(({ value }) => value.unit),
    ]),
    trace: thinned(trace, DRAWN).map(({ at, celsius }) => [at, celsius]),
    doubted: trace.flatMap(({ at, doubts }) => (doubts.includes('failed') ? [at] : [])),
    decision: decided?.value.decision ?? null,
    held: isHeld(batch),
    waiting: waitingIn(batch).length,
    eggsLeft: (isClosed(batch) || isPutAway(batch)) && toSettle(batch).length > 0,
    ownAccepted: allFacts(batch).flatMap(({ by, accepted }) => (accepted?.by === by ? [{ by, at: accepted.at }] : [])),
    pace: paceOf(batch),
    changed: changesIn(batch).length,
    otherwise: asCooked(batch).flatMap(({ otherwise }) => otherwise),
    corrected: allFacts(batch).filter(({ amends }) => amends.length > 0).length,
    stands: changesOf(
      standsFrom(batch, world).map(({ from, standing, findings }) => ({
        from,
        standing,
        settled: isSettled(batch, findings),
        says: saying(standing, countingFor(batch, findings)),
        gates: findings.flatMap((finding) => {
          const { check, standing: is, because, deciding } = finding
          const gate = gateAt(finding, trace, from)
          const unread = is === 'unproven' && UNREAD.includes(because.code)
          return gate ? [{ ...gate, key: check.key, standing: is, unread, spare: spareOf(finding), deciding }] : []
        }),
      })),
    ),
  }
}

/** Only those that a row shows otherwise than the one before. */
function changesOf(stands: readonly LoggedStand[]): LoggedStand[] {
  const shown = ({ standing, settled, says, gates }: LoggedStand) =>
    [standing, settled, says?.check.key, says?.because.code, ...gates.map((gate) => gate.standing)].join()
  return stands.filter((stand, i) => i === 0 || shown(stand) !== shown(stands[i - 1]!))
}

/** What somebody may look for in a batch: its name and code, vessel, lots, what went in, notes. */
export function wordsIn({ code, method, vessel, facts }: BatchState): string {
  const words = [
    method.name,
    code,
    vessel.name,
    ...valid(facts['lots-used']).flatMap(({ value }) => value.uses.flatMap(({ name, code: lot }) => [name, lot])),
    ...valid(facts.added).flatMap(({ value }) => [value.own?.name ?? value.ingredient, value.lot]),
    ...valid(facts.noted).map(({ value }) => value.text),
  ]
  return words.filter((word) => word !== null).join('\n')
}

function saying(standing: Standing, findings: readonly Finding[]): Finding | null {
  const own = findings.filter((finding) => isBinding(finding) && finding.standing === standing)
  const gates = own.filter(isGate)
  const first = (gates.length ? gates : own).sort((a, b) => spare(a) - spare(b))[0]
  return first ?? null
}

/** What was passed with the least to spare comes first; what is open, with the nearest deadline. */
function spare({ because, deadline, standing }: Finding): number {
  if (because.code === 'in time') return because.spareMs
  return standing === 'open' ? (deadline ?? Infinity) : Infinity
}

function distinct(ids: readonly (Id | null)[]): Id[] {
  return [...new Set(ids)].filter((id) => id !== null)
}
