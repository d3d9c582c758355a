// What npm start can be told, checked before anything is begun.
import { createPrivateKey, X509Certificate } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { aheadOf } from './at.mjs'
import { Told } from './run.mjs'

const HELP = `npm start -- [options]
  --port N       where to serve (4310)
  --host H       address to serve on (127.0.0.1; 0.0.0.0 for tablets in the kitchen)
  --tls          serve over TLS with a certificate of this installation; tablets install its root once
  --cert F --key F   PEM files: serve over TLS with a certificate of yours
  --address URL  where tablets open it, if that is another address than it listens on
  --at T         begin at another time, as 2027-03-28T01:30+01:00
  --mail         letters go to a mail server of the demo's own: a file each beside the data, and none leaves the machine
  --empty        a new database waits for a kitchen of yours: the console shows the code that sets it up
  --reset-demo   throw the demo away and begin it anew; a backup is written first`

export function startOptions() {
  const values = given()
  if (values.help) {
    console.log(HELP)
    process.exit(0)
  }
  const port = Number(values.port ?? 4310)
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Told(`--port ${values.port} is not a port, 1 to 65535.`)
  if (Boolean(values.cert) !== Boolean(values.key)) throw new Told('--cert and --key belong together.')
  if (values.cert && values.tls) throw new Told('--tls makes a certificate, --cert brings one: only one of them.')
  if (values.empty && values['reset-demo']) throw new Told('--empty and --reset-demo want different things.')
  return {
    port,
    aheadMs: aheadOf(values.at),
    host: values.host ?? '127.0.0.1',
    cert: values.cert && pem(values.cert, (text) => new X509Certificate(text), 'certificate'),
    key: values.key && pem(values.key, createPrivateKey, 'private key'),
    tls: values.tls ?? false,
    address: values.address,
    mail: values.mail ?? false,
    empty: values.empty ?? false,
    reset: values['reset-demo'] ?? false,
  }
}

function given() {
  const text = { type: 'string' }
  const flag = { type: 'boolean' }
  const options = { port: text, host: text, cert: text, key: text, address: text, at: text }
  const flags = { tls: flag, mail: flag, empty: flag, 'reset-demo': flag, help: flag }
  try {
    return parseArgs({ options: { ...options, ...flags } }).values
  } catch (error) {
    throw new Told(`${error.message}\n${HELP}`)
  }
}

/** The path of a PEM file that holds what it should. */
function pem(file, read, what) {
  if (!existsSync(file)) throw new Told(`${file} is not there.`)
  try {
    read(readFileSync(file))
  } catch {
    throw new Told(`${file} is no ${what} in PEM format.`)
  }
  return resolve(file)
}
