import type { Instant } from '../../ground/instant'
import { foodIn } from '../../recipe/ingredient/own'
import { isUntreatedFruit } from '../../recipe/ingredient/produce'
import type { Id } from '../../ledger/subject'
import type { PartUsed } from '../../ledger/storeEntries'
import type { Addition } from '../../ledger/entry'
import type { BatchState } from '../../state/batch'
import { valid, type Fact } from '../../state/fact'
import type { CoreReading } from './core'

/** Something that has to be cooked with the rest, as it went in. */
export interface RawIn {
  entry: Id
  step: string
  at: Instant
  knownAt: Instant
  what: 'egg' | 'fruit' | 'part'
  /** Nothing is to heat it, because the method and the rule set allow it so: it makes a raw dessert of it. */
  onPurpose: boolean
}

/** Raw egg or untreated frozen fruit: what is in the pot has not been through the heat any more. */
export function reopens(addition: Pick<Addition, 'ingredient' | 'own' | 'state'>): boolean {
  return rawAs(addition) !== null
}

/** All that went in raw, by whatever entry and whatever step it names: shell egg, untreated fruit, a part that is raw. */
export function rawInsOf({
  startedAt,
  terms,
  facts: { 'eggs-taken': eggs, added: additions, 'lots-used': lots, 'part-used': parts, 'already-in': alreadyIn },
}: Pick<BatchState, 'startedAt' | 'terms' | 'facts'>): RawIn[] {
  const fromTheFirst = new Set(valid(alreadyIn).map(({ value }) => value.target))
  const rawIn = (
    { entry, at, knownAt }: Fact<unknown>,
    step: string,
    what: RawIn['what'],
    onPurpose = what !== 'fruit' && isMeantRaw(terms, step),
  ): RawIn => {
    return fromTheFirst.has(entry)
      ? { entry, step, at: startedAt, knownAt: startedAt, what, onPurpose }
      : { entry, step, at, knownAt, what, onPurpose }
  }
  return [
    ...valid(eggs)
      .filter(({ value }) => value.form !== 'pasteurized')
      .map((fact) => rawIn(fact, fact.value.step, 'egg')),
    ...valid(additions).flatMap((fact) => {
      const what = rawAs(fact.value)
      return what ? [rawIn(fact, fact.value.step, what)] : []
    }),
    // The method takes it treated, and this lot is not.
    ...valid(lots)
      .filter(({ value }) => value.uses.some(({ untreated }) => untreated))
      .map((fact) => rawIn(fact, fact.value.step, 'fruit')),
    ...valid(parts)
      .filter(({ value }) => value.part.facts.heat === 'raw')
      .map((fact) => rawIn(fact, fact.value.step, 'part', isMeantAsPart(terms, fact.value))),
  ]
}

/**
 * When what went in raw opened the floor anew, in order. By the time it tells of, and by when it was known: what is
 * entered after a reading was not in the pot that was read, unless the lead says so.
 */
export function reopeningsOf(raw: readonly RawIn[], core: readonly CoreReading[]): Instant[] {
  const opened = raw
    .filter(({ onPurpose }) => !onPurpose)
    .map(({ at, knownAt }) => Math.max(at, ...core.filter((each) => each.knownAt < knownAt).map((each) => each.at + 1)))
  return [...new Set(opened)].sort((a, b) => a - b)
}

/** Of these what went in after the mixture was read, as far as the kitchen knew: it opened the floor again, unless it was in from the first. */
export function rawAfterReading(raw: readonly RawIn[], core: readonly CoreReading[]): RawIn[] {
  const first = Math.min(Infinity, ...core.map(({ knownAt }) => knownAt))
  return raw.filter(({ onPurpose, knownAt }) => !onPurpose && knownAt > first)
}

function isMeantRaw({ eggs }: BatchState['terms'], step: string): boolean {
  return eggs.unheated === 'shell with advisory' && eggs.uses.some((use) => use.step === step && !use.heated)
}

/**
 * Raw egg that was kept goes in as egg does. Anything else is meant raw where that is what it was made as, in what was
 * approved as raw itself; what is raw because its heat is not proven never is.
 */
function isMeantAsPart(terms: BatchState['terms'], { step, part }: PartUsed): boolean {
  if (part.egg !== null) return isMeantRaw(terms, step)
  return terms.eggs.unheated === 'shell with advisory' && part.facts.meantRaw === true
}

function rawAs(addition: Pick<Addition, 'ingredient' | 'own' | 'state'>): 'egg' | 'fruit' | null {
  const { state } = addition
  if (foodIn(addition)?.egg != null) return state === 'pasteurized lot' ? null : 'egg'
  return isUntreatedFruit(addition) ? 'fruit' : null
}
