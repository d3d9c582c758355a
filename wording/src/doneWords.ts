import { foodIn, type AnyClaim, type BatchState, type Fact, type ItemState, type MoveHow } from '@logged-thermal/core'
import { placedWords, planWords, pouredWords } from './coolingWords'
import { beginWord, coverWord, markWord, partWord } from './guideWords'
import { grams, stepName } from './methodWords'
import { toolUsedWords } from './toolWords'
import { speaker, type Spoken } from './catalogue/say'
import { doneMessages } from './catalogue/done'

const say = speaker(doneMessages)

/** What an entry says was done, in few words; null for a reading, and for what is not a deed at the pot. */
export function doneWords(
  claim: Pick<AnyClaim, 'kind' | 'body'>,
  batch: Pick<BatchState, 'method'>,
  reader: Spoken,
): string | null {
  const { kind, body } = claim as AnyClaim
  switch (kind) {
    case 'step-marked': {
      const step = batch.method.steps.find(({ key }) => key === body.step)
      if (!step) return null
      const name = stepName(step.kind, reader)
      if (body.edge === 'skipped') return say(reader, 'leftOut', { name })
      if (body.edge === 'started') return beginWord(step.kind, reader) ?? say(reader, 'begunName', { name })
      const ended = markWord(step.kind, body.edge, reader)
      return body.oven ? say(reader, 'atEndedOvenUnit', { ended, oven: body.oven.value, unit: body.oven.unit }) : ended
    }
    case 'added':
      return say(reader, 'inLot', {
        catalogue: foodIn(body)?.name ?? body.ingredient,
        grams: body.grams === null ? null : grams(body.grams),
        hasGrams: body.grams !== null,
        lot: body.lot,
        hasLot: body.lot !== null,
      })
    case 'lots-used':
      return say(reader, 'fromLots', { lots: body.uses.map(({ name, code }) => `${name} ${code}`).join(', ') })
    case 'cleaned':
      return say(reader, 'handsClothToolsProbe')
    case 'washed':
      return say(reader, 'washedBeforeWent')
    case 'tool-used':
      return toolUsedWords(body, reader)
    case 'covered':
      return coverWord(body.cover, reader)
    case 'placed':
      return placedWords(body, reader)
    case 'readings-brought-in':
      return say(reader, 'broughtIn', { count: body.of, file: body.file.name })
    case 'stirred':
      return say(reader, 'stirredThrough')
    case 'poured':
      return pouredWords(body, reader)
    case 'rewarmed':
      return rewarmedWord(body.how, reader)
    case 'cooling-planned':
      return planWords(body, reader)
    case 'eggs-taken':
      return body.cracked === null
        ? say(reader, 'pouredPartsof', { partsOf: partsOf(body.grams, reader) })
        : say(reader, 'eggsSeparatedCrackedRejected', {
            cracked: body.cracked,
            isSeparated: body.as === 'separated',
            rejected: body.rejected,
          })
    case 'acidity-measured':
      return say(reader, 'phMeasured', { ph: body.ph })
    default:
      return null
  }
}

function rewarmedWord(key: 'melted again' | 'baked again' | 'warmed again', reader: Spoken): string {
  return say(reader, `rewarmed_${key}`)
}

/** Something that was done to a batch, and when. */
export interface Deed {
  entry: string
  at: number
  words: string
}

/** Everything that was done to a batch beside its readings and notes, in order. */
export function deedsOf(batch: BatchState, reader: Spoken): Deed[] {
  const of = <K extends AnyClaim['kind']>(kind: K, facts: readonly Fact<Extract<AnyClaim, { kind: K }>['body']>[]) =>
    facts.flatMap(({ entry, at, value, void: gone }): Deed[] => {
      const words = gone ? null : doneWords({ kind, body: value }, batch, reader)
      return words === null ? [] : [{ entry, at, words }]
    })
  return [
    ...of('step-marked', batch.facts['step-marked']),
    ...of('eggs-taken', batch.facts['eggs-taken']),
    ...of('added', batch.facts.added),
    ...of('lots-used', batch.facts['lots-used']),
    ...of('cleaned', batch.facts.cleaned),
    ...of('washed', batch.facts.washed),
    ...of('tool-used', batch.facts['tool-used']),
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
export function coolingDeeds(batch: BatchState, reader: Spoken): Deed[] {
  const own = new Set(
    [...batch.facts.covered, ...batch.facts.placed, ...batch.facts.stirred, ...batch.facts.poured].map(
      ({ entry }) => entry,
    ),
  )
  return deedsOf(batch, reader).filter(({ entry }) => own.has(entry))
}

function partsOf(weighed: Extract<AnyClaim, { kind: 'eggs-taken' }>['body']['grams'], reader: Spoken): string {
  return (['whole', 'yolk', 'white'] as const)
    .flatMap((part) => (weighed[part] === undefined ? [] : [`${grams(weighed[part])} ${partWord(part, reader)}`]))
    .join(', ')
}

/** What was just done with an item, for the strip with Undo: 'Orchard trifle 330-8a: binned'; null for what no tap takes back. */
export function itemDoneWords(
  claim: AnyClaim,
  { name, code }: Pick<ItemState, 'name' | 'code'>,
  reader: Spoken,
): string | null {
  const { kind, body } = claim
  const done = (): string | null => {
    switch (kind) {
      case 'item-discarded':
        return say(reader, 'binned')
      case 'item-moved':
        return movedWord(body.how, reader)
      case 'item-used':
        return USED[body.then]
      case 'item-opened':
        return say(reader, 'opened')
      case 'item-split':
        return say(reader, 'split')
      case 'item-dispatched':
        return say(reader, 'sentOut', { name: body.name })
      case 'item-arrived':
        return say(reader, 'arrivedAt', { typed: body.typed.value, unit: body.typed.unit })
      case 'item-finished':
        return say(reader, 'finished')
      case 'item-read':
        return say(reader, 'loggedTypedUnit', { typed: body.typed.value, unit: body.typed.unit })
      default:
        return null
    }
  }
  const words = done()
  return words && `${name} ${code}: ${words}`
}

function movedWord(key: MoveHow, reader: Spoken): string {
  return say(reader, `moved_${key}`)
}
const USED = { sold: 'sold', served: 'served', tasted: 'tasted', sample: 'kept as a sample' } as const
