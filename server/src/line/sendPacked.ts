import type { Request, Response } from 'express'
import type { Packed } from './keptLines.service'

/** An answer that was put together and packed before. */
export function sendPacked(request: Request, response: Response, { plain, gzip }: Packed): void {
  response.type('json').vary('Accept-Encoding')
  if (request.acceptsEncodings('gzip')) response.set('Content-Encoding', 'gzip').send(gzip)
  else response.send(plain)
}
