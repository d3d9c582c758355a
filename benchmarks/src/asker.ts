import { Agent, request } from 'node:http'
import { parentPort, Worker } from 'node:worker_threads'

interface Asked {
  port: number
  method: 'GET' | 'POST'
  path: string
  body: unknown
  cookie: string
}

interface Answered {
  status: number
  cookie: string
  text: string
  /** From the request to the last byte of the answer. */
  ms: number
}

/** A client in a thread of its own, as a tablet is: what it does with an answer is not the server's time. */
export function openAsker(port: number) {
  const worker = new Worker(__filename)
  const ask = (method: Asked['method'], path: string, body: unknown = null, cookie = '') =>
    new Promise<Answered>((done, failed) => {
      worker.once('message', (answer: Answered | string) =>
        typeof answer === 'string' ? failed(new Error(answer)) : done(answer),
      )
      worker.postMessage({ port, method, path, body, cookie } satisfies Asked)
    })
  return { ask, close: () => worker.terminate() }
}

const agent = new Agent({ keepAlive: true, maxSockets: 1 })

parentPort?.on('message', ({ port, method, path, body, cookie }: Asked) => {
  const began = performance.now()
  const headers = { 'Content-Type': 'application/json', cookie }
  const sent = request({ port, host: '127.0.0.1', path, method, agent, headers }, (response) => {
    const pieces: Buffer[] = []
    response.on('data', (piece: Buffer) => pieces.push(piece))
    response.on('end', () =>
      parentPort!.postMessage({
        status: response.statusCode ?? 0,
        cookie: response.headers['set-cookie']?.[0]?.split(';')[0] ?? '',
        text: Buffer.concat(pieces).toString(),
        ms: performance.now() - began,
      } satisfies Answered),
    )
  })
  sent.on('error', (error) => parentPort!.postMessage(String(error)))
  sent.end(body === null ? undefined : JSON.stringify(body))
})
