import { shelf } from './shelf'

/** Starches, flours, what sets and what thickens. */
export const STARCHES = [
  ...shelf({ starch: true }, [
    ['corn-starch', 'Cornflour', [8.3, 0.3, 0.05, 91.25, 0.1], 0.54],
    ['potato-starch', 'Potato starch', [14, 0.1, 0.1, 85.3, 0.3], 0.65],
    ['tapioca-starch', 'Tapioca starch', [11, 0.2, 0, 88, 0.1], 0.5],
    ['tapioca-pearls', 'Tapioca pearls', [11, 0.2, 0, 87.8, 0.1], 0.65],
    ['arrowroot', 'Arrowroot', [11.4, 0.3, 0.1, 84.7, 0.1], 0.54],
    ['rice-starch', 'Rice starch', [12, 0.5, 0.1, 87, 0.2], 0.5],
    ['custard-powder', 'Custard powder', [9, 0.4, 0.2, 90, 0.2], 0.6],
    ['rice-flour', 'Rice flour', [12, 6, 1.4, 77.7, 0.6], 0.65],
    ['glutinous-rice-flour', 'Glutinous rice flour', [12, 6, 1, 78.5, 0.5], 0.6],
    ['pudding-rice', 'Pudding rice', [13, 6.5, 0.5, 77, 0.5], 0.85],
    ['polenta', 'Polenta', [11, 8, 3.5, 69.5, 1], 0.65],
    ['buckwheat-flour', 'Buckwheat flour', [11, 12.6, 3.1, 61, 2.3], 0.55],
    ['chickpea-flour', 'Chickpea flour', [10, 22, 6.5, 48, 2.7], 0.45],
    ['chestnut-flour', 'Chestnut flour', [11, 6, 3.5, 66, 2], 0.5],
  ]),
  ...shelf({ starch: true, allergens: ['wheat', 'gluten'] }, [
    ['wheat-starch', 'Wheat starch', [11, 0.4, 0.2, 88.2, 0.2], 0.5],
    ['flour', 'Plain flour', [12, 10.3, 1, 73.5, 0.5], 0.53],
    ['cake-flour', 'Cake flour', [12.5, 8.2, 0.9, 76.5, 0.4], 0.48],
    ['bread-flour', 'Strong flour', [13, 12.5, 1.3, 70.3, 0.5], 0.55],
    ['self-raising-flour', 'Self-raising flour', [12, 9.5, 1, 72.5, 2.3], 0.53],
    ['wholemeal-flour', 'Wholemeal flour', [11.5, 13, 2.4, 61.5, 1.5], 0.51],
    ['spelt-flour', 'Spelt flour', [11.5, 12, 1.8, 69.5, 0.8], 0.5],
    ['semolina', 'Semolina', [12.5, 12.5, 1.1, 69.3, 0.8], 0.7],
  ]),
  ...shelf({ starch: true, allergens: ['gluten'] }, [
    ['rye-flour', 'Rye flour', [11, 9, 1.7, 67, 1.3], 0.5],
    ['barley-flour', 'Barley flour', [12, 10.5, 1.6, 65, 1.3], 0.5],
    ['oats', 'Rolled oats', [10, 13, 7, 58, 1.8], 0.38],
  ]),
  ...shelf({ starch: true, allergens: ['lupin'] }, [['lupin-flour', 'Lupin flour', [9, 38, 8, 11, 3], 0.5]]),
  ...shelf({ origin: 'land animal' }, [
    ['gelatine', 'Gelatine leaf, gold', [12, 85.5, 0.1, 0, 2.4], null, { bloom: 200 }],
    ['gelatine-powder', 'Gelatine powder', [12, 85.5, 0.1, 0, 2.4], 0.6, { bloom: 225 }],
  ]),
  ...shelf({ origin: 'fish', allergens: ['fish'] }, [
    ['fish-gelatine', 'Fish gelatine', [12, 85.5, 0.1, 0, 2.4], null, { bloom: 200 }],
  ]),
  ...shelf({}, [
    ['agar', 'Agar', [12, 0.5, 0.2, 3, 3.5], 0.55],
    ['carrageenan', 'Carrageenan', [11, 0.5, 0.2, 5, 15], 0.6],
    ['gellan', 'Gellan', [11, 1, 0.2, 5, 8], 0.6],
    ['pectin', 'Pectin', [10, 0.3, 0.3, 10, 2.4], 0.65],
    ['pectin-low', 'Low-methoxyl pectin', [10, 0.3, 0.3, 10, 2.4], 0.65],
    ['xanthan', 'Xanthan', [11, 5, 0.1, 4, 8], 0.65],
    ['guar', 'Guar gum', [11, 4.6, 0.5, 2, 1], 0.6],
    ['locust-bean', 'Locust bean gum', [12, 5, 0.5, 3, 1], 0.6],
    ['gum-arabic', 'Gum arabic', [11, 2, 0, 3, 3.5], 0.6],
    ['konjac', 'Konjac flour', [10, 2, 0.2, 4, 3], 0.6],
    ['methylcellulose', 'Methylcellulose', [5, 0, 0, 3, 1.5], 0.4],
    ['alginate', 'Sodium alginate', [12, 0, 0, 3, 23], 0.6],
    ['psyllium', 'Psyllium husk', [8, 3, 1, 3, 3], 0.3],
  ]),
]
