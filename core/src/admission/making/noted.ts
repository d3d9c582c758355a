import { object, text } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { needsOpenBatch } from '../guard/openBatch'

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
  touches: ({ about }) => [about],
  reads: () => [],
  admit: needsOpenBatch,
}
