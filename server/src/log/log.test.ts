import { v7 as uuid } from 'uuid'
import { batchStanding, DAY, HOUR, judgeBatch, MINUTE, standAt, type Id, type ReadingBody } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import type { Answers } from '../http/answers'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { Workers } from '../workers/workers.service'

let kitchen: TestKitchen
beforeAll(async () => {
  kitchen = await openKitchen()
})
afterAll(() => kitchen.app.close())

/** A time around now, with whatever else is asked. */
const period = (more: Record<string, string> = {}) =>
  new URLSearchParams({ from: String(clock.now() - DAY), to: String(clock.now() + DAY), ...more }).toString()
const log = async (more: Record<string, string> = {}) =>
  (await kitchen.get(`/api/log?${period(more)}`)).body as Answers['Log']
const codes = async (more: Record<string, string>) => (await log(more)).batches.map(({ code }) => code)

/** A batch that was combined, cooked and taken off the heat half an hour ago, and read once on its way down. */
async function cooked(code: string, id: Id = uuid()): Promise<Id> {
  const at = (ago: number) => ({ at: clock.now() - ago * MINUTE, madeAt: clock.now() - ago * MINUTE })
  const step = (of: string, edge: 'combined' | 'done', ago: number) =>
    kitchen.claim('step-marked', id, { step: of, edge, reason: null }, at(ago))
  const posted = await kitchen.post([
    { ...kitchen.start(code, id), ...at(50) },
    step('temper', 'combined', 45),
    kitchen.reading(id, 83, at(40)),
    step('cook', 'done', 30),
    kitchen.reading(id, 64, at(20)),
  ])
  expect(posted.body).toMatchObject({ results: Array(5).fill({ outcome: 'accepted' }) })
  return id
}

describe('the Log', () => {
  it('shows the batches of a time, each as judging it finds it, whatever was entered since it was asked last', async () => {
    const id = await cooked('l-1')
    const before = (await log()).batches.find((batch) => batch.id === id)!
    expect(before.trace.map(([, celsius]) => celsius)).toEqual([83, 64])
    await kitchen.post([kitchen.reading(id, 55)])
    const { batches, counts, now } = await log()
    const after = batches.find((batch) => batch.id === id)!
    expect(after.trace).toHaveLength(3)
    const { batch } = (await kitchen.get(`/api/batches/${id}`)).body as Answers['Batch']
    for (const then of [now, now + 3 * HOUR, now + 9 * HOUR])
      expect(standAt(after.stands, then).standing).toBe(batchStanding(judgeBatch(batch, { zone: 'UTC' }, then)))
    expect(Object.values(counts).reduce((a, b) => a + b)).toBe(batches.length)
  })

  it('is shown though somebody goes on logging all the while', async () => {
    const id = await cooked('l-b')
    const workers = kitchen.app.get(Workers)
    const run = workers.run.bind(workers)
    let made = 0
    const spied = jest.spyOn(workers, 'run').mockImplementation(async (work, name, input) => {
      const done = await run(work, name, input)
      // Another reading, as soon as what was read before is in the Log.
      if (name === 'rowsOf' && ++made < 20) await kitchen.post([kitchen.reading(id, 60 - made)])
      return done
    })
    const found = (await log()).batches.find((batch) => batch.id === id)!
    spied.mockRestore()
    expect(found.trace.length).toBeGreaterThanOrEqual(2)
    expect(made).toBeLessThan(5)
    expect((await log()).batches.find((batch) => batch.id === id)!.trace).toHaveLength(2 + made)
  })

  it('tells what came late, was put right or taken back, with what stood before and what the lead decided', async () => {
    const id = await cooked('l-c')
    const late = kitchen.reading(id, 40, { at: clock.now() - 25 * MINUTE })
    const slip = kitchen.reading(id, 50)
    await kitchen.post([late, slip])
    const now = { ...(slip.body as ReadingBody), typed: { value: 52, unit: 'C' as const } }
    await kitchen.post([
      kitchen.claim('corrected', id, {
        target: slip.id,
        reason: 'mistyped',
        now: { at: slip.at, reading: now, batch: null },
        item: null,
      }),
    ])
    const told = async () =>
      ((await kitchen.get(`/api/log/changes?${period()}`)).body as Answers['Changes']).changes.filter(
        ({ batch }) => batch.id === id,
      )
    const ofLate = async () => (await told()).find(({ entry }) => entry === late.id)
    expect(await ofLate()).toMatchObject({ was: null, stands: 'waits' })
    const was = { value: { typed: { value: 50 } } }
    expect((await told()).find(({ reason }) => reason === 'mistyped')).toMatchObject({
      was,
      now: { value: { typed: { value: 52 } } },
      stands: 'counts',
    })
    const lead = kitchen.person('ilse')
    const entries = [{ type: 'batch' as const, id, entry: late.id }]
    const body = { entries, reason: 'not on paper' }
    const refusal = kitchen.claim('entries-refused', kitchen.kitchenId, body, { by: lead.id })
    await kitchen.post([refusal], { signer: lead.id, pin: lead.pin })
    expect(await ofLate()).toMatchObject({ stands: 'refused', decided: { by: lead.id, reason: 'not on paper' } })
    // Of another time it tells nothing but what waits.
    const before = await kitchen.get('/api/log/changes?from=0&to=1')
    expect((before.body as Answers['Changes']).changes.filter(({ stands }) => stands !== 'waits')).toEqual([])
  })

  it('finds by words in the dish, the code, a note and the name of who logged it, all of them at once', async () => {
    const id = await cooked('l-3')
    await kitchen.post([kitchen.claim('noted', id, { text: 'the quince was 100% ripe', cue: null })])
    expect(await codes({ words: 'quince' })).toEqual(['l-3'])
    expect(await codes({ words: 'L-3 mina' })).toEqual(['l-3'])
    expect(await codes({ words: '100% ripe' })).toEqual(['l-3'])
    // A sign of the database's is only a sign here.
    expect(await codes({ words: 'l_3' })).toEqual([])
    expect(await codes({ words: 'quince aubergine' })).toEqual([])
  })

  it('filters by person, method and instrument', async () => {
    await cooked('l-4')
    const { starter } = kitchen
    expect(await codes({ person: kitchen.person('mina').id })).toContain('l-4')
    expect(await codes({ person: kitchen.person('teo').id })).toEqual([])
    expect(await codes({ method: starter.methods[0]!.id })).toContain('l-4')
    expect(await codes({ method: starter.methods[1]!.id })).toEqual([])
    expect(await codes({ instrument: starter.probe.id })).toContain('l-4')
    expect(await codes({ instrument: uuid() })).toEqual([])
    expect(await codes({ unit: uuid() })).toEqual([])
    expect(await codes({ lot: uuid() })).toEqual([])
  })

  it('shows what touches the time, not only what began in it', async () => {
    await cooked('l-5')
    const of = async (from: number, to: number) => {
      const answer = await kitchen.get(`/api/log?from=${from}&to=${to}`)
      return (answer.body as Answers['Log']).batches.map(({ code }) => code)
    }
    const now = clock.now()
    expect(await of(now - 45 * MINUTE, now - 44 * MINUTE)).toContain('l-5')
    expect(await of(now + HOUR, now + 2 * HOUR)).toEqual([])
    expect(await of(now - 30 * DAY, now - DAY)).toEqual([])
  })

  it('goes on where the answer before ended', async () => {
    const all = await log()
    expect(all.more).toBe(false)
    const first = all.batches[0]!
    const rest = await log({ before: String(first.startedAt), beforeId: first.id })
    expect(rest.batches.map(({ id }) => id)).toEqual(all.batches.slice(1).map(({ id }) => id))
    const two = await log({ most: '2' })
    expect(two.batches.map(({ id }) => id)).toEqual(all.batches.slice(0, 2).map(({ id }) => id))
    expect(two).toMatchObject({ more: true, counts: all.counts })
  })

  it('says what happened between, named', async () => {
    const lot = uuid()
    const batch = await cooked('l-6')
    await kitchen.post([
      kitchen.claim('handed-over', kitchen.kitchenId, { asked: null, from: clock.now(), until: clock.now() + HOUR }),
    ])
    const { entries, names, more } = (await kitchen.get(`/api/log/events?${period()}`)).body as Answers['LogEvents']
    expect(entries.map(({ claim }) => claim.kind)).toContain('handed-over')
    expect(entries.map(({ claim }) => claim.kind)).not.toContain('reading-taken')
    expect(entries.map(({ claim }) => claim.at)).toEqual(entries.map(({ claim }) => claim.at).sort((a, b) => a - b))
    expect([names[lot], names[batch], more]).toEqual([undefined, undefined, false])
  })

  it('has coolings of old logs that the lead brought in, each as it stands under the limits of its day, and once', async () => {
    const lead = kitchen.person('ilse')
    const began = clock.now() - 400 * DAY
    const row = (line: number, read: [minutes: number, celsius: number][]) => ({
      line,
      what: 'Old custard',
      method: null,
      note: null,
      readings: read.map(([minutes, value]) => ({
        at: began + minutes * MINUTE,
        typed: { value, unit: 'C' as const },
      })),
    })
    const rows = [
      row(2, [
        [0, 57],
        [100, 20],
        [240, 4],
      ]),
      row(3, [
        [10, 57],
        [150, 40],
      ]),
    ]
    const bring = (by: typeof lead) => {
      const body = { source: 'winter.csv', sha256: 'a'.repeat(64), rows }
      const claim = kitchen.claim('log-transcribed', kitchen.kitchenId, body, { by: by.id })
      return kitchen.post([claim], { signer: by.id, pin: by.pin })
    }
    expect((await bring(kitchen.person('mina'))).body).toMatchObject({ results: [{ code: 'may not' }] })
    expect((await bring(lead)).body).toMatchObject({ results: [{ outcome: 'accepted' }] })
    expect((await bring(lead)).body).toMatchObject({ results: [{ code: 'already there' }] })
    const transcribed = async (from: number, to: number) =>
      (await kitchen.get(`/api/log/transcribed?from=${from}&to=${to}`)).body as Answers['Transcribed']
    const found = await transcribed(began - DAY, began + DAY)
    expect(found.counts).toEqual({ missed: 1, unproven: 1 })
    expect(found.rows.map(({ line, standing, source }) => [line, standing, source])).toEqual([
      [3, 'missed', 'winter.csv'],
      [2, 'unproven', 'winter.csv'],
    ])
    expect((await transcribed(began + DAY, clock.now())).rows).toEqual([])
    expect((await log({ words: 'Old custard' })).batches).toEqual([])
    const { entries } = (await kitchen.get(`/api/log/events?${period()}`)).body as Answers['LogEvents']
    expect(entries.filter(({ claim }) => claim.kind === 'log-transcribed')).toHaveLength(1)
  })

  it('comes as a file for a spreadsheet, in which nothing is run', async () => {
    const id = await cooked('=l-7')
    const { text, headers } = await kitchen.get(`/api/log/batches.csv?${period({ words: '=l-7' })}`)
    expect(headers['content-type']).toContain('text/csv')
    const [head, line, ...none] = text.trim().split('\n')
    expect(head).toContain('code,name,begun')
    expect(line).toContain("'=l-7,")
    expect(line).toContain('Mina Osk')
    expect(none).toEqual([])
    expect(id).toBeTruthy()
  })

  it.each([
    ['a hundred years', `from=0&to=${100 * 366 * DAY}`, 'That is more than 10 years. Ask for a shorter period.'],
    ['an end before its beginning', 'from=2000&to=1000', 'The period ends before it begins.'],
  ])('refuses %s with a sentence', async (_, query, sentence) => {
    for (const path of ['log', 'log/events', 'log/batches.csv', 'log/changes', 'log/trends']) {
      const answer = await kitchen.get(`/api/${path}?${query}`)
      expect([answer.status, (answer.body as { detail: string }).detail]).toEqual([422, sentence])
    }
  })

  it('refuses what is no id, no time and too many words', async () => {
    for (const query of [
      period({ person: 'mina' }),
      period({ words: 'x'.repeat(81) }),
      'from=soon&to=later',
      period({ standing: 'safe' }),
    ])
      expect((await kitchen.get(`/api/log?${query}`)).status).toBe(400)
  })

  it('shows nothing of another kitchen', async () => {
    const other = await openKitchen()
    try {
      await cooked('l-8')
      const answer = await other.get(`/api/log?${period()}`)
      expect((answer.body as Answers['Log']).batches).toEqual([])
      const unknown = await other.get(`/api/log?${period({ method: kitchen.starter.methods[0]!.id })}`)
      expect((unknown.body as Answers['Log']).batches).toEqual([])
      const changes = await other.get(`/api/log/changes?${period()}`)
      expect((changes.body as Answers['Changes']).changes).toEqual([])
      const trends = await other.get(`/api/log/trends?${period()}`)
      expect((trends.body as Answers['Trends']).trend.measures).toEqual([])
    } finally {
      await other.app.close()
    }
  })

  // The last two: a tablet that nobody touches for hours locks.
  it('counts and filters by how it stands now, which time alone changes', async () => {
    const id = await cooked('l-2')
    expect(await codes({ standing: 'open' })).toContain('l-2')
    const { missed, unproven } = (await log()).counts
    const now = clock.now()
    clock.set(now + 8 * HOUR)
    const later = await log()
    expect(later.counts.missed + later.counts.unproven).toBeGreaterThan(missed + unproven)
    expect(later.batches.map((batch) => batch.id)).toContain(id)
  })

  it('tells how many of a time are proven, by whom, in what and with what, and what is looked at of each', async () => {
    const trends = async (more: Record<string, string> = {}) =>
      ((await kitchen.get(`/api/log/trends?${period(more)}`)).body as Answers['Trends']).trend
    const { counts, measures, groups, points } = await trends({ gate: 'cool-first' })
    const all = Object.values(counts).reduce((a, b) => a + b)
    expect(all).toBeGreaterThan(0)
    expect(measures.map(({ measure }) => measure.of)).toContain('gate')
    expect(groups.person.map(({ key }) => key)).toContain(kitchen.person('mina').id)
    expect(points.find(({ code }) => code === 'l-3')).toMatchObject({ standing: 'unproven', drawn: null })
    const paced = await trends({ pace: 'first reading', words: 'l-3' })
    expect(paced.points.map(({ drawn }) => drawn)).toEqual([10])
    const none = await kitchen.get(`/api/log/trends?${period({ pace: 'the moon' })}`)
    expect(none.status).toBe(400)
    expect((await trends({ words: 'no such dish' })).points).toEqual([])
  })
})
