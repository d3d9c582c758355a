import { celsiusOf, type AnyClaim, type BatchState, type Contested, type ItemState } from '@logged-thermal/core'
import { contestedMessages } from './catalogue/contested'
import { speaker } from './catalogue/say'
import { doneWords, itemDoneWords } from './doneWords'
import { clock, degrees, type Reader } from './figures'

const say = speaker(contestedMessages)

/** What two tablets entered of a batch or an item and contradicts itself, one sentence: who, when, what, and whether it counts. */
export function contestedWords(
  { claim, code }: Contested,
  of: { batch: BatchState } | { item: ItemState },
  name: string,
  reader: Reader,
): string {
  const [time, what] = [clock(claim.at, reader), whatWords(claim, of, reader)]
  return code === null ? say(reader, 'counts', { name, time, what }) : say(reader, 'doesNotCount', { name, time, what })
}

function whatWords(claim: AnyClaim, of: { batch: BatchState } | { item: ItemState }, reader: Reader): string {
  if (claim.kind === 'reading-taken' || claim.kind === 'item-read') return degrees(celsiusOf(claim.body.typed), reader)
  const words = 'batch' in of ? doneWords(claim, of.batch, reader) : itemDoneWords(claim, of.item, reader)
  return words ?? say(reader, 'somethingElse', { kind: claim.kind.replaceAll('-', ' ') })
}
