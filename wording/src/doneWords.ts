import {
  catalogue,
  type AnyClaim,
  type BatchState,
  type Fact,
  type ItemState,
  type MoveHow,
} from '@logged-thermal/core'
import { placedWords, planWords, pouredWords } from './coolingWords'
import { beginWord, coverWord, markWord, partWord } from './guideWords'
import { grams, stepName } from './methodWords'

/** What an entry says was done, in few words; null for a reading, and for what is not a deed at the pot. */
export function doneWords(claim: Pick<AnyClaim, 'kind' | 'body'>, batch: Pick<BatchState, 'method'>): string | null {
  const { kind, body } = claim as AnyClaim
  switch (kind) {
    case 'step-marked': {
      const step = batch.method.steps.find(({ key }) => key === body.step)
      if (!step) return null
      const name = stepName[step.kind]
      if (body.edge === 'skipped') return `${name} left out`
      if (body.edge === 'started') return beginWord[step.kind] ?? `${name} begun`
      const ended = markWord(step.kind, body.edge)
      return body.oven ? `${ended}, at ${body.oven.value} °${body.oven.unit}` : ended
    }
    case 'added':
      return `${catalogue[body.ingredient]?.name ?? body.ingredient}${body.grams === null ? '' : ` ${grams(body.grams)}`} in${
        body.lot === null ? '' : `, lot ${body.lot}`
      }`
    case 'cleaned':
      return 'Hands, cloth, tools and probe clean'
    case 'washed':
      return 'Washed before it went in'
    case 'covered':
      return coverWord[body.cover]
    case 'placed':
      return placedWords(body)
    case 'stirred':
      return 'Stirred through'
    case 'poured':
      return pouredWords(body)
    case 'rewarmed':
      return REWARMED[body.how]
    case 'cooling-planned':
      return planWords(body)
    case 'eggs-taken':
      return body.cracked === null
        ? `${partsOf(body.grams)} poured`
        : `${body.cracked} eggs ${body.as === 'separated' ? 'separated' : 'cracked'}, ${body.rejected} rejected`
    case 'acidity-measured':
      return `pH ${body.ph} measured`
    default:
      return null
  }
}

const REWARMED = { 'melted again': 'Melted again', 'baked again': 'Baked again', 'warmed again': 'Warmed again' }

/** Something that was done to a batch, and when. */
export interface Deed {
  entry: string
  at: number
  words: string
}

/** Everything that was done to a batch beside its readings and notes, in order. */
export function deedsOf(batch: BatchState): Deed[] {
  const of = <K extends AnyClaim['kind']>(kind: K, facts: readonly Fact<Extract<AnyClaim, { kind: K }>['body']>[]) =>
    facts.flatMap(({ entry, at, value, void: gone }): Deed[] => {
      const words = gone ? null : doneWords({ kind, body: value }, batch)
      return words === null ? [] : [{ entry, at, words }]
    })
  return [
    ...of('step-marked', batch.facts['step-marked']),
    ...of('eggs-taken', batch.facts['eggs-taken']),
    ...of('added', batch.facts.added),
    ...of('cleaned', batch.facts.cleaned),
    ...of('washed', batch.facts.washed),
    ...of('covered', batch.facts.covered),
    ...of('placed', batch.facts.placed),
    ...of('stirred', batch.facts.stirred),
    ...of('poured', batch.facts.poured),
    ...of('cooling-planned', batch.facts['cooling-planned']),
    ...of('rewarmed', batch.facts.rewarmed),
    ...of('acidity-measured', batch.facts['acidity-measured']),
  ].sort((a, b) => a.at - b.at)
}

/** What was done to how it cools, in order. */
export function coolingDeeds(batch: BatchState): Deed[] {
  const own = new Set(
    [...batch.facts.covered, ...batch.facts.placed, ...batch.facts.stirred, ...batch.facts.poured].map(
      ({ entry }) => entry,
    ),
  )
  return deedsOf(batch).filter(({ entry }) => own.has(entry))
}

function partsOf(weighed: Extract<AnyClaim, { kind: 'eggs-taken' }>['body']['grams']): string {
  return (['whole', 'yolk', 'white'] as const)
    .flatMap((part) => (weighed[part] === undefined ? [] : [`${grams(weighed[part])} ${partWord[part]}`]))
    .join(', ')
}

/** What was just done with an item, for the strip with Undo: 'Orchard trifle 330-8a: binned'; null for what no tap takes back. */
export function itemDoneWords(claim: AnyClaim, { name, code }: Pick<ItemState, 'name' | 'code'>): string | null {
  const { kind, body } = claim
  const done = (): string | null => {
    switch (kind) {
      case 'item-discarded':
        return 'binned'
      case 'item-moved':
        return MOVED[body.how]
      case 'item-used':
        return USED[body.then]
      case 'item-opened':
        return 'opened'
      case 'item-split':
        return 'split'
      case 'item-read':
        return `${body.typed.value} °${body.typed.unit} logged`
      default:
        return null
    }
  }
  const words = done()
  return words && `${name} ${code}: ${words}`
}

const MOVED: Record<MoveHow, string> = {
  move: 'moved',
  freeze: 'put into the freezer',
  thaw: 'put to thaw',
  out: 'pulled to the bench',
  serve: 'put out for service',
  hot: 'put into the hot well',
}
const USED = { sold: 'sold', served: 'served', tasted: 'tasted' } as const
