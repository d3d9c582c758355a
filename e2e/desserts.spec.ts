import { expect, test } from '@playwright/test'
import { boils, coolsOnIce, cracks, named, putAway, receive, receivesFruit, runsOut } from './dessertHands'
import { begin, check, proven, slab } from './guidedBench'
import { choose, RunningKitchen, tap, tapReading } from './kitchen'
import { publish } from './ownMethod'

/** Desserts of one pot as their cooks make them, each from the door to the bin. */

let kitchen: RunningKitchen
test.beforeEach(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterEach(() => kitchen.close())

test('milk infused and read by itself, strained before the heat, butter blended in after it: nothing reopens', async ({
  browser,
}) => {
  await publish(kitchen, {
    name: 'Infused cream',
    family: 'poured-custard',
    steps: [
      ['infuse', 'infuse', { part: 'milk', text: 'Infuse the milk', passiveMinutes: { least: 20, most: 40 } }],
      ['leaves', 'strain', { part: 'milk', text: 'Strain out the leaves' }],
      ['temper', 'temper', { text: 'Pour on the eggs' }],
      ['cook', 'cook', { text: 'Stir over a low flame' }],
      ['butter', 'add after heat', { text: 'Blend the butter in' }],
      ['cool', 'cool'],
      ['hold', 'hold'],
    ],
    amounts: [
      ['milk', 1000, 'infuse'],
      ['egg', 300, 'temper'],
      ['butter', 200, 'butter'],
    ],
    more: { portions: 12 },
  })
  const page = await kitchen.person(browser, 'Mina Osk')
  const is = () => named(page, 'butter', 'Butter')
  await receive(kitchen, page, 'Anything else', { lot: 'BU-77', celsius: '3.4', grams: '2000', useInDays: 20, is })
  await begin(page, kitchen.url, 'Infused cream')
  await tap(page, 'It rests now')
  await tapReading(page, 85)
  await kitchen.passes(22, page)
  await tapReading(page, 45)
  // Milk is not the mixture.
  await expect(check(page, 'egg')).toHaveAttribute('data-standing', 'open')
  await tap(page, 'Infused')
  await tap(page, 'Strained')
  await cracks(page)
  await tap(page, 'Every lot is named. Back to the pot')
  await tap(page, 'All combined')
  await kitchen.passes(5, page)
  await tapReading(page, 79.2)
  await proven(page, 'egg')
  await tap(page, 'Off the heat')
  await expect(slab(page)).toContainText('Clean before you go on')
  await tap(page, 'All clean')
  await expect(slab(page)).toContainText('Blend the butter in.')
  await expect(slab(page)).not.toContainText('prove nothing about it')
  await tap(page, 'From BU-77')
  await tap(page, 'All in')
  await proven(page, 'egg')
  await coolsOnIce(kitchen, page)
  await putAway(page)
  await expect(page.getByRole('region', { name: 'What rules the date' })).toContainText('House rule: 3 days')
  await runsOut(kitchen, browser, page, 3, 'Infused cream', 'House rule: 3 days')
})

test('frozen purée boiled by itself, then eggs over water with cold butter on the heat: two checks on two materials', async ({
  browser,
}) => {
  await publish(kitchen, {
    name: 'Bramble curd',
    family: 'fruit-curd',
    steps: [
      ['boil', 'cook', { part: 'puree', text: 'Boil the fruit by itself' }],
      ['together', 'combine', { text: 'Whisk in the eggs' }],
      ['cook', 'cook', { text: 'Stir over water, the cold butter in' }],
      ['sieve', 'strain', { text: 'Through the fine sieve' }],
      ['cool', 'cool'],
      ['hold', 'hold'],
    ],
    amounts: [
      ['raspberry-puree', 800, 'boil', 'frozen'],
      ['egg', 400, 'together'],
      ['butter', 300, 'cook'],
    ],
    more: { untreatedFruit: true, portions: 20 },
  })
  const page = await kitchen.person(browser, 'Mina Osk')
  await receivesFruit(kitchen, browser, page, 'RP-32')
  await begin(page, kitchen.url, 'Bramble curd')
  await tap(page, 'From RP-32')
  await kitchen.passes(4, page)
  await boils(kitchen, page)
  await proven(page, 'fruit-boil')
  await expect(check(page, 'egg')).toHaveAttribute('data-standing', 'open')
  await tap(page, 'Off the heat')
  await cracks(page)
  await tap(page, 'Every lot is named. Back to the pot')
  await tap(page, 'All combined')
  await kitchen.passes(5, page)
  await tapReading(page, 60)
  await kitchen.passes(4, page)
  await tapReading(page, 76)
  await proven(page, 'egg')
  await tap(page, /^More/)
  await tap(page, /^Add/)
  await page.getByRole('dialog').getByRole('button', { name: 'Butter', exact: true }).click()
  await tap(page, '300 g, as the method says')
  await expect(slab(page)).toContainText('Something cold went in: read it once more')
  await kitchen.passes(3, page)
  await tapReading(page, 74.6)
  await tap(page, 'Off the heat')
  await tap(page, 'All clean')
  await tap(page, 'Strained')
  for (const key of ['egg', 'fruit-boil', 'ceiling']) await proven(page, key)
  await coolsOnIce(kitchen, page)
  await putAway(page)
  await runsOut(kitchen, browser, page, 5, 'Bramble curd', 'House rule: 5 days')
})

test('a mousse on cooked yolks of a carton: stirred on ice to 25°, folded in its window, on to the cold in cups', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Mina Osk')
  const is = async () => {
    await page.getByLabel('Certificate').fill('C-7719')
    await choose(page, 'Holds', 'Yolk')
  }
  await receive(kitchen, page, 'Pasteurized egg', { lot: 'YK-19', celsius: '3.1', grams: '1000', useInDays: 9, is })
  await begin(page, kitchen.url, 'Hazel mousse with set yolk')
  await kitchen.passes(6, page)
  await tap(page, 'It is ready')
  await tapReading(page, 72)
  await tap(page, 'It is hot')
  await tap(page, 'Choose the lot')
  await tap(page, /YK-19/)
  await tap(page, '136 g, as the method says')
  await tap(page, 'Every lot is named. Back to the pot')
  await tap(page, 'All combined')
  await kitchen.passes(4, page)
  await tapReading(page, 74.2)
  await proven(page, 'egg')
  await tap(page, 'Off the heat')
  await tap(page, 'All clean')
  await tap(page, 'All in')
  // Nothing holds air yet: it is stirred until it is folded.
  await tap(page, /^Ice bath \+ stir/)
  await expect(slab(page)).toContainText('Cool it to 25°, then: fold')
  await kitchen.passes(5, page)
  await tapReading(page, 31.2)
  await kitchen.passes(4, page)
  await tapReading(page, 24.2)
  await expect(slab(page)).toContainText('Do it between 22° and 25°. It was read at 24.2°.')
  await expect(check(page, 'cool-total')).toHaveAttribute('data-standing', 'open')
  await tap(page, 'Folded together')
  await expect(slab(page)).toContainText('Where does it cool?')
  await expect(slab(page).getByRole('button', { name: /stir|Shallow tray/ })).toHaveCount(0)
  await tap(page, /^Blast chiller/)
  await tap(page, 'In it, air not read')
  await tap(page, 'Open')
  await kitchen.passes(30, page)
  await tapReading(page, 12.4)
  await kitchen.passes(45, page)
  await tapReading(page, 3.4)
  await proven(page, 'cool-total')
  await putAway(page)
  await expect(page.getByRole('main')).toContainText('Holds egg, milk, soy, tree nuts.')
  await runsOut(kitchen, browser, page, 2, 'Hazel mousse', 'House rule: 2 days')
})
