import { cuesMessages } from './catalogue/cues'
import { speaker, type Spoken } from './catalogue/say'

const say = speaker(cuesMessages)

type CueKey = keyof typeof cuesMessages

/** How a dessert looks, sounds and moves on the heat. House words, by family; they move no standing. */
export interface Cue {
  key: CueKey
  text: string
}

const EVERYWHERE: CueKey[] = [
  'tasted,-clean-spoon',
  'first-steam',
  'thickens',
  'smells-of-egg',
  'catches-at-the-bottom',
]

const OF_FAMILY: Record<string, CueKey[]> = {
  'poured-custard': ['froth-is-gone', 'coats-the-spoon', 'line-holds-on-the-spoon', 'grainy-at-the-edge'],
  'fruit-curd': ['foam-is-gone', 'mounds-on-the-whisk', 'glossy', 'specks-of-white'],
  'white-foam': ['stiff-peaks', 'glossy', 'browned-on-top'],
  'foam-topping': ['stiff-peaks', 'glossy', 'browned-on-top'],
  'yolk-foam': ['ribbon-holds', 'doubled', 'browned-on-top'],
  'baked-custard': ['trembles-in-the-middle', 'browned-on-top'],
  'heated-nog': ['froth-is-gone', 'coats-the-spoon', 'skin-forms'],
}

export function cuesOf(family: string, reader: Spoken): Cue[] {
  return [...(OF_FAMILY[family] ?? []), ...EVERYWHERE].map((key) => ({ key, text: say(reader, key) }))
}
