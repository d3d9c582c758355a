import type { Composition } from '../../physics/material/properties'
import type { Ingredient } from './ingredient'

type Facts = Partial<Omit<Ingredient, 'key' | 'name' | 'composition'>>

/** Mass % of water, protein, fat, carbohydrate, ash; what is missing to 100 is fibre. */
function of(water: number, protein: number, fat: number, carbohydrate: number, ash: number): Composition {
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

function food(key: string, name: string, composition: Composition, facts: Facts = {}): Ingredient {
  const plain = { synonyms: [], allergens: [], origin: 'plant' as const, alcohol: 0, needsCold: false, egg: null }
  return { key, name, composition, ...plain, starch: false, bloom: 0, ...facts }
}

const MILK: Facts = { origin: 'milk', allergens: ['milk'], needsCold: true }
const EGG: Facts = { origin: 'egg', allergens: ['egg'], needsCold: true }
/** Ethanol carries heat much as water does: it is counted as water here, and apart as `alcohol`. */
const SPIRIT = of(100, 0, 0, 0, 0)

/**
 * What methods are made of. Compositions of dairy, egg, sugar, butter, starch, chocolate, citrus and berry are those of
 * the heat computations; the others are rounded from ordinary food tables, and good for heat and labels, not for
 * nutrition claims.
 */
const FOODS: Ingredient[] = [
  food('milk', 'Whole milk', of(88.1, 3.2, 3.3, 4.7, 0.7), { ...MILK, synonyms: ['full-fat milk', 'sweet milk'] }),
  food('skimmed-milk', 'Skimmed milk', of(90.8, 3.4, 0.1, 5, 0.7), { ...MILK, synonyms: ['skim milk', 'nonfat milk'] }),
  food('cream-36', 'Whipping cream 36 %', of(57.9, 2.8, 36, 2.8, 0.5), {
    ...MILK,
    synonyms: ['heavy cream', 'heavy whipping cream'],
  }),
  food('cream-48', 'Double cream 48 %', of(47.5, 1.7, 48, 2.3, 0.5), { ...MILK, synonyms: ['double cream'] }),
  food('cream-18', 'Single cream 18 %', of(74.6, 2.8, 18, 4, 0.6), {
    ...MILK,
    synonyms: ['light cream', 'coffee cream', 'table cream'],
  }),
  food('buttermilk', 'Buttermilk', of(90.1, 3.3, 0.9, 4.9, 0.8), { ...MILK, synonyms: ['cultured buttermilk'] }),
  food('fresh-cheese', 'Fresh cheese', of(74, 8, 12, 5, 1), {
    ...MILK,
    synonyms: ['curd cheese', 'quark', 'farmer cheese'],
  }),
  food('milk-powder', 'Skimmed milk powder', of(3.2, 36.2, 0.8, 52, 7.8), {
    ...MILK,
    needsCold: false,
    synonyms: ['nonfat dry milk', 'skim milk powder'],
  }),
  food('butter', 'Butter', of(17.9, 0.85, 81.1, 0.06, 0.09), { ...MILK, synonyms: ['unsalted butter'] }),
  food('brown-butter', 'Brown butter', of(0.5, 0.6, 98.4, 0.2, 0.3), { ...MILK, needsCold: false }),
  food('egg', 'Whole egg', of(76.1, 12.6, 9.5, 0.7, 1.1), { ...EGG, egg: 'whole', synonyms: ['eggs', 'shelled egg'] }),
  food('yolk', 'Yolk', of(52.3, 15.9, 26.5, 3.6, 1.7), { ...EGG, egg: 'yolk', synonyms: ['egg yolk', 'yolks'] }),
  food('white', 'Egg white', of(87.6, 10.9, 0.2, 0.7, 0.6), { ...EGG, egg: 'white', synonyms: ['whites', 'albumen'] }),
  food('sugar', 'Sugar', of(0, 0, 0, 100, 0), { synonyms: ['caster sugar', 'superfine sugar', 'granulated sugar'] }),
  food('icing-sugar', 'Icing sugar', of(0.3, 0, 0, 99.7, 0), { synonyms: ["confectioners' sugar", 'powdered sugar'] }),
  food('brown-sugar', 'Brown sugar', of(1.3, 0.1, 0, 98.1, 0.5), {
    synonyms: ['light muscovado', 'light brown sugar'],
  }),
  food('glucose', 'Glucose syrup', of(20, 0, 0, 79.8, 0.2), { synonyms: ['corn syrup', 'starch syrup'] }),
  food('dextrose', 'Dextrose', of(8, 0, 0, 92, 0), { synonyms: ['grape sugar', 'glucose powder'] }),
  food('honey', 'Honey', of(17.1, 0.3, 0, 82.4, 0.2), { origin: 'honey' }),
  food('maple', 'Maple syrup', of(32.4, 0, 0.1, 67, 0.5)),
  food('malt', 'Malt extract', of(21, 6, 0.2, 71.6, 1.2), { allergens: ['gluten'], synonyms: ['malt syrup'] }),
  food('corn-starch', 'Cornflour', of(8.3, 0.3, 0.05, 91.25, 0.1), {
    starch: true,
    synonyms: ['corn starch', 'cornstarch', 'maize starch'],
  }),
  food('wheat-starch', 'Wheat starch', of(11, 0.4, 0.2, 88.2, 0.2), { starch: true, allergens: ['wheat', 'gluten'] }),
  food('flour', 'Plain flour', of(12, 10.3, 1, 73.5, 0.5), {
    starch: true,
    allergens: ['wheat', 'gluten'],
    synonyms: ['all-purpose flour', 'soft flour', 'wheat flour'],
  }),
  food('rice-flour', 'Rice flour', of(12, 6, 1.4, 77.7, 0.6), { starch: true }),
  food('custard-powder', 'Custard powder', of(9, 0.4, 0.2, 90, 0.2), {
    starch: true,
    synonyms: ['vanilla pudding powder'],
  }),
  food('gelatine', 'Gelatine leaf, gold', of(12, 85.5, 0.1, 0, 2.4), {
    origin: 'land animal',
    bloom: 200,
    synonyms: ['gelatin sheet', 'leaf gelatine', 'sheet gelatin'],
  }),
  food('gelatine-powder', 'Gelatine powder', of(12, 85.5, 0.1, 0, 2.4), {
    origin: 'land animal',
    bloom: 225,
    synonyms: ['powdered gelatin', 'granulated gelatin'],
  }),
  food('fish-gelatine', 'Fish gelatine', of(12, 85.5, 0.1, 0, 2.4), {
    origin: 'fish',
    allergens: ['fish'],
    bloom: 200,
    synonyms: ['isinglass'],
  }),
  food('agar', 'Agar', of(12, 0.5, 0.2, 3, 3.5), { synonyms: ['agar-agar', 'kanten'] }),
  food('pectin', 'Pectin', of(10, 0.3, 0.3, 10, 2.4)),
  food('lemon-juice', 'Lemon juice', of(92.3, 0.35, 0.24, 6.9, 0.2), { synonyms: ['citrus juice'] }),
  food('buckthorn', 'Sea-buckthorn juice', of(86.8, 1.2, 4, 7.2, 0.5), {
    needsCold: true,
    synonyms: ['seaberry juice'],
  }),
  food('berry-puree', 'Berry purée', of(85.8, 1.2, 0.65, 11.85, 0.5), {
    needsCold: true,
    synonyms: ['berry puree', 'coulis'],
  }),
  food('quince', 'Quince purée', of(83.8, 0.4, 0.1, 13.4, 0.4), { needsCold: true }),
  food('pear', 'Pear purée', of(84, 0.4, 0.1, 12.1, 0.3), { needsCold: true }),
  food('chestnut', 'Chestnut purée', of(52, 2, 1.2, 39.6, 1), { needsCold: true, synonyms: ['crème de marrons'] }),
  food('rhubarb', 'Rhubarb', of(93.6, 0.9, 0.2, 2.7, 0.8), { needsCold: true, fresh: true }),
  food('fresh-berries', 'Fresh berries', of(87, 0.9, 0.4, 6.5, 0.5), {
    needsCold: true,
    fresh: true,
    synonyms: ['currants', 'raspberries', 'strawberries'],
  }),
  food('fresh-herbs', 'Fresh herbs', of(85, 3.3, 0.7, 5.3, 1.8), {
    needsCold: true,
    fresh: true,
    synonyms: ['mint leaves', 'verbena', 'basil'],
  }),
  food('edible-flowers', 'Edible flowers', of(86, 1.5, 0.4, 8, 1), {
    needsCold: true,
    fresh: true,
    synonyms: ['violets', 'elderflowers', 'rose petals'],
  }),
  food('dark-chocolate', 'Dark chocolate', of(1.4, 7.8, 42.6, 45.9, 2.3), {
    allergens: ['soy'],
    synonyms: ['bittersweet chocolate', 'couverture'],
  }),
  food('white-chocolate', 'White chocolate', of(1.3, 5.9, 32.1, 59.2, 1.5), {
    origin: 'milk',
    allergens: ['milk', 'soy'],
  }),
  food('hazelnut', 'Hazelnut paste', of(2, 15, 62, 10, 2.3), { allergens: ['tree nuts'], synonyms: ['filbert paste'] }),
  food('almond', 'Ground almonds', of(5, 21, 50, 9, 3), { allergens: ['tree nuts'], synonyms: ['almond meal'] }),
  food('walnut', 'Walnuts', of(4, 15.2, 65.2, 7, 1.8), { allergens: ['tree nuts'] }),
  food('sponge', 'Sponge', of(30, 7, 8, 53, 1.2), {
    origin: 'egg',
    allergens: ['wheat', 'gluten', 'egg'],
    synonyms: ['sponge cake', 'ladyfingers'],
  }),
  food('coffee', 'Ground coffee', of(3, 13, 15, 45, 4), { synonyms: ['chicory coffee'] }),
  food('spice', 'Herbs and spices', of(8, 10, 8, 50, 7), {
    synonyms: ['bay leaf', 'thyme', 'juniper', 'caraway', 'vanilla'],
  }),
  food('salt', 'Salt', of(0.2, 0, 0, 0, 99.8), { synonyms: ['fine salt', 'sea salt'] }),
  food('citric-acid', 'Citric acid', of(0.5, 0, 0, 99.5, 0), { synonyms: ['sour salt'] }),
  food('water', 'Water', of(100, 0, 0, 0, 0)),
  food('wine', 'White wine', of(97, 0.1, 0, 2.6, 0.3), { alcohol: 0.1, allergens: ['sulphites'] }),
  food('cider', 'Pear cider', of(94.8, 0, 0, 5, 0.2), {
    alcohol: 0.044,
    allergens: ['sulphites'],
    synonyms: ['perry', 'hard cider'],
  }),
  food('fortified-wine', 'Fortified wine', of(85.5, 0.2, 0, 14, 0.3), { alcohol: 0.165, allergens: ['sulphites'] }),
  food('spirit', 'Spirit 40 %', SPIRIT, { alcohol: 0.334, synonyms: ['rum', 'brandy', 'hard liquor'] }),
  food('oat-drink', 'Oat drink', of(90, 1, 1.5, 6.5, 0.4), { allergens: ['gluten'], synonyms: ['oat milk'] }),
  food('soy-drink', 'Soya drink', of(91, 3.3, 1.8, 2.6, 0.7), {
    allergens: ['soy'],
    needsCold: true,
    synonyms: ['soy milk'],
  }),
]

/** Every ingredient that ships, by key. */
export const catalogue: Readonly<Record<string, Ingredient>> = Object.fromEntries(FOODS.map((each) => [each.key, each]))

/** Ingredients whose name or a synonym begins a word with the text, the nearest name first. */
export function findIngredients(text: string): Ingredient[] {
  const wanted = text.trim().toLowerCase()
  if (wanted === '') return FOODS
  const rank = ({ name, synonyms }: Ingredient) =>
    [name, ...synonyms]
      .map((each) => each.toLowerCase())
      .findIndex((each) => each.startsWith(wanted) || each.includes(` ${wanted}`))
  return FOODS.filter((each) => rank(each) >= 0).sort((a, b) => rank(a) - rank(b) || a.name.localeCompare(b.name))
}
