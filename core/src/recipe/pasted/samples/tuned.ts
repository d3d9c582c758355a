import type { Sample } from './sample'

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
