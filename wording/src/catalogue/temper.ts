/** Tempering: what each ladle does. */
export const temperMessages = {
  eggsAt: 'Eggs at, °{scale}',
  hotLiquidAt: 'Hot liquid at, °{scale}',
  howManyLadles: 'How many ladles',
  oneLadleLess: 'One ladle less',
  ladlesLadles: '{ladles} ladles',
  oneLadleMore: 'One ladle more',
  bothTemperaturesNeededAs: 'Both temperatures are needed, in °{scale}, as 18 or 82.5: from {shown} to {shown2}.',
  eggMixtureHotLiquid: '{grams} of egg mixture, {grams2} of hot liquid.',
  firstLadleAtMost: 'First ladle at most',
  raisesEggsByNo:
    'it raises the eggs by no more than {value}°{hasOnset, select, true {, and stays under {degrees}, where they begin to set} other {}}',
  heatBalanceWithoutLoss:
    'A heat balance without loss: an upper bound. Sugar and dilution let the eggs bear more than alone; that is not promised here.',
  afterEachLadle: 'After each ladle',
  tooMuchAtOnce:
    '{grams} in{hasI, select, true {, too much at once} other {}}{hasOnset, select, true {, eggs alone would set} other {}}',
  pourOnEggsLadle: 'Pour on the eggs, ladle by ladle',
  nothingPouredOnEgg: 'Nothing is poured on egg in this method.',
  howMuchAtOnce: 'How much at once?',
  whatEachLadleDoes: 'What each ladle does to the eggs.',
  writeDownHowMany: 'Write down how many grams of egg, and of milk or cream, are there: numbers above 0.',
} as const
