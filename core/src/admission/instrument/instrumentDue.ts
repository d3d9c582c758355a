import { DUE_AT_ONCE, type DueAtOnce, type DueFound } from '../../ledger/instrumentEntries'
import type { Instant } from '../../ground/instant'
import type { Claim } from '../../ledger/entry'
import type { Subject } from '../../ledger/subject'
import { object, oneOf } from '../../ground/field'
import { fallenProbe } from '../../state/backing'
import { canProve, instrumentStanding, type InstrumentState } from '../../state/instrument'
import type { Read } from '../../state/state'
import { withDoubt } from '../../state/unit'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import type { Refusal } from '../guard/refusal'
import { inUse } from './inUse'
import { withSplitOff } from './withSplitOff'

declare module '../../ledger/entry' {
  interface Bodies {
    /** `found`: by core alone; left out by older ones. */
    'instrument-due': { why: DueAtOnce; found?: DueFound | null }
  }
}

/**
 * It fell, or has a new battery or sensor: it is due at once, however long ago its last check was. What was read with it
 * since then, and recorded before this was, stands in the same doubt as what is read with it after.
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
    // What it throws doubt on needs no parsing: only the very one that core finds is folded.
    return found.value === undefined ? due : { ...due, found: found.value as DueFound | null }
  },
  writes: ({ about, body }) => [about, ...(body.found?.doubted ?? [])],
  reads: () => [],
  readsThen: (claim, read) => foundIn(claim, read)?.doubted ?? [],
  refuse: ({ about, at }, read) => inUse(about.id, read) ?? refusedLate(read('instrument', about.id), at),
  derive: (claim, read) => ({ found: foundIn(claim, read) }),
  folds: {
    instrument: (state, { claim: { about, at, body } }, own) =>
      about.id === own ? { ...state, dues: [...state.dues, { at, why: body.why }] } : state,
    batch: (state, entry) => ({ ...state, failedProbes: [...state.failedProbes, fallenProbe(entry)] }),
    lot: (state, entry) => ({ ...state, fails: [...state.fails, fallenProbe(entry)] }),
    item: (state, entry) => ({ ...state, fails: [...state.fails, fallenProbe(entry)] }),
    unit: (state, entry) => withDoubt(state, fallenProbe(entry)),
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
  const used = instrument.uses.filter(({ last }) => last >= at).map(({ type, id }): Subject => ({ type, id }))
  const doubted = withSplitOff(used, read)
  return doubted.length === 0 ? null : { backing: backing === 'lapsed' ? 'lapsed' : 'unchecked', doubted }
}
