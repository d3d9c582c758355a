import type { Sample } from './sample'
import { UNSEEN_MORE } from './unseenMore'

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
  ...UNSEEN_MORE,
]
