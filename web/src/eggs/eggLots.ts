import { catalogue, type EggPart, type LotForm, type LotState } from '@logged-thermal/core'

/** A lot of egg, with what of the egg it holds. */
export interface EggLot {
  lot: LotState
  form: LotForm
  part: EggPart
}

/** The egg among the kitchen's lots, the latest first. */
export function eggLots(lots: readonly LotState[]): EggLot[] {
  return lots
    .flatMap((lot): EggLot[] => {
      const part = catalogue[lot.ingredient]?.egg ?? null
      return part ? [{ lot, form: lot.form, part }] : []
    })
    .sort((a, b) => b.lot.receivedAt - a.lot.receivedAt)
}
