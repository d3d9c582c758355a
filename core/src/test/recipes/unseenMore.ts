import type { Sample } from './sample'

/** The second half of them. */
export const UNSEEN_MORE: readonly Sample[] = [
  {
    name: 'Cherry jelly',
    measures: 'US',
    text: `Cherry wine jelly

2 cups cherry purée
1/2 cup red wine
1/3 cup sugar
2 envelopes unflavored gelatin
2 tablespoons lemon juice

Bloom gelatin in the wine for 5 minutes.
Simmer purée and sugar for 3 minutes.
Off heat, dissolve the gelatin in the hot purée; add lemon juice.
Pour into a pan and chill until set, about 3 hours.`,
    materials: [
      ['cherry-puree', 496.8],
      ['red-wine', 117.1],
      ['sugar', 67],
      ['gelatine-powder', 14],
      ['lemon-juice', 30.5],
    ],
    steps: 4,
    families: ['fruit-jelly'],
  },
  {
    name: 'Lime posset',
    measures: 'metric',
    text: `Lime posset
Double cream 800 g
Sugar 220 g
Lime juice 120 g
Lime zest 6 g

Cook cream and sugar to 92 °C for two minutes. Add juice and zest. Pour, cool 30 minutes, then chill.`,
    materials: [
      ['cream-48', 800],
      ['sugar', 220],
      ['lime-juice', 120],
      ['lime-zest', 6],
    ],
    steps: 1,
    families: ['acid-cream'],
  },
  {
    name: 'Honey cake',
    measures: 'metric',
    text: `### Honey cake

| Ingredient | Amount |
| --- | --- |
| Honey | 250 g |
| Butter | 125 g |
| Eggs | 3 |
| Plain flour | 300 g |
| Ground hazelnuts | 80 g |
| Baking powder | 2 tsp |
| Cinnamon | 1 tsp |

### Steps

1. Warm honey and butter until melted, cool to 40 °C.
2. Beat in eggs.
3. Stir in flour, nuts, baking powder and cinnamon.
4. Bake 45 minutes at 170 °C.`,
    materials: [
      ['honey', 250],
      ['butter', 125],
      ['egg', 156],
      ['flour', 300],
      ['hazelnuts', 80],
      ['baking-powder', 9],
      ['cinnamon', 2.65],
    ],
    steps: 4,
    families: ['baked-crumb'],
  },
  {
    name: 'Fortified foam',
    measures: 'US',
    text: `Warm fortified-wine foam

6 egg yolks
6 tablespoons sugar
1/2 cup fortified wine

Whisk yolks and sugar in a bowl over barely simmering water.
Add the wine and keep whisking until thick and 165°F, 10 to 12 minutes.
Spoon over fruit and serve immediately.`,
    materials: [
      ['yolk', 102],
      ['sugar', 75.4],
      ['fortified-wine', 121.8],
    ],
    steps: 3,
    families: ['yolk-foam'],
  },
  {
    name: 'Berry layers',
    measures: 'metric',
    text: `Berry and mascarpone glasses (12)

for the cream
500 g mascarpone
300 g cold custard
200 ml whipping cream, whipped
60 g icing sugar
between
300 g strawberries, washed and cut
150 g butter biscuits, crushed
to finish
some mint

Beat mascarpone with sugar until smooth, fold in custard and cream.
Layer biscuit, cream and strawberries in glasses.
Keep cold and serve the same day, with mint.`,
    materials: [
      ['mascarpone', 500],
      ['bought-custard', 300],
      ['cream-36', 198],
      ['icing-sugar', 60],
      ['strawberries', 300],
      ['butter-biscuit', 150],
      ['mint', null],
    ],
    steps: 3,
    families: ['assembly'],
  },
  {
    name: 'Semolina cream',
    measures: 'metric',
    text: `Semolina flummery

1 l milk
120 g semolina
100 g sugar
40 g butter
1 lemon, zest only
2 eggs, separated

Boil the milk with sugar and zest. Rain in the semolina and simmer 5 minutes, stirring.
Off the heat beat in butter and yolks. Bring back to 75 °C.
Whip the whites and fold in.
Fill moulds and cool.`,
    materials: [
      ['milk', 1030],
      ['semolina', 120],
      ['sugar', 100],
      ['butter', 40],
      ['lemon-zest', 6],
      ['egg', 104],
    ],
    steps: 4,
    families: ['starch-custard'],
  },
  {
    name: 'Maple tart filling',
    measures: 'US',
    text: `Maple custard tart filling (for two 9-inch shells)

1 cup plus 2 tablespoons maple syrup
2 cups half-and-half
4 eggs
2 yolks
3 Tbsp. all-purpose flour
1 tsp. vanilla extract
¼ tsp. kosher salt

1. Heat the oven to 325 F.
2. Reduce the syrup by a third, whisk in the half-and-half.
3. Beat eggs, yolks, flour, vanilla and salt; temper with the warm dairy.
4. Pour into the baked shells and bake 35-40 minutes, until 175 F in the center.
5. Cool one hour on a rack, refrigerate.`,
    materials: [
      ['maple', 353.7],
      ['cream-10', 482.6],
      ['egg', 200],
      ['yolk', 34],
      ['flour', 23.5],
      ['vanilla-extract', 4.34],
      ['flaky-salt', 0.74],
    ],
    steps: 5,
    families: ['baked-custard'],
  },
]
