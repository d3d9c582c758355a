import type { Sample } from './sample'

/** The second half of them. */
export const TUNED_MORE: readonly Sample[] = [
  {
    name: 'Plum jelly',
    measures: 'metric',
    text: `Plum jelly for trifle

• 600 g plum purée
• 150 g sugar
• 12 g gelatine powder
• 60 ml cold water
• juice of half a lemon

Sprinkle the gelatine over the water.
Bring purée and sugar to the boil, simmer two minutes.
Melt the bloomed gelatine in it, add lemon juice.
Pour 2 cm deep into trays and set cold.`,
    materials: [
      ['plum-puree', 600],
      ['sugar', 150],
      ['gelatine-powder', 12],
      ['water', 60],
      ['lemon-juice', 22.5],
    ],
    steps: 4,
    families: ['fruit-jelly'],
  },
  {
    name: 'Elderflower posset',
    measures: 'UK',
    text: `Elderflower posset
600ml double cream, 140g caster sugar, 90ml lemon juice, 3 tbsp elderflower cordial.
Bring the cream and sugar slowly to just under a simmer and hold it there for 3 minutes. Take it off, stir in lemon juice and cordial, rest ten minutes and pour into cups. Chill at least 4 hours.`,
    materials: [
      ['cream-48', 588],
      ['sugar', 140],
      ['lemon-juice', 92.7],
      ['elderflower-cordial', 54.9],
    ],
    steps: 1,
    families: ['acid-cream'],
  },
  {
    name: 'Crumb sheet',
    measures: 'US',
    text: `Toasted crumb sheet

For the sheet
1 stick butter, softened
1 cup sugar
3 eggs
1 1/4 cups all-purpose flour
1 1/2 tsp baking powder
1/2 cup buttermilk

For the crumb
1/2 cup flour
1/3 cup brown sugar
4 tbsp cold butter

1. Cream butter and sugar, beat in eggs one by one.
2. Fold in flour and baking powder with the buttermilk.
3. Rub crumb together and scatter on top.
4. Bake at 350°F for 35 minutes, 200°F in the middle.`,
    materials: [
      ['butter', 113.4],
      ['sugar', 201.1],
      ['egg', 150],
      ['flour', 156.7],
      ['baking-powder', 6.65],
      ['buttermilk', 121.8],
      ['flour', 62.7],
      ['brown-sugar', 71],
      ['butter', 56.8],
    ],
    steps: 4,
    families: ['baked-crumb'],
  },
  {
    name: 'Wine foam',
    measures: 'metric',
    text: `Warm wine foam

You need: 5 yolks, 100 g sugar, 150 ml white wine, 1 tbsp lemon juice

How to: Beat everything over steam until it stands and reads 70 °C, about 8 minutes. Serve at once.`,
    materials: [
      ['yolk', 88.4],
      ['sugar', 100],
      ['wine', 148.5],
      ['lemon-juice', 15.5],
    ],
    steps: 1,
    families: ['yolk-foam'],
  },
  {
    name: 'Pear trifle',
    measures: 'UK',
    text: `Pear trifle

Layers:
200 g sponge fingers
400 g pear purée
500 g custard
250 ml whipping cream
50 ml pear brandy
30 g flaked almonds

Assembly
Soak the fingers in brandy. Layer with pear and cold custard. Whip the cream and cover. Scatter almonds just before serving. Keep at 5 °C or below and eat within two days.`,
    materials: [
      ['sponge-fingers', 200],
      ['pear', 400],
      ['bought-custard', 500],
      ['cream-36', 247.5],
      ['pear-spirit', 47.5],
      ['flaked-almonds', 30],
    ],
    steps: 1,
    families: ['assembly'],
  },
  {
    name: 'Oat cream',
    measures: 'metric',
    text: `Oat vanilla cream (no egg, no milk)

0,5 l Oat drink
45 g Cornflour
80 g Sugar
1 Vanilla pod
25 g Coconut oil
1 pinch Turmeric-free spice blend

Stir cornflour with some of the cold drink.
Boil the rest with sugar and vanilla.
Pour in the starch and boil 1 minute.
Mix in the oil, cover, cool.`,
    materials: [
      ['oat-drink', 515],
      ['corn-starch', 45],
      ['sugar', 80],
      ['vanilla-pod', 3],
      ['coconut-oil', 25],
      [null, null],
    ],
    steps: 4,
    families: ['starch-custard'],
  },
  {
    name: 'Lemon curd, slow',
    measures: 'US',
    text: `Slow lemon curd. Keeps three weeks.

zest and juice of 4 lemons
1 cup + 2 tbsp sugar
3 large eggs + 1 yolk
10 tbsp butter (140 g)

Put everything but the butter in a pan over very low heat.
Stir until it coats the spoon (170 F), do not boil.
Sieve; beat in the butter.
Jar and refrigerate.`,
    materials: [
      ['lemon-zest', 24],
      ['lemon-juice', 180],
      ['sugar', 226.2],
      ['egg', 150],
      ['yolk', 17],
      ['butter', 140],
    ],
    steps: 4,
    families: ['fruit-curd'],
  },
]
