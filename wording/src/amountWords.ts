import type { AmountUnit, Assumed, MeasureSystem, Unread } from '@logged-thermal/core'
import { amountMessages } from './catalogue/amounts'
import { speaker, type Spoken } from './catalogue/say'
import { grams } from './methodWords'

const say = speaker(amountMessages)

/** What was taken for granted as an amount was turned into grams; empty: nothing. */
export function assumedWords(assumed: readonly Assumed[], reader: Spoken): string {
  return assumed.map((each) => assumedOne(each, reader)).join(', ')
}

function assumedOne(each: Assumed, reader: Spoken): string {
  switch (each.what) {
    case 'measure':
      return say(reader, 'measureOf', { unit: each.unit, system: each.system, ml: each.ml })
    case 'density':
      return say(reader, 'densityOf', { gramsPerMl: each.gramsPerMl })
    case 'egg':
      return say(reader, 'eggOf', { size: each.size, grams: each.grams })
    case 'one':
      return say(reader, 'oneOf', { unit: each.unit, grams: each.grams })
    case 'middle':
      return say(reader, 'middleOf', { from: each.from, to: each.to })
    case 'grams':
      return say(reader, 'takenAsGrams')
  }
}

/** One of two readings of an amount, on the key that chooses it: "8 fl oz (US) = 244 g". */
export function readingWords(
  each: { grams: number; unit: AmountUnit; system: MeasureSystem },
  quantity: number,
  reader: Spoken,
): string {
  const { unit, system } = each
  return say(reader, 'readingOf', { quantity, unit, system, grams: grams(each.grams) })
}

/** Why an amount came to no grams, and what to write instead. */
export function unreadSentence(why: Unread, reader: Spoken): string {
  switch (why.code) {
    case 'no number':
      return say(reader, 'noNumber')
    case 'not positive':
      return say(reader, 'notPositive')
    case 'out of range':
      return say(reader, 'outOfRange', { least: why.least, most: why.most / 1000 })
    case 'unknown word':
      return say(reader, 'unknownWord', { word: why.word })
    case 'weigh it':
      return say(reader, 'weighIt', { unit: why.unit })
    case 'no size':
      return say(reader, 'noSize', { unit: why.unit })
  }
}
