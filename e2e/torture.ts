import { randomUUID } from 'node:crypto'
import { connect, createServer, type AddressInfo, type Socket } from 'node:net'
import { PINS, type RunningKitchen } from './kitchen'

/** What is done to a kitchen while all its tablets log. */
export interface Torture {
  clients: number
  serverKills: number
  databaseKills: number
}

/** What came of it. */
export interface Survived {
  /** Ids of entries whose taking was acknowledged to a tablet. */
  acknowledged: string[]
  /** Of all that were made; each is sent until it is answered. */
  made: number
  /** Answers that refused an entry: none has a reason to. */
  refused: string[]
  /** How often the same entry was sent once more. */
  repeated: number
  cuts: number
}

const PAUSE = 40
/** A post is given up after so long, ms. */
const GIVEN_UP = 5000
/** A tablet makes no more while so much of it waits. */
const MOST_WAITING = 100

/**
 * Kills the server and its database again and again while tablets log over a network that is cut at random, then lets all of
 * them send what they have.
 */
export async function torture(
  kitchen: RunningKitchen,
  { clients, serverKills, databaseKills }: Torture,
): Promise<Survived> {
  const network = await badNetwork(Number(new URL(kitchen.url).port))
  const tablets: Tablet[] = []
  while (tablets.length < clients) tablets.push(await Tablet.open(kitchen, network.url, tablets.length))
  let over = false
  const logging = tablets.map((tablet) => tablet.logs(() => over))
  const kills = [
    ...Array<'server'>(serverKills).fill('server'),
    ...Array<'database'>(databaseKills).fill('database'),
  ].sort(() => Math.random() - 0.5)
  for (const kill of kills) {
    await pause(200 + Math.random() * 1800)
    if (kill === 'server') {
      await kitchen.die()
      await kitchen.startAgain()
    } else {
      const letItStart = kitchen.killDatabase()
      await pause(Math.random() * 1500)
      letItStart()
      await answers(kitchen)
    }
  }
  network.mend()
  over = true
  await Promise.all(logging)
  network.close()
  return {
    acknowledged: tablets.flatMap(({ acknowledged }) => acknowledged),
    made: tablets.reduce((sum, { made }) => sum + made, 0),
    refused: tablets.flatMap(({ refused }) => refused),
    repeated: tablets.reduce((sum, { repeated }) => sum + repeated, 0),
    cuts: network.cuts(),
  }
}

interface Entry {
  id: string
}

/** A tablet as the program's own is to the server: it keeps what it made, in order, until that is answered. */
class Tablet {
  readonly acknowledged: string[] = []
  readonly refused: string[] = []
  made = 0
  repeated = 0
  private readonly outbox: (Entry & { tries: number; entry: object })[] = []

  private constructor(
    private readonly kitchen: RunningKitchen,
    private readonly url: string,
    private readonly cookie: string,
    private readonly claim: (body: object) => Entry,
  ) {}

  /** @param number which batch it logs on: of those that run, one after the other */
  static async open(kitchen: RunningKitchen, url: string, number: number): Promise<Tablet> {
    const json = async <T>(path: string, init: RequestInit = {}): Promise<{ data: T; cookie: string }> => {
      const answer = await fetch(`${kitchen.url}/api/${path}`, init)
      if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`)
      const cookie = answer.headers.getSetCookie().map((each) => each.split(';')[0]!)
      return { data: (await answer.json()) as T, cookie: cookie.join('; ') }
    }
    const { data: logins } = await json<{ id: string; people: { id: string; name: string }[] }[]>('login')
    const person = logins[0]!.people.find(({ name }) => name === 'Mina Osk')!.id
    const device = randomUUID()
    const { data, cookie } = await json<{ shift: { kitchen: string; person: string } }>('shift', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ kitchen: logins[0]!.id, person, pin: PINS['Mina Osk'], device }),
    })
    const { data: line } = await json<{ batches: { id: string }[] }>('line', { headers: { Cookie: cookie } })
    const about = { type: 'batch', id: line.batches[number % line.batches.length]!.id }
    const claim = (body: object) => {
      const at = kitchen.now
      const { kitchen: of, person: by } = data.shift
      return { id: randomUUID(), kitchen: of, kind: 'noted', v: 1, about, at, madeAt: at, by, device, body }
    }
    return new Tablet(kitchen, url, cookie, claim)
  }

  /** Makes entries until it is over, then sends what is left. */
  async logs(isOver: () => boolean): Promise<void> {
    while (!isOver() || this.outbox.length > 0) {
      if (!isOver() && this.outbox.length < MOST_WAITING) {
        const entry = this.claim({ text: `note ${this.made++}`, cue: null })
        this.outbox.push({ id: entry.id, tries: 0, entry })
      }
      await this.send()
      await pause(Math.random() * PAUSE)
    }
  }

  private async send(): Promise<void> {
    const some = this.outbox.slice(0, 100)
    for (const each of some) if (each.tries++ > 0) this.repeated++
    // With a timer of its own, which keeps it alive: a signal that nothing else holds may be lost with its request.
    const away = new AbortController()
    const giveUp = setTimeout(() => away.abort(), GIVEN_UP)
    try {
      const answer = await fetch(`${this.url}/api/entries`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', Cookie: this.cookie },
        body: JSON.stringify({ sentAt: this.kitchen.now, entries: some.map(({ entry }) => entry) }),
        signal: away.signal,
      })
      if (!answer.ok) return await pause(5 * PAUSE)
      const { results } = (await answer.json()) as { results: { id: string; outcome: string; code?: string }[] }
      for (const { id, outcome, code } of results) {
        const i = this.outbox.findIndex((each) => each.id === id)
        if (i >= 0) this.outbox.splice(i, 1)
        if (outcome === 'refused') this.refused.push(`${id} ${code}`)
        else this.acknowledged.push(id)
      }
    } catch {
      await pause(5 * PAUSE)
    } finally {
      clearTimeout(giveUp)
    }
  }
}

/** A way to the server on which any connection may break off at any time, before or after the server had what was sent. */
async function badNetwork(to: number) {
  const open = new Set<Socket>()
  let cuts = 0
  let cutting = true
  const server = createServer((client) => {
    const upstream = connect(to, '127.0.0.1')
    for (const [one, other] of [
      [client, upstream],
      [upstream, client],
    ] as const) {
      open.add(one)
      one.on('error', () => other.destroy())
      one.on('close', () => {
        open.delete(one)
        other.destroy()
      })
      one.pipe(other)
    }
  })
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
  const timer = setInterval(() => {
    if (!cutting) return
    for (const socket of open)
      if (Math.random() < 0.1) {
        cuts++
        socket.destroy()
      }
  }, 100)
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    cuts: () => cuts,
    mend: () => (cutting = false),
    close: () => {
      clearInterval(timer)
      for (const socket of open) socket.destroy()
      server.close()
    },
  }
}

/** Resolves once the server answers with its database. */
async function answers(kitchen: RunningKitchen): Promise<void> {
  for (;;) {
    const ready = await fetch(`${kitchen.url}/health/ready`).catch(() => null)
    if (ready?.ok) return
    await pause(100)
  }
}

const pause = (ms: number) => new Promise<void>((done) => setTimeout(done, ms))
