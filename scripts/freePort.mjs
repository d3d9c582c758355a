import { createServer } from 'node:net'

/** Below those that systems give to outgoing connections: what is free now stays free while its server is down. */
const [FIRST, COUNT] = [20_000, 10_000]

/** A port of this machine that nobody has. */
export async function freePort() {
  const port = FIRST + Math.floor(Math.random() * COUNT)
  return (await isFree(port)) ? port : freePort()
}

/** Whether nobody listens there, nor is connected from there. */
export function isFree(port) {
  return new Promise((done) => {
    const server = createServer()
    server.once('error', () => done(false))
    server.listen(port, '127.0.0.1', () => server.close(() => done(true)))
  })
}
