import type { FamilyKey, Procedure, StepKind } from './method'
import type { Degrees } from '../../ground/temperature'

/** A kind of process with its own hazards: what it carries, and where it spoils as a dessert. */
export interface Family {
  key: FamilyKey
  name: string
  /** Its heat has to meet the egg rows. */
  egg: boolean
  /** Steps without which it cannot be that. */
  needs: StepKind[]
  /** Above this it spoils as a dessert: quality, never law. A house default. */
  ceiling: Degrees | null
  cooling: Procedure['cooling']
  /** Crumb and dry pieces: a bake that the lead has validated closes its floor, and it may be kept dry, without cold. */
  crumb: boolean
  /** House keeping days to begin with. */
  houseDays: number
  /** What goes wrong in it. */
  hazard: string
}

const family = (
  key: FamilyKey,
  name: string,
  needs: StepKind[],
  ceiling: Degrees | null,
  cooling: Procedure['cooling'],
  houseDays: number,
  hazard: string,
): Family => ({
  key,
  name,
  egg: EGG.includes(key),
  crumb: CRUMB.includes(key),
  needs,
  ceiling,
  cooling,
  houseDays,
  hazard,
})

/** Baked through and dry: no egg in it stays soft. */
const CRUMB: FamilyKey[] = ['baked-crumb', 'sponge', 'dry-baked']
const EGG: FamilyKey[] = [
  'sponge',
  'dry-baked',
  'foam-topping',
  'starch-custard',
  'poured-custard',
  'churned-base',
  'heated-nog',
  'fruit-curd',
  'yolk-foam',
  'white-foam',
  'baked-custard',
  'baked-crumb',
]
const at = (c: number, f: number): Degrees => ({ c, f })
const KEPT: StepKind[] = ['cool', 'hold']

/** Every family that ships. Ceilings and days are house defaults; the rule set's maximum always wins. */
export const families: Record<FamilyKey, Family> = Object.fromEntries(
  [
    family(
      'starch-custard',
      'Starch-set custard',
      ['cook', 'boil out', ...KEPT],
      null,
      'stages',
      3,
      'Boil skipped, egg added after the last heat, thick and slow to cool',
    ),
    family(
      'poured-custard',
      'Poured custard',
      ['cook', ...KEPT],
      at(85, 185),
      'stages',
      3,
      'One touch of the target and off: no hold; milk temperature credited to the mix',
    ),
    family(
      'churned-base',
      'Churned custard base',
      ['cook', ...KEPT],
      at(85, 185),
      'stages',
      3,
      'Hot, lidded, deep; ageing overnight unwatched',
    ),
    family(
      'heated-nog',
      'Heated nog',
      ['cook', ...KEPT],
      at(82, 180),
      'stages',
      3,
      'Spirit gets no credit; foam added raw',
    ),
    family(
      'fruit-curd',
      'Fruit curd',
      ['cook', ...KEPT],
      at(88, 190),
      'stages',
      5,
      'Low heat for long; keeping time by folklore',
    ),
    family(
      'yolk-foam',
      'Yolk foam',
      ['cook', 'hold'],
      at(82, 180),
      'stages',
      2,
      "The syrup's temperature is not the foam's",
    ),
    family('white-foam', 'White foam', ['whip', 'hold'], at(75, 167), 'ambient', 2, 'A browned top proves nothing'),
    family('mousse', 'Mousse', ['fold', ...KEPT], null, 'ambient', 2, 'Raw egg that no step heats'),
    family(
      'gelatine-cream',
      'Gelatine-set cream',
      ['heat dairy', ...KEPT],
      at(90, 194),
      'stages',
      3,
      'Poured hot into many small moulds in one refrigerator',
    ),
    family(
      'acid-cream',
      'Acid-set cream',
      ['heat dairy', ...KEPT],
      null,
      'stages',
      3,
      'Thickening taken for safety; pH not measured',
    ),
    family(
      'fruit-jelly',
      'Fruit jelly layer',
      ['cook', ...KEPT],
      null,
      'stages',
      3,
      'Re-melted layers; untreated frozen berries',
    ),
    family(
      'baked-custard',
      'Baked custard',
      ['bake'],
      at(85, 185),
      'stages',
      3,
      'Oven setting is not core temperature',
    ),
    family(
      'baked-crumb',
      'Baked crumb, dry pieces',
      ['bake', 'hold'],
      null,
      'dry',
      3,
      'Raw in the middle; filled or soaked, it needs the cold again',
    ),
    family(
      'enriched-custard',
      'Enriched custard',
      ['fold', ...KEPT],
      null,
      'ambient',
      2,
      'Room time while whipping and piping',
    ),
    family('assembly', 'Layered assembly', ['assemble', 'hold'], null, 'ambient', 2, 'Oldest part forgotten'),
    family('whipped-cream', 'Whipped cream', ['whip', 'hold'], null, 'ambient', 2, 'Age unknown; piping bag warm'),
    family(
      'sponge',
      'Sponge',
      ['bake', 'hold'],
      null,
      'dry',
      3,
      'Raw in the middle; soaked or filled, it needs the cold',
    ),
    family(
      'dry-baked',
      'Wafers, meringues, dry baked',
      ['bake', 'hold'],
      null,
      'dry',
      7,
      'Dried outside and soft inside is raw egg; only what is crisp through keeps without cold',
    ),
    family(
      'filled-pastry',
      'Filled pastry',
      ['assemble', 'hold'],
      null,
      'ambient',
      2,
      'Minutes out of the cold while it is filled; the oldest filling dates it',
    ),
    family(
      'foam-topping',
      'Foam topping',
      ['whip', 'hold'],
      at(75, 167),
      'ambient',
      1,
      'Raw whites make all of it raw, also browned: colour proves nothing',
    ),
    family(
      'cooked-fruit',
      'Roast or stewed fruit',
      ['cook', ...KEPT],
      null,
      'stages',
      3,
      'No floor, for it holds no egg; frozen fruit that nobody treated has to boil. Warm on a set cream it warms that too',
    ),
    family(
      'syrup-sauce',
      'Syrup or sauce',
      ['cook', ...KEPT],
      null,
      'stages',
      5,
      'No floor without egg; with cream or egg in it, it is a custard by its limits whatever it is called',
    ),
    family(
      'glaze',
      'Glaze or icing',
      KEPT,
      null,
      'stages',
      3,
      'Melted again and again; crumbs and cream in it; raw white makes it raw',
    ),
    family(
      'bought-opened',
      'Bought and opened',
      ['hold'],
      null,
      'ambient',
      2,
      'No heat here: its maker’s date rules, and its days once opened',
    ),
    family('by-product', 'By-product', ['hold'], null, 'ambient', 2, 'Tub without date or heat status'),
  ].map((each) => [each.key, each]),
) as Record<FamilyKey, Family>
