import type { Bodies } from '../../ledger/entry'
import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { object, text } from '../../ground/field'
import { needsOpenBatch } from '../guard/openBatch'

declare module '../../ledger/entry' {
  interface Bodies {
    noted: Note
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    noted: Bodies['noted']
  }
}

/** A remark about a batch, or a cue: how it looks, sounds and moves. It moves no standing. */
export const noted: KindOf<'noted'> = {
  kind: 'noted',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { text: words, cue } = object(body, ['text', 'cue'])
    return { text: text(words, 500), cue: cue.value === null ? null : text(cue, 40) }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse: needsOpenBatch,
  fact: asEntered,
}

/** A remark, or how it looks, sounds and moves. It moves no standing. */
export interface Note {
  text: string
  cue: string | null
}
