import { Agent, request } from 'node:http'
import { v7 as uuid } from 'uuid'

/** What a crowd of clients is to do. */
export interface Crowd {
  port: number
  cookie: string
  clients: number
  /** Each asks again until then, ms; 0: once. */
  lasts: number
  /** Between an answer and the next question, ms. */
  pause: number
  method: 'GET' | 'POST'
  path: string
  /** Of a POST: a claim to be sent with an id and a time of its own, so many at a time, client by client about another. */
  claim?: { template: object; about: string[]; many: number }
}

export interface Came {
  /** From each question to the last byte of its answer, ms. */
  ms: number[]
  /** Answers that were not 200, by status. */
  other: Record<number, number>
  /** All in all, ms. */
  took: number
}

async function crowd(job: Crowd): Promise<Came> {
  const agent = new Agent({ keepAlive: true, maxSockets: job.clients })
  const came: Came = { ms: [], other: {}, took: 0 }
  const began = performance.now()
  await Promise.all(
    Array.from({ length: job.clients }, async (_, i) => {
      do {
        const asked = performance.now()
        const status = await ask(agent, job, i)
        came.ms.push(performance.now() - asked)
        if (status !== 200) came.other[status] = (came.other[status] ?? 0) + 1
        if (job.pause > 0) await new Promise((go) => setTimeout(go, job.pause))
      } while (performance.now() - began < job.lasts)
    }),
  )
  came.took = performance.now() - began
  agent.destroy()
  return came
}

function ask(agent: Agent, { port, cookie, method, path, claim }: Crowd, client: number): Promise<number> {
  const headers = { 'Content-Type': 'application/json', 'Accept-Encoding': 'gzip', cookie }
  return new Promise((done, failed) => {
    const sent = request({ port, host: '127.0.0.1', path, method, agent, headers }, (response) => {
      response
        .on('error', failed)
        .on('end', () => done(response.statusCode ?? 0))
        .resume()
    })
    sent.on('error', failed)
    sent.end(claim && JSON.stringify(bodyOf(claim, client)))
  })
}

function bodyOf({ template, about, many }: NonNullable<Crowd['claim']>, client: number): object {
  const now = Date.now()
  const own = { about: { type: 'batch', id: about[client % about.length] }, at: now, madeAt: now }
  return { sentAt: now, entries: Array.from({ length: many }, () => ({ ...template, ...own, id: uuid() })) }
}

process.on('message', (job: Crowd) => {
  crowd(job).then(
    (came) => process.send!(came),
    (error: unknown) => process.send!({ error: String(error) }),
  )
})
