import type { EggsTaken } from '../ledger/entry'
import type { Measure, MeasureUnit } from '../ground/measure'
import { eggGrams, type EggPart } from '../recipe/ingredient/eggGrams'

/** Grams that an entry of eggs gives, part by part: as weighed, else reckoned from the count. */
export function gramsTaken({ as, cracked, grams, size }: EggsTaken): Record<EggPart, number> {
  const reckoned = (part: EggPart) =>
    grams[part] ?? (cracked === null ? 0 : Math.round(cracked * eggGrams(part, size) * 10) / 10)
  const separated = as === 'separated'
  return {
    whole: as === 'whole' ? reckoned('whole') : 0,
    yolk: separated || as === 'yolk' ? reckoned('yolk') : 0,
    white: separated || as === 'white' ? reckoned('white') : 0,
  }
}

/** What eggs that were taken are of a package: pieces, the rejected ones too, or grams; null where it is held by another unit. */
export function outOfPackage(taken: EggsTaken, unit: MeasureUnit): Measure | null {
  const { cracked, rejected } = taken
  if (unit === 'piece') return cracked === null ? null : { value: cracked + rejected, unit }
  const { whole, yolk, white } = gramsTaken(taken)
  return unit === 'g' ? { value: whole + yolk + white, unit } : null
}
