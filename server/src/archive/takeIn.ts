import type { Readable } from 'node:stream'
import { createInterface } from 'node:readline'
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql'
import { checkProof, unreadableSentence, UnreadableFile } from '@logged-thermal/checker'
import {
  GENESIS,
  headSaidBy,
  type Hash,
  type Id,
  type ProofFound,
  type PublicKey,
  type SignedText,
} from '@logged-thermal/core'
import { proofFaultSentence, type Reader } from '@logged-thermal/wording'
import { headOf, newKeptEntries } from '../backup/keptEntries'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { enterAsInstallation } from '../ledger/installation'
import { rebuild } from '../ledger/rebuild'
import { SaidInLogbook } from './saidInLogbook'
import { hashSecret } from '../people/secretHash'
import { ArchiveFile } from './archiveFile'

/** What was taken in. */
export interface TakenIn {
  id: Id
  name: string
  entries: number
  /** By which the heads in it were signed. */
  keys: PublicKey[]
  /** Nothing in it was signed: nothing vouches for it but itself. */
  unsigned: boolean
}

const PIECE = 500

/**
 * Takes the kitchen of an archive in, beside those that are there: all of it or nothing, once everything in it was checked.
 * PINs and passwords are not in it. Throws an Error with a sentence where it is damaged, changed, of a newer version, or here already.
 *
 * @param owner of the role that owns
 */
export async function takeIn(owner: MikroORM, path: string): Promise<TakenIn> {
  const file = await ArchiveFile.open(path)
  try {
    const { said } = file
    const { id, name } = said.kitchen
    const scope = new KitchenScope(owner.em.fork())
    const known = (await scope.kitchens()).find((kitchen) => kitchen.id === id)
    if (known) throw new Error(`This kitchen is here already: ${known.name}.`)
    const found = await checked(path, file)
    let keys: PublicKey[] = []
    const told = new SaidInLogbook()
    await owner.em.fork().transactional(async (em) => {
      await begin(em, file)
      keys = await takeLogbook(em, id, await file.logbook(), told)
      await haveRoles(em, path, file, told)
      for (const [hash, { at, by }] of Object.entries(said.photos))
        await query(em, {
          sql: 'insert into photo (kitchen_id, hash, bytes, at, by) values (?, ?, ?, ?, ?)',
          params: [id, hash, await file.photo(hash), at, by],
        })
    })
    await rebuild(scope, id)
    const { seq, hash } = await headOf(scope, id)
    await enterAsInstallation(scope, id, 'restored', { backupMade: said.made, seq, hash })
    return { id, name, entries: found.shown, keys, unsigned: found.head === null }
  } finally {
    file.close()
  }
}

/** The logbook, checked as everybody may check it. Throws an Error with a sentence. */
async function checked(path: string, file: ArchiveFile): Promise<ProofFound> {
  const found = await checkProof(await file.logbook(), { size: file.logbookSize }).catch((error: unknown) => {
    throw error instanceof UnreadableFile ? new Error(`${path}: ${unreadableSentence(error)}`, { cause: error }) : error
  })
  const [fault] = found.faults.filter(({ code }) => code !== 'nothing signed')
  if (fault) throw new Error(`${path} does not check out. ${proofFaultSentence(fault, PLAIN)}`)
  if (found.cautions.some(({ code }) => code === 'other zone'))
    throw new Error(`${path} names another time zone than its logbook was written in: its days would be other days.`)
  if (found.cautions.some(({ code }) => code === 'not read'))
    throw new Error(`${path} was made by a newer version of this program. Bring this one up to it first.`)
  if (found.left > 0 || found.header?.covers !== 'all') throw new Error(`${path} holds only a part of a logbook.`)
  const { id, zone } = file.said.kitchen
  if (found.header.kitchen !== id || found.header.zone !== zone)
    throw new Error(`${path}: its logbook is of another kitchen, or of another zone.`)
  return found
}

async function begin(em: EntityManager, { said }: ArchiveFile): Promise<void> {
  const { id, name, zone, unit, limitsId } = said.kitchen
  await query(em, { sql: `select set_config('lt.kitchen', ?, true)`, params: [id] })
  await query(em, {
    sql: 'insert into kitchen (id, name, zone, unit, limits_id) values (?, ?, ?, ?, ?)',
    params: [id, name, zone, unit, limitsId],
  })
  await query(em, {
    sql: 'insert into chain_head (kitchen_id, seq, hash) values (?, 0, ?)',
    params: [id, GENESIS.hash],
  })
  for (const person of said.people)
    await query(em, {
      sql: 'insert into person (kitchen_id, id, name, role, job, pin_hash, pin_digits) values (?, ?, ?, ?, ?, ?, ?)',
      // Nobody knows it: the lead gets a PIN on the server, and gives the others theirs.
      params: [id, person.id, person.name, person.role, person.job ?? '', await hashSecret(crypto.randomUUID()), 4],
    })
}

/** @returns the keys that its heads were signed by */
async function takeLogbook(
  em: EntityManager,
  kitchen: Id,
  logbook: Readable,
  told: SaidInLogbook,
): Promise<PublicKey[]> {
  const entries = newKeptEntries(em, kitchen)
  let keys: PublicKey[] = []
  let piece: string[] = []
  for await (const text of createInterface({ input: logbook, crlfDelay: Infinity })) {
    const line = JSON.parse(text) as { entry?: string; hash?: Hash; keys?: PublicKey[]; heads?: SignedText[] }
    if (line.keys) keys = line.keys
    if (line.heads) await takeHeads(em, kitchen, line.heads)
    if (line.entry !== undefined) told.read(line.entry)
    if (line.entry !== undefined && piece.push(line.entry) === PIECE) {
      await entries(piece)
      piece = []
    }
  }
  await entries(piece)
  return keys
}

async function takeHeads(em: EntityManager, kitchen: Id, heads: readonly SignedText[]): Promise<void> {
  for (const { statement, signature } of heads)
    await query(em, {
      sql: 'insert into signed_head (kitchen_id, seq, statement, signature) values (?, ?, ?, ?) on conflict do nothing',
      params: [kitchen, headSaidBy({ statement, signature })!.seq, statement, signature],
    })
}

/** Who works there and which limits are the kitchen's, as the logbook has it: the archive's own word for that proves nothing. */
async function haveRoles(em: EntityManager, path: string, { said }: ArchiveFile, told: SaidInLogbook): Promise<void> {
  if (!told.limits.has(said.kitchen.limitsId)) throw new Error(`${path} names other limits than its logbook has.`)
  const stranger = said.people.find(({ id }) => !told.roles.has(id))
  if (stranger) throw new Error(`${path} lists ${stranger.name}, whom its logbook does not know.`)
  for (const { id } of said.people)
    await query(em, {
      sql: 'update person set role = ? where kitchen_id = ? and id = ?',
      params: [told.roles.get(id), said.kitchen.id, id],
    })
}

const PLAIN: Reader = { scale: 'C', zone: 'UTC', locale: 'en-GB', hours: 24, today: null }
