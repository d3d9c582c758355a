// Under which names and addresses this machine is reached.
import { hostname, networkInterfaces } from 'node:os'

/** IPv4 addresses in the networks of this machine, without loopback. */
export function lanAddresses() {
  return Object.values(networkInterfaces())
    .flat()
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address)
}

/** Names for a certificate: all under which a tablet may open the program. */
export function namesOf(host) {
  const own = host === '0.0.0.0' ? lanAddresses() : [host]
  return [...new Set([hostname(), 'localhost', '127.0.0.1', ...own])]
}

/** Addresses that a browser can open: on every network that the host stands for. */
export function addressesOf({ host, port, secure }) {
  const hosts = host === '0.0.0.0' ? [...lanAddresses(), '127.0.0.1'] : [host]
  return hosts.map((each) => `${secure ? 'https' : 'http'}://${each.includes(':') ? `[${each}]` : each}:${port}`)
}
