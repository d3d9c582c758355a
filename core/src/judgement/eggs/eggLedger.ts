import { BY_PRODUCT_DAYS } from '../../recipe/ingredient/byProduct'
import { gramsTaken } from '../../state/gramsTaken'
import type { Instant } from '../../ground/instant'
import type { Id } from '../../ledger/subject'
import type { EggsTaken, LeftOver } from '../../ledger/entry'
import type { PartUsed, Spot } from '../../ledger/storeEntries'
import type { BatchState } from '../../state/batch'
import type { LotState } from '../../state/lot'
import { eggGrams, type EggPart, type EggSize } from '../../recipe/ingredient/eggGrams'
import type { EggUse, LotForm } from '../../recipe/egg/eggPlan'
import { valid } from '../../state/fact'
import { useByOf } from '../dates/useBy'

/** What of one part of the egg was taken, what the method uses, and what is left to be kept or thrown away. Grams. */
export interface PartLine {
  part: EggPart
  taken: number
  used: number
  settled: number
  left: number
}

/** How one lot did: good eggs and rejected ones. */
export interface LotTally {
  lot: Id
  form: LotForm
  cracked: number
  rejected: number
}

/** Less than a third of an egg stays in the bowl. */
const IN_THE_BOWL = 15

const PARTS: readonly EggPart[] = ['whole', 'yolk', 'white']

/** The separation ledger of a batch: a line for each part that was taken. */
export function eggLedger({
  terms,
  facts: { 'eggs-taken': eggs, 'left-over': leftOvers },
}: Pick<BatchState, 'facts' | 'terms'>): PartLine[] {
  const taken = valid(eggs).map(({ value }) => gramsTaken(value))
  return PARTS.flatMap((part) => {
    const has = sum(taken.map((each) => each[part]))
    if (has === 0) return []
    const used = sum(terms.eggs.uses.filter((use) => use.part === part).map(({ grams }) => grams))
    const settled = sum(leftOvers.filter(({ value }) => value.part === part).map(({ value }) => value.grams))
    return [{ part, taken: has, used, settled, left: Math.max(0, round(has - used - settled)) }]
  })
}

/** What is still to be kept or thrown away. */
export function toSettle(batch: Pick<BatchState, 'facts' | 'terms'>): PartLine[] {
  return eggLedger(batch).filter(({ left }) => left >= IN_THE_BOWL)
}

/** Cracked and rejected, lot by lot. */
export function lotTallies({ facts: { 'eggs-taken': eggs } }: Pick<BatchState, 'facts'>): LotTally[] {
  const tallies = new Map<Id, LotTally>()
  for (const { value, void: gone } of eggs) {
    if (gone) continue
    const { lot, form, cracked, rejected } = value
    const so = tallies.get(lot) ?? { lot, form, cracked: 0, rejected: 0 }
    tallies.set(lot, { ...so, cracked: so.cracked + (cracked ?? 0), rejected: so.rejected + rejected })
  }
  return [...tallies.values()]
}

/** More than one shell egg lies in one bowl: a bad one is in all of it. */
export function isPooled(batch: Pick<BatchState, 'facts'>): boolean {
  return sum(lotTallies(batch).map(({ form, cracked }) => (form === 'shell' ? cracked : 0))) > 1
}

/** What the plan takes and no lot was named for yet, nor anything kept from before. */
export function unnamedUses({
  terms,
  facts: { 'eggs-taken': eggs, 'part-used': parts },
}: Pick<BatchState, 'facts' | 'terms'>): BatchState['terms']['eggs']['uses'] {
  const named = (use: EggUse) =>
    valid(eggs).some(({ value }) => covers(value, use)) || valid(parts).some(({ value }) => coversAsPart(value, use))
  return terms.eggs.uses.filter((use) => !named(use))
}

/**
 * What a step of the plan still takes once all that is in it is taken off: eggs cracked or poured there, and whites or yolks
 * from the cold store. Less than a sixth of an egg is the difference between two eggs, and no use of its own.
 */
export function usesMissing(
  { terms, facts: { 'eggs-taken': eggs, 'part-used': parts } }: Pick<BatchState, 'facts' | 'terms'>,
  step: string,
): EggUse[] {
  const taken = valid(eggs).filter(({ value }) => value.step === step)
  const kept = valid(parts).filter(({ value }) => value.step === step)
  return terms.eggs.uses
    .filter((use) => use.step === step)
    .map((use) => {
      const fromEggs = sum(taken.map(({ value }) => gramsTaken(value)[use.part]))
      const fromStore = sum(
        kept
          .filter(({ value }) => value.part.egg === use.part)
          .map(({ value: { measure } }) => (measure.unit === 'g' ? measure.value : 0)),
      )
      return { ...use, grams: round(use.grams - fromEggs - fromStore) }
    })
    .filter(({ grams, part }) => grams > eggGrams(part) / 6)
}

/** How many eggs of a size cover every part that is asked for. */
export function eggsFor(uses: readonly Pick<EggUse, 'part' | 'grams'>[], size: EggSize): number {
  return Math.max(0, ...uses.map(({ part, grams }) => Math.ceil(grams / eggGrams(part, size) - 1 / 6)))
}

/** Whether a part from the cold store is what a use of the plan asks for: whites or yolks that were kept. */
export function coversAsPart(used: PartUsed, { step, part }: Pick<EggUse, 'step' | 'part'>): boolean {
  return used.step === step && used.part.egg === part
}

/** Whether eggs that were taken are what a use of the plan asks for. */
export function covers(taken: EggsTaken, { step, part }: Pick<EggUse, 'step' | 'part'>): boolean {
  return taken.step === step && gramsTaken(taken)[part] > 0
}

/** A left-over of a batch with its lineage: since when it is open, from which lots, and as raw as the rawest of them. */
export function leftOverOf(
  batch: Pick<BatchState, 'id' | 'code' | 'facts'>,
  part: EggPart,
  grams: number,
  then: LeftOver['then'],
  known: readonly Pick<LotState, 'id' | 'code' | 'useBy' | 'dateKind'>[],
  spot: Spot | null = null,
): LeftOver | null {
  const from = batch.facts['eggs-taken'].filter(({ void: gone, value }) => !gone && gramsTaken(value)[part] > 0)
  if (from.length === 0) return null
  const lots = [...new Set(from.map(({ value }) => value.lot))]
  return {
    batch: batch.id,
    code: batch.code,
    part,
    grams,
    then,
    made: Math.min(...from.map(({ at }): Instant => at)),
    lots,
    useBys: lots.flatMap((id) => {
      const lot = known.find((each) => each.id === id)
      const lastDay = lot ? useByOf(lot) : null
      return lot && lastDay !== null ? [{ name: lot.code, lastDay }] : []
    }),
    spot,
    keepDays: BY_PRODUCT_DAYS[part],
    heat: from.every(({ value }) => value.form === 'pasteurized') ? 'pasteurized' : 'shell',
  }
}

function sum(values: readonly number[]): number {
  return values.reduce((all, value) => all + value, 0)
}

function round(grams: number): number {
  return Math.round(grams * 10) / 10
}
