import { ALLERGENS, type ItemState } from '@logged-thermal/core'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { storeOf } from '../test/storeKitchen'
import {
  advisory,
  alcoholNote,
  fruitNote,
  labelArt,
  mayContainNote,
  PAPERS,
  storageWords,
} from '@logged-thermal/wording'

let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen()
})
afterAll(() => kitchen.app.close())

const NAMED = { name: 'Fennimore Row pastry', address: '12 Mill Lane, Harrowfield', unit: 'C' }

it('says whose it is: the kitchen’s name, and its address once the lead gave one, on every label from then on', async () => {
  const store = storeOf(kitchen)
  const [item] = await store.putAway(await store.jelly(2), 650, { last: true })
  const picture = async () => ((await kitchen.get(`/api/labels/${item}.png`)).body as Buffer).toString('base64')
  const before = await picture()
  expect(await picture()).toBe(before)
  const { id: signer, pin } = kitchen.person('ilse')
  await kitchen
    .send('/api/kitchen')
    .send({ ...NAMED, signer, pin })
    .expect(200)
  expect(await picture()).not.toBe(before)

  const { item: state } = (await kitchen.get(`/api/items/${item}`)).body as { item: ItemState }
  const facts = {
    item: state,
    address: 'http://here',
    initials: 'MO',
    storage: '',
    advisory: '',
    fruitNote: '',
    mayContain: '',
    ingredients: '',
    alcohol: '',
  }
  const reader = { scale: 'C' as const, zone: 'UTC', locale: 'en-GB' as const, hours: 24 as const, today: null }
  const said = (of: string, size = { width: 62, height: 40 }) =>
    labelArt({ ...facts, kitchen: of, reader }, size).join('')
  expect(said(`${NAMED.name}, ${NAMED.address}`).replace(/<[^>]*>/g, '')).toContain('12 Mill Lane')
  // However long it is, nothing of the item gives way to it.
  const long = said(`${NAMED.name} ${'of the very long street '.repeat(8)}`)
  expect(long).toContain(state.name.split(' ')[0])
  expect(long).toContain('bin at')
})

const SPIRIT = { byVolume: 0.042 }

describe('a label', () => {
  const reader = { scale: 'C' as const, zone: 'UTC', locale: 'en-GB' as const, hours: 24 as const, today: null }
  const facts = async (): Promise<Parameters<typeof labelArt>[0]> => {
    const store = storeOf(kitchen)
    const [id] = await store.putAway(await store.jelly(2), 650, { last: true })
    const { item } = (await kitchen.get(`/api/items/${id}`)).body as { item: ItemState }
    const texts = { initials: 'MO', storage: storageWords(null, reader), kitchen: 'Fennimore Row pastry, 12 Mill Lane' }
    return {
      item,
      address: 'http://here',
      ...texts,
      advisory: advisory(reader),
      fruitNote: fruitNote(reader),
      mayContain: '',
      ingredients: '',
      alcohol: '',
      reader,
    }
  }
  /** Every line in black with its size in points, over all labels of an item. */
  const lines = (art: string[]) =>
    art.flatMap((svg) =>
      [...svg.matchAll(/<text [^>]*font-size="([\d.]+)"[^>]*fill="#000">([^<]*)</g)].map(([, size, text]) => ({
        points: (Number(size) / 10 / 25.4) * 72,
        text: text!.replaceAll('&amp;', '&'),
      })),
    )
  const papers = Object.values(PAPERS).map(({ name, label }) => [name, label] as const)

  it.each(papers)('has allergens, storage and every note whole, at 8 points or more: %s', async (_, size) => {
    const plain = await facts()
    const { item } = plain
    for (const allergens of [[], ALLERGENS.slice(0, 1), [...ALLERGENS]])
      for (const more of [{}, { advisory: true }, { advisory: true, untreatedFruit: true as const, alcohol: SPIRIT }]) {
        const unknown = allergens.length > 3 ? ['Moon dust of the house'] : []
        const full = { ...item, facts: { ...item.facts, allergens, unknown, ...more } }
        const alcohol = alcoholNote(full.facts.alcohol, reader)
        const mayContain = mayContainNote({ allergens: [...ALLERGENS], unknown: ['Moon sauce'] }, reader)
        const art = labelArt({ ...plain, item: full, alcohol, mayContain }, size)
        const all = lines(art)
        const large = all.filter(({ points }) => points >= 8).map(({ text }) => text)
        const wanted = [
          allergens.length ? allergens.join(', ') : 'no named allergen',
          ...unknown,
          plain.storage,
          mayContain,
          ...('advisory' in more ? [plain.advisory] : []),
          ...('untreatedFruit' in more ? [plain.fruitNote, 'Contains alcohol, about 4.2 % by volume.'] : []),
        ]
        for (const text of wanted) expect(large.join(' ')).toContain(text)
        expect(all.map(({ text }) => text).join(' ')).not.toContain('…')
        // Each of them has the date and the code of the batch.
        for (const svg of art) {
          const own = lines([svg])
            .map(({ text }) => text)
            .join(' ')
          expect(own).toContain(item.code)
          expect(svg).toContain('bin at')
        }
        // No line stands on the date, beside the label, or on the square code.
        for (const svg of art)
          for (const [, y, font] of svg.matchAll(
            /y="([\d.]+)" font-family[^>]*font-size="([\d.]+)" (?:font-weight="bold" )?fill="#000"/g,
          ))
            expect(Number(y) + Number(font) * 0.2).toBeLessThanOrEqual(size.height * 10 * 0.76)
      }
  })

  it('says of nothing unknown that it has no allergen', async () => {
    const plain = await facts()
    const own = { ...plain.item.facts, allergens: [], unknown: ['Moon dust'] }
    const said = lines(labelArt({ ...plain, item: { ...plain.item, facts: own } }, PAPERS.roll.label))
    const text = said.map((each) => each.text).join(' ')
    expect(text).toContain('allergens not known: Moon dust')
    expect(text).not.toContain('no named allergen')
  })

  it('is one label where that has room', async () => {
    const plain = await facts()
    expect(labelArt(plain, PAPERS.roll.label)).toHaveLength(1)
    const raw = { ...plain, item: { ...plain.item, facts: { ...plain.item.facts, advisory: true } } }
    expect(labelArt(raw, PAPERS.letter.label)).toHaveLength(1)
    expect(labelArt(raw, PAPERS.roll.label)).toHaveLength(2)
  })
})
