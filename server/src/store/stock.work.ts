import { stringify } from 'csv-stringify/sync'
import { dayOf, type ItemCard, type UnitCard } from '@logged-thermal/core'
import { clock, dayName, heatStatusWord, measureWords, tracesWords, type Reader } from '@logged-thermal/wording'
import { plainCells } from './plainCells'

export interface Stock {
  reader: Reader
  /** Each an ItemCard as JSON. */
  cards: readonly string[]
  units: readonly Pick<UnitCard, 'id' | 'name'>[]
}

/** What is held, a line an item, for a spreadsheet. */
export function stock({ reader, cards, units }: Stock): string {
  const { zone } = reader
  const nameOf = (id: string | null) => units.find((each) => each.id === id)?.name ?? 'out'
  const lines = cards.map((json) => {
    const card = JSON.parse(json) as ItemCard
    return {
      code: card.code,
      name: card.name,
      left: measureWords(card.left, reader),
      where: nameOf(card.unit),
      shelf: String(card.shelf ?? ''),
      made: `${dayOf(card.made, zone)} ${clock(card.made, reader)}`,
      'last day': card.lastDay ?? (card.frozenDays === null ? '' : `frozen, ${card.frozenDays} days left`),
      weekday: card.lastDay ? dayName(card.lastDay, reader) : '',
      'set by': card.ruledBy,
      heat: heatStatusWord(card.heat, reader),
      allergens: card.allergens.join(' '),
      'may contain': tracesWords(card.mayContain, reader),
      claims: card.claims.join('; '),
      advisory: card.advisory ? 'yes' : '',
      held: card.held ? 'yes' : '',
    }
  })
  return stringify(lines.map(plainCells), { header: true, bom: true })
}
