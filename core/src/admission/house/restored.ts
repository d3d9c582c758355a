import type { Hash } from '../../ledger/subject'
import type { Instant } from '../../ground/instant'
import { hash, instant, object, whole } from '../../ground/field'
import type { KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    /** When the backup was made, and the last entry that was in it. */
    restored: { backupMade: Instant; seq: number; hash: Hash }
  }
}

/** The logbook was begun again from a backup: what was entered after that is lost, unless tablets still have it. */
export const restored: KindOf<'restored'> = {
  kind: 'restored',
  v: 1,
  about: 'kitchen',
  may: ['installation'],
  signed: false,
  parse(body) {
    const { backupMade, seq, hash: last } = object(body, ['backupMade', 'seq', 'hash'])
    return { backupMade: instant(backupMade), seq: whole(seq, 0, Number.MAX_SAFE_INTEGER), hash: hash(last) }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse: ({ about, kitchen }) =>
    about.id === kitchen ? null : { code: 'not there', field: 'about.id', what: 'kitchen' },
  folds: { kitchen: (state, { claim: { at, body } }) => ({ ...state, restored: { at, ...body } }) },
}
