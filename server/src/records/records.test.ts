import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { PDFDocument, PDFName } from 'pdf-lib'
import { v7 as uuid } from 'uuid'
import type { Id } from '@logged-thermal/core'
import type { BatchRecord } from '@logged-thermal/wording'
import { clock } from '../clock/clock'
import { Heads } from '../sealing/heads.service'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { readPdf } from '../test/readPdf'
import { Paper } from './pdf/paper'

let kitchen: TestKitchen
const batch = uuid()

beforeAll(async () => {
  kitchen = await openKitchen({ folder: mkdtempSync(join(tmpdir(), 'lt-records-')) })
  await kitchen.post([kitchen.start('r-1', batch)])
  const first = kitchen.reading(batch, 66.4)
  await kitchen.post([first])
  const now = { typed: { value: 61.2, unit: 'C' }, where: 'core', of: 'mixture', instrument: kitchen.starter.probe.id }
  const put = { target: first.id, reason: 'mistyped', now: { at: first.at, reading: now, batch: null }, item: null }
  const corrected = await kitchen.post([kitchen.claim('corrected', batch, put as never)])
  expect(corrected.body).toMatchObject({ results: [{ outcome: 'accepted' }] })
  await kitchen.post([kitchen.reading(batch, 74)])
})
afterAll(() => kitchen.app.close())

const record = async (of: Id, query = '') =>
  (await kitchen.get(`/api/records/batch/${of}.json${query}`)).body as BatchRecord

const pdf = (path: string) => readPdf(kitchen, path)

it('is told as data: every reading with what it was before, in both scales, and what each limit rests on', async () => {
  const { standing, code, readings, limits, line, rules } = await record(batch)
  expect([standing, code, rules]).toEqual(['open', 'r-1', 'FDA Food Code'])
  expect(line).toMatch(/^Batch r-1 · .* · begun by Mina Osk /)
  expect(readings.map(({ value, was, other, by }) => [value, was, other, by])).toEqual([
    ['61.2°C', ['66.4°C'], '142.1°', 'Mina Osk'],
    ['74.0°C', [], '165.2°', 'Mina Osk'],
  ])
  expect(readings[0]!.told.join()).toContain('mistyped')
  expect(limits.map(({ source }) => source).join()).toContain('3-401.11')
  expect((await record(batch, '?scale=F')).limits[0]!.title).toContain('158°')
})

it('is a trace to take away: as typed, to the millisecond, without what was taken back', async () => {
  const { status, text, headers } = await kitchen.get(`/api/records/batch/${batch}.csv`)
  expect([status, headers['content-disposition']]).toEqual([200, 'attachment; filename="batch-r-1.csv"'])
  const [head, ...lines] = text.trimEnd().split('\n')
  expect(head).toBe('time (UTC),temperature,where,of,pan,instrument,by,file')
  const { readings } = await record(batch)
  const code = kitchen.starter.probe.code
  expect(lines).toEqual(
    readings.map(({ at }, i) => `${new Date(at).toISOString()},${['61.2', '74'][i]}°C,core,mixture,,${code},Mina Osk,`),
  )
})

it('is told on paper: tagged, in a language, with a bookmark, its title and who it is of', async () => {
  const { document, bookmarks, tags, columns } = await pdf(`/api/records/batch/${batch}.pdf`)
  expect([tags, bookmarks]).toEqual([true, 1])
  expect(columns).toBeGreaterThan(4)
  expect([document.getTitle(), document.getAuthor()]).toEqual(['Test kitchen r-1', 'Test kitchen'])
  const { width, height } = document.getPage(0).getSize()
  expect([Math.round(width), Math.round(height)]).toEqual([595, 842])
})

it('is in the language of who reads it: of its words, and said of the whole document', async () => {
  const of = async (query: string) => {
    const { document } = await pdf(`/api/records/batch/${batch}.pdf${query}`)
    return document.catalog.get(PDFName.of('Lang'))?.toString()
  }
  expect([await of(''), await of('?language=en-US')]).toEqual(['(en-GB)', '(en-US)'])
  expect((await kitchen.get(`/api/records/batch/${batch}.pdf?language=xx`)).status).toBe(400)
})

it('is there for what was begun here, in a scale that there is', async () => {
  expect((await kitchen.get(`/api/records/batch/${uuid()}.pdf`)).status).toBe(404)
  expect((await kitchen.get(`/api/records/batch/${batch}.json?scale=K`)).status).toBe(400)
})

it('gives sheets to write on: one for each batch that runs, two for new ones, one for the units', async () => {
  const { bookmarks, tags } = await pdf('/api/records/paper.pdf')
  expect([tags, bookmarks]).toEqual([true, 4])
})

it('gives the key for the wall, where anything is signed', async () => {
  expect((await pdf('/api/records/key.pdf')).document.getTitle()).toBe('The key of our records')
  const none = jest.spyOn(kitchen.app.get(Heads), 'publicKeys').mockReturnValue([])
  expect((await kitchen.get('/api/records/key.pdf')).body).toMatchObject({
    status: 404,
    detail: expect.stringContaining('signs nothing') as string,
  })
  none.mockRestore()
})

it('prints the letters of many scripts, and owns to it where it has none', async () => {
  const paper = (text: string) => {
    const made = new Paper({ title: text, language: 'en-GB', author: '', made: clock.now(), foot: () => ['', ''] })
    made.part(text)
    made.heading(1, text)
    made.table([{ title: text, share: 1 }], [{ cells: [{ text, was: [text] }] }])
    return made
  }
  for (const [text, lacks] of [
    ['Crème brûlée, Łódź, Ærø', false],
    ['Κρέμα, крем, ≥ 70°', false],
    ['卵のクリーム', true],
  ] as const) {
    const made = paper(text)
    expect([text, made.lacksLetters]).toEqual([text, lacks])
    expect((await made.finished()).length).toBeGreaterThan(1000)
  }
})

it('goes on over as many pages as it takes, with the head of a table on each', async () => {
  const made = new Paper({
    title: 'long',
    language: 'en-GB',
    author: '',
    made: clock.now(),
    foot: (page) => [`${page}`, ''],
  })
  made.part('long')
  const rows = Array.from({ length: 200 }, (_, i) => ({ cells: [{ text: `row ${i}` }, { text: 'word '.repeat(40) }] }))
  made.table(
    [
      { title: 'a', share: 1 },
      { title: 'b', share: 3 },
    ],
    rows,
  )
  const document = await PDFDocument.load(await made.finished())
  expect(document.getPageCount()).toBeGreaterThan(8)
})
