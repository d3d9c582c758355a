import { catalogue, lotShut, type Day, type EggPart, type LotForm, type LotState } from '@logged-thermal/core'
import { dayName, type Reader, eggsMessages } from '@logged-thermal/wording'
import { speaks } from '../kit/language'

const say = speaks(eggsMessages)

/** A lot that is egg: in the shell or pasteurized. */
export type LotOfEgg = LotState & { ingredient: string; form: LotForm }

/** A lot of egg, with what of the egg it holds. */
export interface EggLot {
  lot: LotOfEgg
  part: EggPart
}

/** The egg among the kitchen's lots that was not sent back, the latest first. */
export function eggLots(lots: readonly LotState[]): EggLot[] {
  return lots
    .flatMap((lot): EggLot[] => {
      const { ingredient, form, verdict } = lot
      const part = ingredient === null ? null : (catalogue[ingredient]?.egg ?? null)
      if (!part || ingredient === null || form === null || verdict === 'refuse') return []
      return [{ lot: { ...lot, ingredient, form }, part }]
    })
    .sort((a, b) => b.lot.receivedAt - a.lot.receivedAt)
}

/** Why a lot may not be taken on a day, whatever it is for; null when it may. */
export function lotShutWord(lot: LotState, day: Day, reader: Reader): string | null {
  switch (lotShut(lot, day)) {
    case 'called back':
      return say('calledBack')
    case 'not accepted':
      return say('heldLeadDecides')
    case 'past its day':
      return say('usedBy', { day: dayName(lot.useBy!, reader) })
    case null:
      return null
  }
}
