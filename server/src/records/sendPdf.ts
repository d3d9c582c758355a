import type { Response } from 'express'

/** Shown in the browser; a name where it is saved. */
export function sendPdf(response: Response, name: string, pdf: Uint8Array): void {
  response.setHeader('Content-Type', 'application/pdf')
  response.setHeader('Content-Disposition', `inline; filename="${name}"`)
  response.send(Buffer.from(pdf))
}
