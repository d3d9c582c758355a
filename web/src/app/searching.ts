import { families, factsOf, type Method } from '@logged-thermal/core'
import { methodMatches } from './methodMatches'
import type { LineData } from './lineData'

/** One thing that was found: what it is, and where it is looked at. */
export interface Found {
  kind: 'batch' | 'item' | 'lot' | 'method' | 'person' | 'unit' | 'instrument' | 'gone'
  id: string
  name: string
  /** Its code first, then what tells it from others of its name. */
  says: string
  path: string
}

/**
 * Batches, items, lots, methods, people, cold units and instruments of the kitchen whose name or code has every word of a text in it.
 * @param text nothing is found by an empty one
 */
export function foundIn(line: LineData, text: string): Found[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean)
  if (words.length === 0) return []
  const has = (...said: string[]) => words.every((word) => said.join(' ').toLowerCase().includes(word))
  const methodOf = (id: string): Method | null => line.methods.find((state) => state.id === id)?.versions.at(-1) ?? null
  return [
    ...line.batches
      .filter(({ code, method }) => has(method.name, code))
      .map(({ id, code, method }): Found => ({
        kind: 'batch',
        id,
        name: method.name,
        says: code,
        path: `/bench/${id}`,
      })),
    ...line.items
      .filter(({ name, code }) => has(name, code))
      .map(({ id, name, code }): Found => ({ kind: 'item', id, name, says: code, path: `/store/item/${id}` })),
    ...line.lots
      .filter(({ code, name, supplier }) => has(code, name, supplier))
      .map(({ id, code, name, supplier }): Found => ({
        kind: 'lot',
        id,
        name,
        says: `${code} ${supplier}`,
        path: `/store/lineage/lot/${id}`,
      })),
    ...line.methods.flatMap(({ id }): Found[] => {
      const method = methodOf(id)
      if (!method || !methodMatches(method, text, factsOf(method, methodOf))) return []
      return [{ kind: 'method', id, name: method.name, says: families[method.family].name, path: `/methods/${id}` }]
    }),
    ...line.people
      .filter(({ name, job }) => has(name, job))
      .map(({ id, name, job }): Found => ({ kind: 'person', id, name, says: job, path: `/people/${id}` })),
    ...line.units
      .filter(({ name }) => has(name))
      .map(({ id, name }): Found => ({ kind: 'unit', id, name, says: '', path: `/store/unit/${id}` })),
    ...line.instruments
      .filter(({ code, place }) => has(code, place ?? ''))
      .map(({ id, code, place }): Found => ({
        kind: 'instrument',
        id,
        name: code,
        says: place ?? '',
        path: `/instruments/${id}`,
      })),
  ]
}

/** What somebody logged, or what stood in a unit, in the last month. */
export function inLog(of: 'person' | 'unit', id: string): string {
  return `/log?${of}=${id}&days=31`
}
