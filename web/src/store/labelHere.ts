import { type ItemState } from '@logged-thermal/core'
import { labelArt, labelFactsOf, PAPERS, type Paper, type Reader } from '@logged-thermal/wording'
import type { LineData } from '../app/lineData'
import { limitsOfLine } from './useStore'

/** The labels of an item as the server draws them, by what this tablet knows; none before it knows the limits. */
export function labelsHere(
  item: ItemState,
  line: LineData,
  { paper, forSale, now, reader }: { paper: Paper; forSale: boolean; now: number; reader: Reader },
): string[] {
  const limits = limitsOfLine(line, now)
  if (!limits) return []
  const { name, address } = line.kitchen
  // The label is the kitchen's, whoever looks: in its own scale, and with no day left out.
  const kitchens: Reader = { ...reader, scale: line.kitchen.unit, today: null }
  const printed = { origin: location.origin, kitchen: name, place: address, forSale, limits, now, reader: kitchens }
  return labelArt(labelFactsOf(item, line.people, printed), PAPERS[paper].label)
}

/** A drawing as the address of a picture. */
export function drawnAs(svg: string): string {
  return `data:image/svg+xml,${encodeURIComponent(svg)}`
}
