import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { mkdtempSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, request, type Browser, type Locator, type Page } from '@playwright/test'
import { Client } from 'pg'
import { freePort } from '../scripts/freePort.mjs'
import { copyFilled } from './filledKitchen'

/** A tablet that nobody touches for so many minutes is told of as touched again: a story waits for that. */
const AT_REST = 5

export const PINS = { 'Mina Osk': '1182', 'Teo Brandt': '3394', 'Ilse Varrow': '407153', 'Noor Hallet': '6025' }

/** The program as a user starts it: npm start, over a data folder of its own. */
export class RunningKitchen {
  private constructor(
    readonly url: string,
    private readonly folder: string,
    private readonly port: number,
    private child: ChildProcess,
    private aheadMs: number,
    /** What its console said until it was ready. */
    readonly printed: string,
    private readonly env: Record<string, string>,
  ) {}

  /**
   * A demo kitchen in the afternoon of today.
   * @param options of npm start, as ['--empty']
   * @param env more of the environment that it runs in
   */
  static async open(options: string[] = [], env: Record<string, string> = {}): Promise<RunningKitchen> {
    const folder = mkdtempSync(join(tmpdir(), 'lt-e2e-'))
    const port = await freePort()
    const at = (options.includes('--empty') ? null : copyFilled(folder)) ?? thisAfternoon()
    const aheadMs = at - Date.now()
    writeFileSync(join(folder, CLOCK), String(aheadMs))
    const { child, printed } = await start(folder, port, env, options)
    return new RunningKitchen(`http://127.0.0.1:${port}`, folder, port, child, aheadMs, printed, env)
  }

  /**
   * A tablet of its own, with a shift that this person opened: without the taps that `openShift` makes, for most stories
   * begin after them. An error in the page fails the story.
   */
  async person(browser: Browser, name: keyof typeof PINS): Promise<Page> {
    const context = await browser.newContext()
    const page = await context.newPage()
    page.on('pageerror', (error) => expect(error.message).toBe(''))
    // With connections of its own: one that a story finds again later may have been closed by then.
    const door = await request.newContext()
    const kitchens = (await (await door.get(`${this.url}/api/login`)).json()) as {
      id: string
      people: { id: string; name: string }[]
    }[]
    const of = ({ people }: (typeof kitchens)[number]) => people.find((person) => person.name === name)
    const kitchen = kitchens.find(of)!
    const data = { kitchen: kitchen.id, person: of(kitchen)!.id, pin: PINS[name], device: randomUUID() }
    expect((await door.post(`${this.url}/api/shift`, { data })).status()).toBe(200)
    await context.addCookies((await door.storageState()).cookies)
    await door.dispose()
    inNoHaste(page)
    await page.goto(this.url)
    await expect(page.getByText('logging as')).toBeVisible()
    return page
  }

  /** The code of a batch of the demo: the number of its day in the year, and which it was of that day. */
  code(number: number, daysAgo = 0): string {
    const day = new Date(this.now - daysAgo * 86_400_000)
    return `${Math.floor((day.getTime() - Date.UTC(day.getUTCFullYear(), 0, 1)) / 86_400_000) + 1}-${number}`
  }

  /** The kitchen's clock, ms. */
  get now(): number {
    return Date.now() + this.aheadMs
  }

  /**
   * Lets minutes pass: the kitchen's clock goes on at once, and so do the clocks of these tablets. What was tapped on them
   * before is sent first: else it would be entered late.
   */
  async passes(minutes: number, ...pages: Page[]): Promise<void> {
    for (const page of pages) await sent(page)
    this.aheadMs += minutes * 60_000
    // All at once: the server never sees half of it.
    writeFileSync(join(this.folder, `${CLOCK}.new`), String(this.aheadMs))
    renameSync(join(this.folder, `${CLOCK}.new`), join(this.folder, CLOCK))
    await expect.poll(() => this.toldNow()).toBeGreaterThanOrEqual(this.now - 2000)
    for (const page of pages) {
      await page.waitForFunction(
        (ahead) => {
          const shown = document.querySelector<HTMLTimeElement>('header time')
          return shown !== null && Date.parse(shown.dateTime) >= Date.now() + ahead
        },
        this.aheadMs - 2000,
        { polling: 50 },
      )
      // Nothing locks in so short a time.
      if (minutes < AT_REST) continue
      // Hands stay with it: what nobody touches would lock. That is told before the clock goes on again.
      const told = page.waitForResponse((answer) => answer.url().endsWith('/api/shift/touched'), { timeout: 2000 })
      await page.keyboard.press('Shift')
      await told.catch(() => undefined)
    }
  }

  /** The clock as the server tells it to anybody, ms. */
  private async toldNow(): Promise<number> {
    return Number((await fetch(`${this.url}/api/login`)).headers.get('lt-now'))
  }

  /** Stops it as Ctrl-C does. */
  async stop(): Promise<void> {
    const ended = new Promise((done) => this.child.once('exit', done))
    this.child.kill('SIGINT')
    await ended
  }

  /** Dies as in a power cut: nothing is told, PostgreSQL is left behind. */
  async die(): Promise<void> {
    const ended = new Promise((done) => this.child.once('exit', done))
    const server = serverOf(this.child)
    // The one that started it first: it would say that the server ended, and stop the database too.
    this.child.kill('SIGKILL')
    process.kill(server, 'SIGKILL')
    await ended
  }

  /** Takes PostgreSQL away from under the running server. Returns what lets the program start it again. */
  killDatabase(): () => void {
    const { data } = JSON.parse(readFileSync(join(this.folder, 'cluster.json'), 'utf8')) as { data: string }
    const [settings, away] = [join(data, 'postgresql.conf'), join(data, 'postgresql.away')]
    renameSync(settings, away)
    process.kill(Number(readFileSync(join(data, 'postmaster.pid'), 'utf8').split('\n')[0]), 'SIGQUIT')
    return () => renameSync(away, settings)
  }

  /** Somebody else holds the logbook in its database, as a long piece of work may. Returns what lets go of it. */
  async holdLogbook(): Promise<() => Promise<void>> {
    const holder = await this.owner()
    await holder.query('begin')
    await holder.query('lock table chain_head in exclusive mode')
    return () => holder.end()
  }

  /** The disk of its database is full: PostgreSQL raises what it does then. Returns what makes room again. */
  async fillDisk(): Promise<() => Promise<void>> {
    const owner = await this.owner()
    await owner.query(`create function no_room() returns trigger language plpgsql as
      $$ begin raise exception 'could not extend file: No space left on device' using errcode = '53100'; end $$`)
    await owner.query('create trigger no_room before insert on entry for each row execute function no_room()')
    return async () => {
      await owner.query('drop function no_room() cascade')
      await owner.end()
    }
  }

  private async owner(): Promise<Client> {
    const { port, passwords } = JSON.parse(readFileSync(join(this.folder, 'cluster.json'), 'utf8')) as {
      port: number
      passwords: { owner: string }
    }
    const owner = new Client({
      host: '127.0.0.1',
      port,
      user: 'lt_owner',
      password: passwords.owner,
      database: 'logged_thermal',
    })
    await owner.connect()
    return owner
  }

  /** `npm run ledger`, over its data. Returns what it said. */
  ledger(...args: string[]): string {
    const env = { ...process.env, LT_DATA: this.folder, LT_CLOCK_FILE: join(this.folder, CLOCK) }
    const { stdout, stderr } = spawnSync(process.execPath, ['scripts/ledger.mjs', ...args], { env, encoding: 'utf8' })
    return `${stdout}${stderr}`
  }

  /** A file beside its data. */
  file(name: string): string {
    return join(this.folder, name)
  }

  /** The disk is lost: nothing is left but what lies beside the data. Stopped before. */
  loseDisk(): void {
    const { data } = JSON.parse(readFileSync(join(this.folder, 'cluster.json'), 'utf8')) as { data: string }
    rmSync(data, { recursive: true, force: true })
    for (const name of ['cluster.json', 'signing-keys.json', 'signed-heads.json']) rmSync(join(this.folder, name))
  }

  async startAgain(): Promise<void> {
    this.child = (await start(this.folder, this.port, this.env)).child
  }

  async close(): Promise<void> {
    await this.stop()
    rmSync(this.folder, { recursive: true, force: true })
  }
}

/** Resolves once what was tapped on a page has been sent. */
export async function sent(page: Page): Promise<void> {
  await expect(page.locator('html[data-unsent], html[data-unwritten]')).toHaveCount(0)
}

/**
 * Hands take longer than a program: what was tapped is written down before the page is left, and sent before its tablet is put
 * away, unless there is no server.
 */
function inNoHaste(page: Page): void {
  const until = (marks: string) =>
    page
      .locator(marks)
      .waitFor({ state: 'detached', timeout: 5000 })
      .catch(() => undefined)
  const context = page.context()
  const [goto, close] = [page.goto.bind(page), context.close.bind(context)]
  page.goto = async (...args) => {
    await until('html[data-unwritten]')
    return goto(...args)
  }
  context.close = async (...args) => {
    await until('html[data-unsent], html[data-unwritten]')
    return close(...args)
  }
}

/** Opens the shift with a name and its PIN. */
export async function openShift(page: Page, url: string, name: keyof typeof PINS): Promise<void> {
  await page.goto(url)
  await page.getByRole('button', { name }).click()
  await signAs(page, name)
  // A tablet that nobody enrolled is not told how many digits there are.
  await page.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(page.getByText('logging as')).toBeVisible()
}

/** Signs what is asked with somebody's PIN. */
export async function signAs(page: Page, name: keyof typeof PINS): Promise<void> {
  for (const digit of PINS[name])
    await page.getByRole('region', { name: 'PIN' }).getByRole('button', { name: digit, exact: true }).click()
}

/** Goes to a place that is not in the bar. */
export async function goTo(page: Page, place: string): Promise<void> {
  await page.getByRole('link', { name: 'More', exact: true }).click()
  await page.getByRole('main').getByRole('link', { name: place }).first().click()
}

/** Taps what belongs to the person or the tablet, under the name in the header. */
export async function inMenu(page: Page, key: string | RegExp): Promise<void> {
  await page.locator('.header-logging-as').click()
  const menu = page.getByRole('dialog', { name: 'Tap your name' })
  await menu.getByRole('button', { name: key, exact: typeof key === 'string' }).click()
  if (await menu.isVisible()) await menu.getByRole('button', { name: 'Not now' }).click()
  await expect(menu).toBeHidden()
}

/** Chooses in a list that drops down. */
export async function choose(within: Page | Locator, label: string | RegExp, option: string | RegExp): Promise<void> {
  await within.getByRole('combobox', { name: label }).click()
  const page = 'page' in within ? within.page() : within
  await page.getByRole('option', { name: option, exact: typeof option === 'string' }).click()
  await expect(page.getByRole('listbox')).toBeHidden()
}

/** Types a day into a field of day, month and year: '2099-01-01'. */
export async function typeDay(page: Page, label: string, day: string): Promise<void> {
  const [year, month, date] = day.split('-') as [string, string, string]
  await page.getByRole('group', { name: label }).getByRole('spinbutton', { name: 'Day' }).click()
  await page.keyboard.type(
    `${date}${new Date(Date.UTC(2000, Number(month) - 1)).toLocaleString('en', { month: 'short' })}${year}`,
  )
}

/** Types a time of day on a 24 h clock: '23:05'. */
export async function typeTime(within: Page | Locator, label: string, time: string): Promise<void> {
  const group = within.getByRole('group', { name: label, exact: true })
  const hours = group.getByRole('spinbutton', { name: 'Hours' })
  const page = 'page' in within ? within.page() : within
  // On a busy machine the field may not have the keys yet when they come.
  await expect(async () => {
    await hours.click()
    await page.keyboard.type(time.replace(':', ''))
    await expect(hours).toHaveText(time.slice(0, 2), { timeout: 1000 })
    await expect(group.getByRole('spinbutton', { name: 'Minutes' })).toHaveText(time.slice(3), { timeout: 1000 })
  }).toPass()
}

/** Taps the first key of a name: exactly it, or as a pattern says. */
export async function tap(page: Page, name: string | RegExp): Promise<void> {
  await page
    .getByRole('button', { name, exact: typeof name === 'string' })
    .first()
    .click()
}

/** Logs a reading on the degree board, by taps: tens if they are not in view, degree, tenth. */
export async function tapReading(page: Page, value: number): Promise<number> {
  const [degree, tenth] = value.toFixed(1).split('.') as [string, string]
  const board = page.getByRole('region', { name: /Degree board/ })
  const key = board.getByRole('button', { name: degree, exact: true })
  const tens = board.getByRole('button', { name: `${Math.floor(Number(degree) / 10) * 10}s in view`, exact: true })
  let taps = 2
  // As soon as there is a board: after a reload that takes a moment.
  await expect(key.or(tens).first()).toBeVisible()
  if (!(await key.isVisible())) {
    await tens.click()
    taps++
  }
  await key.click()
  await board.getByRole('button', { name: `.${tenth}`, exact: true }).click()
  return taps
}

function start(
  folder: string,
  port: number,
  more: Record<string, string>,
  options: string[] = [],
): Promise<{ child: ChildProcess; printed: string }> {
  const child = spawn(process.execPath, ['scripts/start.mjs', '--port', String(port), ...options], {
    env: { ...process.env, ...more, LT_DATA: folder, LT_CLOCK_FILE: join(folder, CLOCK) },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  return new Promise((ready, failed) => {
    let printed = ''
    child.stdout?.on('data', (chunk: Buffer) => {
      printed += chunk.toString()
      if (printed.includes('Logged Thermal is at')) ready({ child, printed })
    })
    child.once('exit', (code) => failed(new Error(`npm start ended with ${code}:\n${printed}`)))
  })
}

/** The process that serves, of those that npm start has under it. */
function serverOf({ pid }: ChildProcess): number {
  const under = readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8').trim().split(' ').map(Number)
  return under.find((each) => readFileSync(`/proc/${each}/cmdline`, 'utf8').includes('server/dist/main.js'))!
}

const CLOCK = 'clock-ahead'

/** Half past two in the afternoon of the day of the tests, UTC: late enough for a day's work. */
function thisAfternoon(): number {
  const now = Date.now() + Number(process.env.LT_CLOCK_AHEAD_MS ?? 0)
  return Math.floor(now / 86_400_000) * 86_400_000 + 14.5 * 3_600_000
}
