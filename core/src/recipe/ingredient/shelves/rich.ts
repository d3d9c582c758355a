import { shelf } from './shelf'

/** Chocolate, nuts, seeds and fats. */
export const RICH = [
  ...shelf({ allergens: ['soy'] }, [
    ['dark-chocolate', 'Dark chocolate', [1.4, 7.8, 42.6, 45.9, 2.3], 0.7],
    ['dark-chocolate-70', 'Dark chocolate 70 %', [1, 8.5, 42, 37, 2.3], 0.7],
  ]),
  ...shelf({ origin: 'milk', allergens: ['milk', 'soy'] }, [
    ['milk-chocolate', 'Milk chocolate', [1.3, 7.5, 32, 56.5, 1.7], 0.7],
    ['white-chocolate', 'White chocolate', [1.3, 5.9, 32.1, 59.2, 1.5], 0.7],
    ['blond-chocolate', 'Caramelized white chocolate', [1.2, 6, 33, 58.2, 1.6], 0.7],
    [
      'milk-chocolate-spread',
      'Chocolate hazelnut spread',
      [1, 6, 33, 56, 1.5],
      1.2,
      { allergens: ['milk', 'soy', 'tree nuts'] },
    ],
  ]),
  ...shelf({}, [
    ['cocoa', 'Cocoa powder', [3, 19.6, 13.7, 24.7, 5.8], 0.42],
    ['cocoa-mass', 'Cocoa mass', [1.3, 13, 53, 15, 3.2], 0.7],
    ['cocoa-butter', 'Cocoa butter', [0, 0, 100, 0, 0], 0.9],
    ['cocoa-nibs', 'Cocoa nibs', [3, 13, 49, 17, 3], 0.5],
    ['coconut-oil', 'Coconut oil', [0, 0, 100, 0, 0], 0.92],
    ['sunflower-oil', 'Sunflower oil', [0, 0, 100, 0, 0], 0.92],
    ['rapeseed-oil', 'Rapeseed oil', [0, 0, 100, 0, 0], 0.92],
    ['olive-oil', 'Olive oil', [0, 0, 100, 0, 0], 0.91],
    ['margarine', 'Margarine', [17, 0.2, 80.5, 0.6, 1.7], 0.96],
    ['poppy-seed', 'Poppy seed', [6, 18, 41.6, 8.6, 6.3], 0.6, { lookedAt: true }],
    ['pumpkin-seed', 'Pumpkin seeds', [5.2, 30.2, 49, 4.7, 4.8], 0.55],
    ['sunflower-seed', 'Sunflower seeds', [4.7, 20.8, 51.5, 11.4, 3], 0.55],
    ['flax-seed', 'Linseed', [7, 18.3, 42.2, 1.6, 3.7], 0.65],
    ['chia', 'Chia seeds', [5.8, 16.5, 30.7, 7.7, 4.8], 0.65],
    ['pine-nut', 'Pine nuts', [2.3, 13.7, 68.4, 9.4, 2.6], 0.58, { lookedAt: true }],
    ['lard', 'Lard', [0, 0, 100, 0, 0], 0.9, { origin: 'land animal', needsCold: true }],
  ]),
  ...shelf({ allergens: ['tree nuts'], lookedAt: true }, [
    ['hazelnut', 'Hazelnut paste', [2, 15, 62, 10, 2.3], 1.08],
    ['hazelnuts', 'Hazelnuts', [5.3, 15, 60.8, 7, 2.3], 0.57],
    ['hazelnut-praline', 'Hazelnut praline paste', [1.5, 8, 34, 50, 1.5], 1.2],
    ['almond', 'Ground almonds', [5, 21, 50, 9, 3], 0.42],
    ['almonds', 'Almonds', [4.4, 21.2, 49.9, 9.1, 3], 0.6],
    ['flaked-almonds', 'Flaked almonds', [4.5, 21.2, 50.6, 9, 3], 0.4],
    ['almond-butter', 'Almond paste, pure', [1.7, 21, 55.5, 8.5, 3.1], 1.05],
    ['walnut', 'Walnuts', [4, 15.2, 65.2, 7, 1.8], 0.5],
    ['pecan', 'Pecans', [3.5, 9.2, 72, 4.3, 1.5], 0.46],
    ['pistachio', 'Pistachios', [4.4, 20.2, 45.3, 16.6, 3], 0.6],
    ['pistachio-paste', 'Pistachio paste', [2, 19, 50, 16, 2.8], 1.08],
    ['cashew', 'Cashews', [5.2, 18.2, 43.9, 26.9, 2.5], 0.6],
    ['macadamia', 'Macadamias', [1.4, 7.9, 75.8, 5.2, 1.1], 0.57],
    ['brazil-nut', 'Brazil nuts', [3.4, 14.3, 67.1, 4.2, 3.5], 0.6],
  ]),
  ...shelf({ allergens: ['peanut'], lookedAt: true }, [
    ['peanut', 'Peanuts', [6.5, 25.8, 49.2, 7.6, 2.3], 0.6],
    ['peanut-butter', 'Peanut butter', [1.2, 22.5, 51, 17, 3], 1.08],
  ]),
  ...shelf({ allergens: ['sesame'] }, [
    ['sesame', 'Sesame seeds', [4.7, 17.7, 49.7, 11.7, 4.5], 0.6],
    ['tahini', 'Tahini', [3, 17, 53.8, 12, 5], 1.02],
  ]),
]
