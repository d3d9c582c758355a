import { readFileSync } from 'node:fs'
import type { Server } from 'node:https'
import { DAY } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import type { Config } from '../config'
import { installServer } from './installPage'
import { certificatesIn } from './privateAuthority'

/** The configuration with the certificate of our own authority, where it is to have one. */
export async function withCertificate(config: Config): Promise<Config> {
  if (!config.authority) return config
  const { cert, key } = await certificatesIn(config.authority.folder, config.authority.names, clock.now())
  return { ...config, tls: { cert, key } }
}

/** Renews that certificate while the server runs, and serves the root on the next port. Returns what ends both. */
export async function keepCertificate(server: Server, { authority, host, port, address }: Config): Promise<() => void> {
  if (!authority) return () => undefined
  const { root } = await certificatesIn(authority.folder, authority.names, clock.now())
  const here = new URL(address)
  here.protocol = 'http:'
  here.port = String(port + 1)
  const install = await installServer(root, address, here.origin)
  await new Promise<void>((ready, failed) => install.once('error', failed).listen(port + 1, host, ready))
  const renewing = setInterval(() => void renew(server, authority), DAY / 2)
  return () => {
    clearInterval(renewing)
    install.close()
  }
}

/** Connections from now on get the certificate that is current now; open ones go on. */
export async function renew(server: Server, { folder, names }: NonNullable<Config['authority']>): Promise<void> {
  const { cert, key } = await certificatesIn(folder, names, clock.now())
  server.setSecureContext({ cert: readFileSync(cert), key: readFileSync(key) })
}
