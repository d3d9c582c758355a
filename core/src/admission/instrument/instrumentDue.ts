import { DUE_AT_ONCE, type DueAtOnce, type DueFound } from '../../ledger/instrumentEntries'
import type { Instant } from '../../ground/instant'
import type { Claim } from '../../ledger/entry'
import type { Subject } from '../../ledger/subject'
import { object, oneOf } from '../../ground/field'
import { fallenProbes } from '../../state/backing'
import { unfoundedBy, withUnfounded } from '../../state/comparison'
import { canProve, instrumentStanding, type InstrumentState } from '../../state/instrument'
import type { Read } from '../../state/state'
import { withDoubts } from '../../state/unit'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import type { Refusal } from '../guard/refusal'
import { inUse } from './inUse'
import { parseDueFound } from './parseFound'
import { reachedThrough, throughWithSplitOff, withSplitOff } from './withSplitOff'

declare module '../../ledger/entry' {
  interface Bodies {
    /** `found`: by core alone; left out by older ones. */
    'instrument-due': { why: DueAtOnce; found?: DueFound | null }
  }
}

/**
 * It fell, or has a new battery or sensor: it is due at once, however long ago its last check was. What was read with it
 * since then, and recorded before this was, stands in the same doubt as what is read with it after; and what was read with
 * others that were checked against it.
 */
export const instrumentDue: KindOf<'instrument-due'> = {
  kind: 'instrument-due',
  v: 1,
  about: 'instrument',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { why, found } = object(body, ['why', 'found'])
    const due = { why: oneOf(why, DUE_AT_ONCE) }
    return found.value === undefined ? due : { ...due, found: parseDueFound(found) }
  },
  writes: ({ about, body: { found } }) => [about, ...(found?.doubted ?? []), ...reachedThrough(found?.through)],
  reads: () => [],
  readsThen(claim, read) {
    const found = foundIn(claim, read)
    const uses = read('instrument', claim.about.id)?.uses ?? []
    return [
      ...uses.filter(({ type }) => type === 'instrument'),
      ...(found?.doubted ?? []),
      ...reachedThrough(found?.through),
    ]
  },
  refuse: ({ about, at }, read) => inUse(about.id, read) ?? refusedLate(read('instrument', about.id), at),
  derive: (claim, read) => ({ found: foundIn(claim, read) }),
  folds: {
    instrument: (state, { claim: { about, at, body } }, own) =>
      about.id === own
        ? { ...state, dues: [...state.dues, { at, why: body.why }] }
        : withUnfounded(state, body.found?.through ?? []),
    batch: (state, entry) => ({ ...state, failedProbes: [...state.failedProbes, ...fallenProbes(entry)] }),
    lot: (state, entry) => ({ ...state, fails: [...state.fails, ...fallenProbes(entry)] }),
    item: (state, entry) => ({ ...state, fails: [...state.fails, ...fallenProbes(entry)] }),
    unit: (state, entry) => withDoubts(state, fallenProbes(entry)),
  },
}

/** What was read with it since it fell has to be known still. */
function refusedLate(instrument: InstrumentState | null, at: Instant): Refusal | null {
  return !instrument || instrument.usesSince === null || at >= instrument.usesSince
    ? null
    : { code: 'too long ago', field: 'at', instrument: instrument.code }
}

/** null where nothing was read since, or the house lets what is read with it count until its check. */
function foundIn({ about, at, body }: Claim<'instrument-due'>, read: Read): DueFound | null {
  const instrument = read('instrument', about.id)
  if (!instrument) return null
  const { backing } = instrumentStanding({ ...instrument, dues: [...instrument.dues, { at, why: body.why }] }, at)
  if (canProve({ backing })) return null
  const used = instrument.uses.filter(({ type, last }) => type !== 'instrument' && last >= at)
  const doubted = withSplitOff(
    used.map(({ type, id }): Subject => ({ type, id })),
    read,
  )
  const through = throughWithSplitOff(unfoundedBy(instrument, { since: at, at, error: 0 }, read), read)
  if (doubted.length === 0 && through.length === 0) return null
  return {
    backing: backing === 'lapsed' ? 'lapsed' : 'unchecked',
    doubted,
    ...(through.length > 0 ? { through } : {}),
  }
}
