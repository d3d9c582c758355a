import { PDFDict, PDFDocument, PDFName } from 'pdf-lib'
import type { TestKitchen } from './kitchen'

/** A document that a route answers, how many bookmarks it has, whether it is tagged, and of how many columns it tells the title. */
export async function readPdf(
  kitchen: TestKitchen,
  path: string,
): Promise<{ document: PDFDocument; bookmarks: number; tags: boolean; columns: number }> {
  const answer = await kitchen
    .get(path)
    .buffer(true)
    .parse((response, done) => {
      const pieces: Buffer[] = []
      response.on('data', (piece: Buffer) => pieces.push(piece))
      response.on('end', () => done(null, Buffer.concat(pieces)))
    })
  expect([answer.status, answer.headers['content-type']]).toEqual([200, 'application/pdf'])
  const document = await PDFDocument.load(answer.body as Buffer, { updateMetadata: false })
  const { catalog } = document
  const outlines = catalog.lookupMaybe(PDFName.of('Outlines'), PDFDict)
  let bookmarks = 0
  for (let next = outlines?.lookupMaybe(PDFName.of('First'), PDFDict); next; bookmarks++)
    next = next.lookupMaybe(PDFName.of('Next'), PDFDict)
  const marked = catalog.lookupMaybe(PDFName.of('MarkInfo'), PDFDict)?.get(PDFName.of('Marked'))
  const columns = document.context
    .enumerateIndirectObjects()
    .flatMap(([, each]) => (each instanceof PDFDict ? (each.lookupMaybe(PDFName.of('A'), PDFDict) ?? []) : []))
    .filter((attributes) => attributes.get(PDFName.of('Scope'))?.toString() === '/Column').length
  return {
    document,
    columns,
    bookmarks,
    tags: marked?.toString() === 'true' && catalog.has(PDFName.of('StructTreeRoot')) && catalog.has(PDFName.of('Lang')),
  }
}
