import type { Composition } from '../../../physics/material/properties'
import type { Ingredient } from '../ingredient'

export type Facts = Partial<Omit<Ingredient, 'key' | 'name' | 'composition' | 'synonyms' | 'density'>>

/** Mass % of water, protein, fat, carbohydrate, ash; what is missing to 100 is fibre. */
type Percent = readonly [water: number, protein: number, fat: number, carbohydrate: number, ash: number]

/** One food: its name, what it is made of, grams of a millilitre as a cook measures it (null: not by volume), the rest. */
export type Row = readonly [key: string, name: string, composition: Percent, density: number | null, facts?: Facts]

/** Foods of one kind, with what they share. */
export function shelf(shared: Facts, rows: readonly Row[]): Ingredient[] {
  return rows.map(([key, name, composition, density, facts]) => ({
    key,
    name,
    synonyms: [],
    composition: shares(composition),
    density,
    allergens: [],
    origin: 'plant',
    alcohol: 0,
    needsCold: false,
    egg: null,
    starch: false,
    bloom: 0,
    ...shared,
    ...facts,
  }))
}

function shares([water, protein, fat, carbohydrate, ash]: Percent): Composition {
  const fibre = Math.round((100 - water - protein - fat - carbohydrate - ash) * 1000) / 1000
  const share = (percent: number) => Math.round(percent * 1e5) / 1e7
  const rest = fibre > 0 ? { fibre: share(fibre) } : {}
  return {
    water: share(water),
    protein: share(protein),
    fat: share(fat),
    carbohydrate: share(carbohydrate),
    ...rest,
    ash: share(ash),
  }
}
