import type { CorrectionReason, Claim } from '../../ledger/entry'
import { correctedInBatch, correctable } from '../../state/batchChanges'
import { struckInItem } from '../../state/itemChanges'
import { id, instant, object, oneOf } from '../../ground/field'
import type { Refusal } from '../guard/refusal'
import type { BatchState } from '../../state/batch'
import type { Read } from '../../state/state'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { needsOpenBatch } from '../guard/openBatch'
import { withUse } from '../../state/instrument'
import { admitReading, backed, instrumentOf, parseReading } from './readingTaken'

/** Amends an earlier entry of a batch: takes it back, gives other values, or moves a reading to the right batch. */
export const corrected: KindOf<'corrected'> = {
  kind: 'corrected',
  v: 2,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  upcast: (body) => ({ ...body, item: null }),
  parse(body) {
    const { target, reason, now, item } = object(body, ['target', 'reason', 'now', 'item'])
    const amends = {
      target: id(target),
      reason: oneOf<CorrectionReason>(reason, REASONS),
      item: item.value === null ? null : id(item),
    }
    if (now.value === 'void') return { ...amends, now: 'void' }
    const { at, reading, batch } = object(now, ['at', 'reading', 'batch'])
    return {
      ...amends,
      now: { at: instant(at), reading: parseReading(reading), batch: batch.value === null ? null : id(batch) },
    }
  },
  writes: ({ about, body }) => {
    const movedTo = body.now === 'void' ? null : body.now.batch
    return [
      about,
      ...(movedTo === null || movedTo === about.id ? [] : [{ type: 'batch' as const, id: movedTo }]),
      ...(body.item ? [{ type: 'item' as const, id: body.item }] : []),
      ...(body.now === 'void' ? [] : instrumentOf(body.now.reading)),
    ]
  },
  reads: () => [],
  refuse(claim, read) {
    return needsOpenBatch(claim, read) ?? admitTarget(claim, read) ?? admitNow(claim, read)
  },
  derive({ about, body: { now, target } }, read) {
    if (now === 'void') return {}
    // What was copied from paper stays that, and nothing becomes it; nor does a correction say what was asked for.
    const reading = { ...now.reading, ...backed(now.reading, now.at, read) }
    delete reading.paper
    delete reading.asked
    const was = read('batch', about.id)?.facts['reading-taken'].find(({ entry }) => entry === target)?.value
    const paper = was?.paper === undefined ? {} : { paper: was.paper }
    const asked = was?.asked === undefined ? {} : { asked: was.asked }
    return { now: { ...now, reading: { ...reading, ...paper, ...asked } } }
  },
  folds: {
    batch: correctedInBatch,
    item: (state, { claim: { body } }) => struckInItem(state, body.target),
    instrument: (state, { claim: { about, body } }) =>
      body.now === 'void'
        ? state
        : withUse(state, body.now.batch ? { type: 'batch', id: body.now.batch } : about, body.now.at),
  },
}

const REASONS: readonly CorrectionReason[] = ['undo', 'mistyped', 'wrong pot', 'touched the pan', 'other']

function admitTarget({ about, body }: Claim<'corrected'>, read: Read): Refusal | null {
  const batch = read('batch', about.id)
  if (!batch || !isCorrectable(batch, body.target)) return { code: 'not there', field: 'body.target', what: 'entry' }
  const eggs = batch.facts['eggs-taken'].find(({ entry }) => entry === body.target)
  if ((eggs?.value.item ?? null) !== body.item) return { code: 'other lineage', field: 'body.item' }
  // What came out of a file is taken back whole; no one of its readings is put right.
  const isReading = batch.facts['reading-taken'].some(({ entry, value }) => entry === body.target && !value.file)
  return body.now === 'void' || isReading ? null : { code: 'not a reading', field: 'body.target' }
}

function admitNow({ about, body }: Claim<'corrected'>, read: Read): Refusal | null {
  if (body.now === 'void') return null
  const { batch, reading } = body.now
  const other =
    batch !== null && batch !== about.id ? needsOpenBatch({ about: { type: 'batch', id: batch } }, read) : null
  const begins = read('batch', batch ?? about.id)?.startedAt ?? -Infinity
  if (body.now.at < begins) return { code: 'before it began', field: 'at', begins }
  return other ?? admitReading(reading, body.now.at, read)
}

// A disposition is not amended here: the lead disposes again. A part is taken back where it was taken.
function isCorrectable(batch: BatchState, target: string): boolean {
  return correctable(batch).some(({ entry }) => entry === target)
}
