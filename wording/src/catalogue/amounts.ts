/** Amounts as people write them, and what they come to. */
export const amountMessages = {
  howMuch: 'How much',
  asEggs: '6 large eggs, 110 g …',
  asCups: '250 g, 2 cups, 1½ tsp …',
  comesTo: '{grams}{hasAssumed, select, true {: {assumed}} other {}}',
  whichIsIt: 'Which of the two it is',
  measureOf: 'a {system, select, metric {metric} other {{system}}} {unit} of {ml, number} ml',
  densityOf: '{gramsPerMl, number} g a millilitre',
  eggOf: 'eggs {size}, {grams, number} g each',
  oneOf: '{grams, number} g each {unit}',
  middleOf: 'the middle of {from, number} to {to, number}',
  takenAsGrams: 'taken as grams',
  readingOf:
    '{quantity, number} {unit, select, cup {{quantity, plural, one {cup} other {cups}}} pint {{quantity, plural, one {pint} other {pints}}} quart {{quantity, plural, one {quart} other {quarts}}} gallon {{quantity, plural, one {gallon} other {gallons}}} other {{unit}}}{unit, select, oz {, weighed} other { ({system})}} = {grams}',
  noNumber: 'How much? As “250 g”, “1½ cups” or “6 large eggs”.',
  notPositive: 'An amount is a number above 0.',
  unknownWord: '“{word}” is no measure known here. Write grams, cups, spoons, ounces or pieces.',
  weighIt: 'How heavy a {unit} of this is differs too much. Weigh it, and write grams.',
  noSize: 'One {unit} of this has no usual weight. Write grams, as they stand on the package.',
} as const
