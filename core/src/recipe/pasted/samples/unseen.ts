import type { Sample } from './sample'

/** Recipes kept apart: the reader of pasted text is tried on them, and was not written by them. All invented. */
export const UNSEEN: readonly Sample[] = [
  {
    name: 'Caraway custard',
    measures: 'metric',
    text: `Caraway custard sauce

Zutaten für 1 litre:
750 ml milk
250 ml whipping cream
8 yolks
160 g sugar
1 tsp ground cinnamon

Work
1. Bring milk and cream to 85 °C with the cinnamon.
2. Mix yolks and sugar, pour the hot milk on them.
3. Rose it to 82 °C and hold it for 2 minutes.
4. Sieve, cool in an ice bath, fridge.`,
    materials: [
      ['milk', 772.5],
      ['cream-36', 247.5],
      ['yolk', 141.4],
      ['sugar', 160],
      ['cinnamon', 2.65],
    ],
    steps: 4,
    families: ['poured-custard'],
  },
  {
    name: 'Brown butter pastry cream',
    measures: 'UK',
    text: `Brown butter pastry cream

570ml whole milk
1 vanilla pod
6 medium egg yolks
110g caster sugar
25g plain flour
25g cornflour
60g brown butter

- Scald the milk with the split vanilla pod.
- Beat yolks and sugar pale, add both flours.
- Whisk in the hot milk, return to the pan and bring to the boil, boil 2 minutes.
- Beat in the brown butter. Cover and cool.`,
    materials: [
      ['milk', 587],
      ['vanilla-pod', 3],
      ['yolk', 106],
      ['sugar', 110],
      ['flour', 25],
      ['corn-starch', 25],
      ['brown-butter', 60],
    ],
    steps: 4,
    families: ['starch-custard', 'enriched-custard'],
  },
  {
    name: 'Passion curd',
    measures: 'US',
    text: `PASSION FRUIT CURD

Yield: 2 cups

Ingredients:
3/4 cup passion fruit pulp
1 cup sugar
2 whole eggs
4 egg yolks
1 stick cold butter, diced
Pinch of salt

Instructions:
Step 1. Combine pulp, sugar, eggs, yolks and salt in a heatproof bowl over simmering water.
Step 2. Cook, whisking, until it reads 176 F.
Step 3. Strain. Whisk in butter bit by bit.
Step 4. Cool to 70 F within 2 hours and refrigerate.`,
    materials: [
      ['passion-fruit-puree', 188],
      ['sugar', 201.1],
      ['egg', 100],
      ['yolk', 68],
      ['butter', 113.4],
      ['salt', 0.37],
    ],
    steps: 4,
    families: ['fruit-curd'],
  },
  {
    name: 'Coffee set cream',
    measures: 'metric',
    text: `Coffee set cream for 10 glasses

Whipping cream: 600 ml
Whole milk: 200 ml
Sugar: 90 g
Instant coffee: 8 g
Gelatine: 4 sheets

1 - Put the gelatine in cold water.
2 - Heat cream, milk, sugar and coffee to 75 degrees.
3 - Stir in the squeezed gelatine.
4 - Strain, fill glasses at 25 degrees, set for 6 hours.`,
    materials: [
      ['cream-36', 594],
      ['milk', 206],
      ['sugar', 90],
      ['instant-coffee', 8],
      ['gelatine', 8],
    ],
    steps: 4,
    families: ['gelatine-cream'],
  },
  {
    name: 'Spiced nog',
    measures: 'UK',
    text: `Spiced nog, 4 litres

2 litres full-fat milk
1 litre single cream
20 egg yolks
500 g caster sugar
300 ml brandy
2 tsp ground nutmeg

Bring milk, half of the sugar and the nutmeg to 80C.
Whisk yolks with the other half of the sugar. Ladle the hot milk in.
Heat gently to 71C and keep it there one minute.
Chill in 5 cm trays.
When cold add cream and brandy.`,
    materials: [
      ['milk', 2060],
      ['cream-18', 1010],
      ['yolk', 353.6],
      ['sugar', 500],
      ['brandy-40', 285],
      ['nutmeg', 4.7],
    ],
    steps: 5,
    families: ['heated-nog'],
  },
  {
    name: 'White mousse',
    measures: 'US',
    text: `White chocolate mousse with berries

8 ounces white chocolate, chopped
3 large egg whites
1/4 cup sugar
1 1/4 cups heavy whipping cream
2 cups raspberries

Melt the chocolate with 1/4 of the cream.
Whip whites and sugar until stiff.
Whip the remaining cream. Fold whites, then cream, into the chocolate.
Chill 4 hours. Top with raspberries.`,
    materials: [
      ['white-chocolate', 226.8],
      ['white', 99],
      ['sugar', 50.3],
      ['cream-36', 292.8],
      ['raspberries', 246],
    ],
    steps: 4,
    families: ['mousse'],
  },
  {
    name: 'Brown bread ice',
    measures: 'UK',
    text: `Brown bread ice cream

* 400ml double cream
* 200ml whole milk
* 5 large egg yolks
* 120g light muscovado
* 100g breadcrumbs
* 30g butter
* 2 tbsp dark rum

1. Fry crumbs in butter until crisp; cool.
2. Make a custard of milk, cream, yolks and sugar, cooking it to 82C.
3. Chill overnight.
4. Churn; fold in crumbs and rum; freeze at -18C.`,
    materials: [
      ['cream-48', 392],
      ['milk', 206],
      ['yolk', 103.7],
      ['brown-sugar', 120],
      ['breadcrumbs', 100],
      ['butter', 30],
      ['rum-dark', 28.5],
    ],
    steps: 4,
    families: ['churned-base'],
  },
  {
    name: 'Caramel bake',
    measures: 'metric',
    text: `Baked caramel custard

Caramel
150 g sugar
50 ml water

Custard
500 ml whole milk
250 ml cream
4 eggs
3 egg yolks
120 g sugar

Method
Boil sugar and water to a dark caramel, pour into moulds.
Warm milk and cream. Stir eggs, yolks and sugar, add the milk, strain.
Bake in a water bath at 150 °C for 40 min.
Cool, then refrigerate overnight. Turn out.`,
    materials: [
      ['sugar', 150],
      ['water', 50],
      ['milk', 515],
      ['cream-36', 247.5],
      ['egg', 208],
      ['yolk', 53],
      ['sugar', 120],
    ],
    steps: 4,
    families: ['baked-custard'],
  },
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
