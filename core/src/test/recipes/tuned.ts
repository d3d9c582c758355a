import type { Sample } from './sample'
import { TUNED_MORE } from './tunedMore'

/** Recipes that the reader of pasted text was written by. All invented. */
export const TUNED: readonly Sample[] = [
  {
    name: 'Bay pouring custard',
    measures: 'metric',
    text: `Bay pouring custard

Ingredients
500 ml whole milk
100 g caster sugar
6 egg yolks
2 bay leaves
a pinch of salt

Method
1. Heat the milk with the bay leaves to 80 °C and leave to infuse for 20 minutes.
2. Whisk the yolks with the sugar and salt.
3. Pour the warm milk over the yolks, whisking.
4. Cook over a low heat, stirring, until it reaches 82 °C.
5. Strain and cool quickly over ice.`,
    materials: [
      ['milk', 515],
      ['sugar', 100],
      ['yolk', 106],
      ['bay', 0.4],
      ['salt', 0.37],
    ],
    steps: 5,
    families: ['poured-custard'],
  },
  {
    name: 'Rye pastry cream',
    measures: 'US',
    text: `RYE PASTRY CREAM
Makes about 3 cups

- 2 cups whole milk
- 1/2 cup granulated sugar
- 5 large egg yolks
- 1/4 cup cornstarch
- 2 tablespoons rye flour
- 2 tbsp unsalted butter, cold, cubed
- 1 tsp vanilla extract

Directions:
Bring milk just to a simmer.
Whisk yolks, sugar, cornstarch and rye flour in a bowl until smooth.
Temper the yolks with half of the hot milk, then return everything to the pot.
Boil for one minute, whisking all the time.
Off the heat, whisk in butter and vanilla.
Press film on the surface and chill.`,
    materials: [
      ['milk', 487],
      ['sugar', 100.5],
      ['yolk', 85],
      ['corn-starch', 31.9],
      ['rye-flour', 14.8],
      ['butter', 28.4],
      ['vanilla-extract', 4.34],
    ],
    steps: 6,
    families: ['starch-custard', 'enriched-custard'],
  },
  {
    name: 'Sea-buckthorn curd',
    measures: 'metric',
    text: `Sea-buckthorn curd (fills 4 jars)

Sea-buckthorn juice    250 g
Sugar                  200 g
Whole eggs             4
Yolks                  2
Butter                 150 g

Warm juice and sugar in a bowl over a pan of simmering water. Beat in eggs and yolks.

Stir until thick, 83°C on the thermometer. Pass through a fine sieve.

Blend in the butter in pieces. Fill jars, cool within two hours.`,
    materials: [
      ['buckthorn', 250],
      ['sugar', 200],
      ['egg', 208],
      ['yolk', 35.4],
      ['butter', 150],
    ],
    steps: 3,
    families: ['fruit-curd'],
  },
  {
    name: 'Set buttermilk cream',
    measures: 'UK',
    text: `## Set buttermilk cream with roast rhubarb

**Ingredients** (serves 6)

For the cream:
* 300ml double cream
* 300ml buttermilk
* 75g caster sugar
* 3 leaves gelatine
* zest of 1 lemon

For the rhubarb:
* 400g rhubarb, cut in batons
* 60g golden syrup

**Method**

1) Soak the gelatine in cold water.
2) Warm the cream, sugar and zest to 65C, take off the heat and melt the gelatine in it.
3) Stir in the buttermilk, pour into glasses and set overnight in the fridge.
4) Roast the rhubarb with the syrup at 180C for 12 minutes. Cool before serving on top.`,
    materials: [
      ['cream-48', 294],
      ['buttermilk', 309],
      ['sugar', 75],
      ['gelatine', 6],
      ['lemon-zest', 6],
      ['rhubarb', 400],
      ['golden-syrup', 60],
    ],
    steps: 4,
    families: ['gelatine-cream', 'acid-cream'],
  },
  {
    name: 'Smoked nog',
    measures: 'US',
    text: `Smoked Nog

12 large eggs
1 1/2 c sugar
1 qt whole milk
1 pint heavy cream
1/2 tsp salt
1 cup dark rum
freshly grated nutmeg, to taste

Step 1: Whisk eggs, sugar and salt in a large pot.
Step 2: Add milk slowly and cook over low heat to 160°F, stirring constantly.
Step 3: Pour into a shallow pan and chill to 40°F.
Step 4: Stir in cream and rum. Serve cold with nutmeg.`,
    materials: [
      ['egg', 600],
      ['sugar', 301.6],
      ['milk', 974.7],
      ['cream-36', 468.4],
      ['salt', 2.96],
      ['rum-dark', 224.8],
      ['nutmeg', null],
    ],
    steps: 4,
    families: ['heated-nog'],
  },
  {
    name: 'Dark mousse',
    measures: 'metric',
    text: `Mousse of dark chocolate, for the bar

Dark chocolate	300	g
Butter	60	g
Egg yolks	5	pcs
Egg whites	6	pcs
Sugar	50	g
Cream 36%	200	g

Melt chocolate with butter to 45 degrees.
Beat in yolks.
Whip whites with sugar to soft peaks, whip the cream.
Fold everything together in three goes.
Pipe into cups and keep cold, eat the same day.`,
    materials: [
      ['dark-chocolate', 300],
      ['butter', 60],
      ['yolk', 88.4],
      ['white', 206],
      ['sugar', 50],
      ['cream-36', 200],
    ],
    steps: 5,
    families: ['mousse'],
  },
  {
    name: 'Walnut churned custard',
    measures: 'US',
    text: `Walnut ice cream base

INGREDIENTS

2 cups (480 ml) heavy cream
1 cup (240 ml) whole milk
3/4 cup (150 g) sugar
6 egg yolks
1 cup (100 g) walnut halves, toasted
1/4 teaspoon fine salt

INSTRUCTIONS

Toast walnuts at 325°F for 10 minutes.

Steep walnuts in the warm milk and cream for 1 hour, then strain.

Whisk yolks, sugar and salt. Temper with the warm dairy.

Cook to 180°F, strain into a bowl over ice.

Age overnight in the refrigerator, then churn and freeze.`,
    materials: [
      ['cream-36', 468],
      ['milk', 247],
      ['sugar', 150],
      ['yolk', 102],
      ['walnut', 100],
      ['salt', 1.48],
    ],
    steps: 5,
    families: ['churned-base'],
  },
  {
    name: 'Baked malt custard',
    measures: 'UK',
    text: `Baked malt custard

Serves eight. Keeps three weeks in the fridge.

1 pint whole milk
½ pint double cream
4 eggs plus 2 yolks
3 oz soft brown sugar
2 tbsp malt extract

Heat oven to 150C/130C fan/gas 2. Warm the milk, cream and malt together. Beat eggs, yolks and sugar and pour the warm milk over. Strain into a dish, set in a tin of hot water.

Bake for 50 minutes until the middle reads 80C and just trembles. Cool at room temperature no more than an hour, then chill.`,
    materials: [
      ['milk', 585.3],
      ['cream-48', 278.4],
      ['egg', 208],
      ['yolk', 35.4],
      ['brown-sugar', 85],
      ['malt', 42],
    ],
    steps: 2,
    families: ['baked-custard'],
  },
  ...TUNED_MORE,
]
