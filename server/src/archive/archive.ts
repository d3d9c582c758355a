import { createWriteStream } from 'node:fs'
import { rename, rm } from 'node:fs/promises'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { ZipFile } from 'yazl'
import { CORE_VERSION, type Hash, type Id, type Instant, type Role } from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { ndjson } from '../proof/ndjson'
import type { Proofs } from '../proof/proofs.service'

/** What an archive says of its kitchen beside the logbook. No PIN, no password and no key is in it. */
export interface ArchivedKitchen {
  archive: 1
  made: Instant
  core: string
  kitchen: { id: Id; name: string; zone: string; unit: 'C' | 'F'; limitsId: Id }
  people: { id: Id; name: string; role: Role; job: string }[]
  /** Of photos by the hash that entries name: when each was kept, by whom. */
  photos: Record<Hash, { at: Instant; by: Id }>
}

/** Names in an archive. */
export const NAMES = { kitchen: 'kitchen.json', logbook: 'logbook.proof', photo: (hash: Hash) => `photos/${hash}.jpg` }

/** A whole kitchen as one file that proves itself. Throws an Error where there is no such kitchen. */
export async function archive(
  scope: KitchenScope,
  proofs: Proofs,
  kitchenId: Id,
  path: string,
  made: Instant,
): Promise<number> {
  const head = await proofs.head(kitchenId)
  const said = await saidOf(scope, kitchenId, made)
  const zip = new ZipFile()
  zip.addBuffer(Buffer.from(JSON.stringify(said, null, 2)), NAMES.kitchen)
  zip.addReadStream(Readable.from(ndjson(proofs.lines(kitchenId, head, 'all'))), NAMES.logbook)
  for (const hash of Object.keys(said.photos))
    zip.addReadStreamLazy(NAMES.photo(hash), { compress: false }, (done) => {
      photoOf(scope, kitchenId, hash).then(
        (bytes) => done(null, Readable.from([bytes])),
        (error: Error) => done(error, Readable.from([])),
      )
    })
  zip.end()
  const part = `${path}.part`
  try {
    await pipeline(zip.outputStream, createWriteStream(part, { mode: 0o600, flags: 'wx' }))
    await rename(part, path)
  } catch (error) {
    await rm(part, { force: true })
    throw error
  }
  return head.seq
}

async function saidOf(scope: KitchenScope, kitchenId: Id, made: Instant): Promise<ArchivedKitchen> {
  return scope.inKitchen(kitchenId, async (em) => {
    const [kitchen] = await query<ArchivedKitchen['kitchen']>(em, {
      sql: 'select id, name, zone, unit, limits_id as "limitsId" from kitchen where id = ?',
      params: [kitchenId],
    })
    if (!kitchen) throw new Error('There is no such kitchen.')
    const people = await query<ArchivedKitchen['people'][number]>(em, {
      sql: 'select id, name, role, job from person where kitchen_id = ? order by id',
      params: [kitchenId],
    })
    const photos = await query<{ hash: Hash; at: Instant; by: Id }>(em, {
      sql: 'select hash, at::float8 as at, by from photo where kitchen_id = ? order by hash',
      params: [kitchenId],
    })
    const kept = Object.fromEntries(photos.map(({ hash, at, by }) => [hash, { at, by }]))
    return { archive: 1, made, core: CORE_VERSION, kitchen, people, photos: kept }
  })
}

async function photoOf(scope: KitchenScope, kitchenId: Id, hash: Hash): Promise<Buffer> {
  const [photo] = await scope.inKitchen(kitchenId, (em) =>
    query<{ bytes: Buffer }>(em, {
      sql: 'select bytes from photo where kitchen_id = ? and hash = ?',
      params: [kitchenId, hash],
    }),
  )
  return photo!.bytes
}
