import { expect, test } from '@playwright/test'
import { boils, coolsOnIce, cracks, named, putAway, receive, receivesFruit, runsOut, waits } from './dessertHands'
import { begin, proven, slab } from './guidedBench'
import { RunningKitchen, sent, tap, tapReading } from './kitchen'
import { publish } from './ownMethod'
import { padded } from './store'

/** Desserts that are split or put together, each from the door to the bin. */

let kitchen: RunningKitchen
test.beforeEach(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterEach(() => kitchen.close())

test('one flour custard becomes a filling and an icing, its whites are kept and frozen', async ({ browser }) => {
  await publish(kitchen, {
    name: 'Flour custard',
    family: 'starch-custard',
    steps: [
      ['warm', 'heat dairy', { part: 'dairy', text: 'Bring the milk to a simmer' }],
      ['temper', 'temper', { text: 'Half of it on the yolks, and back' }],
      ['cook', 'cook', { text: 'Whisk over the flame' }],
      ['boil', 'boil out', { text: 'Boil a full minute' }],
      ['cool', 'cool'],
      ['hold', 'hold'],
    ],
    amounts: [
      ['milk', 1000, 'warm'],
      ['yolk', 204, 'temper'],
      ['flour', 80, 'temper'],
    ],
    more: { portions: 20 },
  })
  await publish(kitchen, {
    name: 'Beaten icing',
    family: 'assembly',
    steps: [
      ['beat', 'assemble', { text: 'Beat the butter into it' }],
      ['hold', 'hold'],
    ],
    amounts: [['butter', 300, 'beat']],
    more: { houseDays: 6, portions: 12 },
  })
  const page = await kitchen.person(browser, 'Mina Osk')
  const is = () => named(page, 'butter', 'Butter')
  await receive(kitchen, page, 'Anything else', { lot: 'BU-78', celsius: '3.4', grams: '2000', useInDays: 20, is })
  await begin(page, kitchen.url, 'Flour custard')
  await kitchen.passes(5, page)
  await tapReading(page, 92)
  await tap(page, 'It is hot')
  await cracks(page)
  await tap(page, 'Keep it, dated')
  await tap(page, 'Every lot is named. Back to the pot')
  await tap(page, 'All clean')
  await tap(page, 'All combined')
  await kitchen.passes(4, page)
  await tapReading(page, 82)
  await tap(page, 'It boils')
  await kitchen.passes(0.4, page)
  await tapReading(page, 98.2)
  await kitchen.passes(1.1, page)
  await tapReading(page, 98.4)
  await proven(page, 'boil-out')
  await tap(page, 'Off the heat')
  await tap(page, 'All clean')
  await coolsOnIce(kitchen, page)
  const bench = page.url()
  await tap(page, 'Put it away')
  await tap(page, 'More is left')
  await padded(page, 'How much', '10', 'Put it away')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Flour custard')
  await page.goto(bench)
  await putAway(page, /^The other 10 portions/)
  await tap(page, 'Pull to the bench')
  await kitchen.passes(15, page)

  await begin(page, kitchen.url, 'Beaten icing')
  await tap(page, 'From BU-78')
  await tap(page, 'Choose the parts')
  await page.getByRole('button', { name: /^Flour custard.*above its limit/ }).click()
  await padded(page, 'Its core', '9.1', 'That is it')
  await expect(page.getByRole('alert')).toContainText('it is over 4°')
  await tap(page, 'Read again')
  await padded(page, 'Its core', '3.9', 'That is it')
  await tap(page, /^All of it/)
  await page
    .getByRole('button', { name: /^(Not now|Done)$/ })
    .first()
    .click()
  await tap(page, 'Assembled')
  await kitchen.passes(2, page)
  await tapReading(page, 3.9)
  await putAway(page)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Its date comes from: Flour custard')
  await expect(page.getByRole('main')).toContainText('Holds egg, gluten, milk, wheat.')

  await page.goto(`${kitchen.url}/store/list`)
  await page.getByRole('searchbox').fill('whites')
  await page.getByRole('row', { name: /396 g/ }).getByRole('link').first().click()
  await tap(page, 'Freeze')
  await tap(page, 'Chest freezer')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Its date clock stopped')
  await runsOut(kitchen, browser, page, 3, 'Beaten icing', 'Flour custard')
})

test('churned after a night, with a swirl of roast fruit: the part dates it, the frost stops that, thawed it runs', async ({
  browser,
}) => {
  await publish(kitchen, {
    name: 'Oven plums',
    family: 'cooked-fruit',
    steps: [
      ['roast', 'cook', { text: 'Roast the fruit' }],
      ['cool', 'cool'],
      ['hold', 'hold'],
    ],
    amounts: [['plum', 1000, 'roast']],
    more: { houseDays: 2, portions: 10 },
  })
  await publish(kitchen, {
    name: 'Plum ice',
    family: 'churned-base',
    steps: [
      ['temper', 'temper', { text: 'Whisk the milk onto the eggs' }],
      ['cook', 'cook', { text: 'Stir over a low flame' }],
      ['cool', 'cool'],
      ['age', 'set', { text: 'Age overnight', passiveMinutes: { least: 240, most: 1440 } }],
      ['churn', 'churn', { text: 'Churn' }],
      ['swirl', 'assemble', { text: 'Swirl the fruit in' }],
      ['harden', 'freeze', { text: 'Harden', passiveMinutes: { least: 180, most: 1440 } }],
      ['hold', 'hold'],
    ],
    amounts: [
      ['egg', 300, 'temper'],
      ['milk', 2000, 'temper'],
    ],
    more: { houseDays: 3, portions: 30 },
  })
  const page = await kitchen.person(browser, 'Mina Osk')
  const is = async () => {
    await named(page, 'plum', 'Plum')
    await tap(page, 'Looks good')
  }
  await receive(kitchen, page, 'Anything else', { lot: 'PL-40', celsius: '4', grams: '3000', useInDays: 6, is })
  await begin(page, kitchen.url, 'Oven plums')
  await tap(page, 'From PL-40')
  await tap(page, 'It is washed')
  await kitchen.passes(5, page)
  await tapReading(page, 85)
  await tap(page, 'Off the heat')
  await coolsOnIce(kitchen, page)
  await putAway(page)

  await begin(page, kitchen.url, 'Plum ice')
  await cracks(page)
  await tap(page, 'Every lot is named. Back to the pot')
  await tap(page, 'All combined')
  await kitchen.passes(5, page)
  await tapReading(page, 81)
  await tap(page, 'Off the heat')
  await tap(page, 'All clean')
  await coolsOnIce(kitchen, page)
  await expect(slab(page)).toContainText('Age overnight.')
  await waits(kitchen, page, 260)
  await expect(slab(page)).toContainText(/Ready since \d\d:\d\d\. It goes on by /)
  await tap(page, 'It is ready')
  await tap(page, 'Washed since')
  await tap(page, 'Churned')
  await tap(page, 'Choose the parts')
  await page.getByRole('button', { name: /^Oven plums/ }).click()
  await padded(page, 'Its core', '3.1', 'That is it')
  await padded(page, /How much/, '4', 'Log it')
  await page.getByRole('button', { name: /^(Not now|Done)$/ }).click()
  await tap(page, 'Assembled')
  await expect(slab(page)).toContainText('Put away into a freezer it hardens there, and its date clock stops.')
  await putAway(page)
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/Ready from \d\d:\d\d on\. That is quality/)
  await expect(page.getByRole('region', { name: 'What rules the date' })).toContainText('Oven plums')
  await tap(page, 'Thaw')
  await page.getByRole('dialog').getByRole('button', { name: 'Walk-in 1' }).click()
  await expect(page.getByRole('heading', { level: 1 })).not.toContainText('Ready from')
  await runsOut(kitchen, browser, page, 2, 'Plum ice', 'Oven plums')
})

test('a trifle of jelly from frozen fruit and a custard: one whisks and one logs, each part goes in cold', async ({
  browser,
}) => {
  await publish(kitchen, {
    name: 'Bramble jelly',
    family: 'fruit-jelly',
    steps: [
      ['boil', 'cook', { text: 'Simmer the fruit a full minute' }],
      ['cool', 'cool'],
      ['hold', 'hold'],
    ],
    amounts: [['raspberry-puree', 900, 'boil', 'frozen']],
    more: { untreatedFruit: true, houseDays: 5, portions: 20 },
  })
  await publish(kitchen, {
    name: 'Cup trifle',
    family: 'assembly',
    steps: [
      ['build', 'assemble', { text: 'Layer all of it, cold' }],
      ['hold', 'hold'],
    ],
    amounts: [
      ['cream-36', 500, 'build'],
      ['sponge', 300, 'build'],
    ],
    more: { houseDays: 6, portions: 12 },
  })
  const page = await kitchen.person(browser, 'Mina Osk')
  const logging = await kitchen.person(browser, 'Teo Brandt')
  await receivesFruit(kitchen, browser, page, 'RP-31')
  await begin(page, kitchen.url, 'Bramble jelly')
  await tap(page, 'From RP-31')
  await logging.locator('.line-name', { hasText: 'Bramble jelly' }).click()
  await kitchen.passes(4, page, logging)
  await boils(kitchen, logging, page)
  await proven(page, 'fruit-boil')
  await sent(logging)
  await logging.context().close()
  await tap(page, 'Off the heat')
  await coolsOnIce(kitchen, page)
  await putAway(page)

  await begin(page, kitchen.url, 'Cup trifle')
  await tap(page, 'Choose the parts')
  await page.getByRole('button', { name: /^Bramble jelly/ }).click()
  await padded(page, 'Its core', '9', 'That is it')
  await expect(page.getByRole('alert')).toContainText('at 9.0° it is over 4°. Chill it first')
  await tap(page, 'Read again')
  await padded(page, 'Its core', '3.2', 'That is it')
  await tap(page, /^All of it/)
  await page.getByRole('button', { name: /^Bay-leaf pouring custard/ }).click()
  await padded(page, 'Its core', '3.1', 'That is it')
  await padded(page, /How much/, '900', 'Log it')
  await page
    .getByRole('button', { name: /^(Not now|Done)$/ })
    .first()
    .click()
  await tap(page, 'Assembled')
  await kitchen.passes(5, page)
  await tapReading(page, 3.6)
  await putAway(page)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Its date comes from: Bay-leaf pouring custard')
  await expect(page.getByRole('main')).toContainText('Holds egg, gluten, milk, wheat.')
  await runsOut(kitchen, browser, page, 1, 'Cup trifle', 'Bay-leaf pouring custard')
})
