import { readFileSync } from 'node:fs'
import { createServer, type Server } from 'node:http'
import { toString as drawn } from 'qrcode'

/**
 * A small server without TLS from which a tablet takes the root certificate. It serves that and nothing else.
 * @param address where the program itself is then opened
 * @param here its own address, for the next tablet
 */
export async function installServer(root: string, address: string, here: string): Promise<Server> {
  const code = await drawn(here, { type: 'svg', margin: 1, width: 220 })
  const page = pageOf(address, here, code)
  const headers = { 'Cache-Control': 'no-store', 'X-Content-Type-Options': 'nosniff' }
  return createServer((request, response) => {
    if (request.url === '/root.crt')
      response.writeHead(200, { ...headers, 'Content-Type': 'application/x-x509-ca-cert' }).end(readFileSync(root))
    else if (request.url === '/')
      response.writeHead(200, { ...headers, 'Content-Type': 'text/html; charset=utf-8' }).end(page)
    else response.writeHead(404, headers).end('There is nothing at this address.')
  })
}

function pageOf(address: string, here: string, code: string): string {
  return `<!doctype html>
<html lang="en">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Logged Thermal on this tablet</title>
<style>
  body { font: 18px/1.5 system-ui, sans-serif; max-width: 34rem; margin: 2rem auto; padding: 0 1rem; color: #1c2321 }
  a { display: inline-block; padding: .8rem 1.2rem; border: 2px solid; border-radius: .5rem; color: inherit; font-weight: 600 }
  li { margin: 1rem 0 }
</style>
<h1>Put Logged Thermal on this tablet</h1>
<p>Once for each tablet. The certificate tells the tablet that it talks to your kitchen's own server and to nobody else.</p>
<ol>
  <li><a href="/root.crt">Download the certificate</a></li>
  <li>Open the file. In the tablet's settings, install it as a certificate authority and trust it for web pages.
    If the tablet belongs to somebody who manages it, ask them first.</li>
  <li><a href="${address}">Open Logged Thermal</a><br>If the tablet warns about the page, the certificate is not installed yet.
    Do not tap the warning away: without it the tablet cannot keep readings while the network is down.</li>
</ol>
<p>The next tablet: scan this, or type ${here}</p>
${code}
`
}
