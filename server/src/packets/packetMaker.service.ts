import { existsSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { Injectable } from '@nestjs/common'
import {
  addDays,
  dayOf,
  limitsAt,
  daysBetween,
  startOfDay,
  type ChainHead,
  type Day,
  type Id,
  type ProofLine,
} from '@logged-thermal/core'
import { LISTS } from '@logged-thermal/wording'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { StatesRepository } from '../ledger/states.repository'
import { LogRows } from '../log/logRows.service'
import { Proofs } from '../proof/proofs.service'
import { ListFacts } from '../records/lists/listFacts'
import { RecordFacts } from '../records/recordFacts'
import type { RecordsAsked } from '../records/records.work'
import { BackgroundWorker, type Work } from '../workers/workers.service'
import { PacketFacts } from './packetFacts'
import { PacketFile } from './packetFile'
import { ON_COVER } from './pdf/cover'
import { unresolvedOf, type Summed } from './pdf/unresolved'
import type { Packet } from './packets.repository'
import type * as PacketsWork from './packets.work'

export const WORK: Work<typeof PacketsWork> = { file: require.resolve('./packets.work') }

/** How records and lists are written for another program; they lie in the same place of what is built and of its source. */
const SCHEMAS = ['record.schema.json', 'list.schema.json'].map((name) => ({
  name,
  path: join(__dirname, '../../../docs', name),
}))

/** What is read first lies first. */
const FIRST = [
  'cover.pdf',
  'unresolved.pdf',
  'check.html',
  'equipment.pdf',
  'plans.pdf',
  'lots.pdf',
  'matters.pdf',
  'labels.pdf',
]

/** As many batches are drawn at a time, however many began on a day. */
const AT_ONCE = 20

/** As many lines of a list are drawn at a time. */
export const LINES_AT_ONCE = 500

/** Told after each piece. Gives false where it was cancelled. */
export type OnPiece = (done: number, of: number) => Promise<boolean>

/** Makes the packet of a period, piece by piece: whoever logs meanwhile waits for none of it. */
@Injectable()
export class PacketMaker {
  constructor(
    private readonly scope: KitchenScope,
    private readonly rows: LogRows,
    private readonly proofs: Proofs,
    private readonly records: RecordFacts,
    private readonly facts: PacketFacts,
    private readonly lists: ListFacts,
    private readonly states: StatesRepository,
    private readonly worker: BackgroundWorker,
  ) {}

  /**
   * @param path of the packet, where nothing is yet
   * @param checker the file of the checker; null: it is not built
   * @returns its size, bytes; null: it was cancelled, and nothing of it is left
   */
  async make(
    kitchen: Id,
    packet: Packet,
    path: string,
    checker: string | null,
    onPiece: OnPiece,
  ): Promise<number | null> {
    const file = await PacketFile.begin(path)
    try {
      const size = await this.fill(file, kitchen, packet, checker, onPiece)
      if (size === null) await file.dropped()
      return size
    } catch (error) {
      await file.dropped()
      throw error
    }
  }

  private async fill(
    file: PacketFile,
    kitchen: Id,
    packet: Packet,
    checker: string | null,
    onPiece: OnPiece,
  ): Promise<number | null> {
    const head = await this.proofs.head(kitchen)
    await this.rows.current(kitchen)
    const { asked, kinds, begun } = await this.asked(kitchen, packet, head)
    const { from, to } = periodOf(packet, asked.reader.zone)
    const days = daysOf(packet)
    await this.beginTables(file)
    const summed: Summed[] = []
    let files = 0
    for (const [i, day] of days.entries()) {
      const ids = begun.filter(({ at }) => dayOf(at, asked.reader.zone) === day).map(({ id }) => id)
      for (const made of await this.day(kitchen, day, ids, { ...asked, kinds })) {
        await file.add(made.name, made.pdf)
        await file.append('batches.csv', made.batchesCsv)
        await file.append('readings.csv', made.readingsCsv)
        await file.append('records.ndjson', made.records)
        summed.push(...made.summed.map((each) => ({ ...each, file: made.name })))
        files++
      }
      if (!(await onPiece(i + 1, days.length + 1))) return null
    }
    await this.addUnresolved(file, summed, asked)
    await this.addLists(file, kitchen, { from, to }, asked)
    const plans = await this.plans(kitchen, asked)
    if (plans) await file.add('plans.pdf', plans.pdf)
    const batches = begun.map(({ id }) => id)
    const shown = await file.write('logbook.proof', linesOf(this.proofs.lines(kitchen, head, { batches, from, to })))
    const cover = {
      from: packet.fromDay,
      to: packet.toDay,
      summed,
      days: files,
      plans: plans?.count ?? 0,
      shown,
      head: asked.proved?.head ?? null,
    }
    await file.add('cover.pdf', await this.worker.run(WORK, 'coverOfPacket', { ...asked, ...cover }))
    for (const { name, path } of SCHEMAS) await file.add(name, await readFile(path))
    if (checker !== null && existsSync(checker)) await file.add('check.html', await readFile(checker))
    if (!(await onPiece(days.length + 1, days.length + 1))) return null
    return file.packed(FIRST)
  }

  /** Where it is more than the cover can hold. */
  private async addUnresolved(file: PacketFile, summed: readonly Summed[], asked: RecordsAsked): Promise<void> {
    const all = unresolvedOf(summed)
    if (all.length <= ON_COVER) return
    for (let from = 0; from < all.length; from += LINES_AT_ONCE) {
      const unresolved = all.slice(from, from + LINES_AT_ONCE)
      const name = `unresolved${from === 0 ? '' : `-${from / LINES_AT_ONCE + 1}`}.pdf`
      await file.add(name, await this.worker.run(WORK, 'unresolvedOfPacket', { ...asked, unresolved }))
    }
  }

  /** So many lines of each list are drawn at a time, however long they are. */
  private async addLists(
    file: PacketFile,
    kitchen: Id,
    period: { from: number; to: number },
    asked: RecordsAsked,
  ): Promise<void> {
    const lists = await this.scope.inKitchen(kitchen, (em) => this.facts.listed(em, kitchen, period, asked))
    const longest = Math.max(...LISTS.map((list) => lists[list].length))
    for (let part = 0; part === 0 || part * LINES_AT_ONCE < longest; part++) {
      const [from, to] = [part * LINES_AT_ONCE, (part + 1) * LINES_AT_ONCE]
      const some = Object.fromEntries(LISTS.map((list) => [list, lists[list].slice(from, to)])) as typeof lists
      const made = await this.worker.run(WORK, 'listsOfPacket', { ...asked, lists: some, part })
      for (const { name, pdf } of made.documents) await file.add(name, pdf)
      for (const { name, text } of made.tables) await file.append(name, text)
    }
  }

  private asked(kitchen: Id, packet: Packet, head: ChainHead) {
    return this.scope.inKitchen(kitchen, async (em) => {
      const shared = await this.records.shared(em, kitchen, clock.now(), packet)
      const signed = await this.proofs.signedHead(em, kitchen, head)
      const { from, to } = periodOf(packet, shared.reader.zone)
      const asked: RecordsAsked = {
        ...shared,
        maker: shared.people[packet.askedBy] ?? '',
        proved: signed && { head: signed, file: 'logbook.proof' },
      }
      return { asked, kinds: await this.lists.kinds(em, kitchen), begun: await this.facts.begun(em, kitchen, from, to) }
    })
  }

  /** Written plans as they are in force now; null: no limits are. */
  private async plans(kitchen: Id, asked: RecordsAsked) {
    const { methods, sets } = await this.scope.inKitchen(kitchen, async (em) => ({
      methods: await this.states.all(em, kitchen, 'method'),
      sets: await this.states.all(em, kitchen, 'limits'),
    }))
    const limits = limitsAt(sets[0]?.versions ?? [], asked.now)
    return limits && this.worker.run(WORK, 'plansOfPacket', { ...asked, methods, limits, only: null })
  }

  private async beginTables(file: PacketFile): Promise<void> {
    const heads = await this.worker.run(WORK, 'tableHeads', {})
    await file.append('batches.csv', heads.batches)
    await file.append('readings.csv', heads.readings)
    await file.append('records.ndjson', '')
  }

  /** The files of a day: none where nothing happened, several where very much did. */
  private async day(
    kitchen: Id,
    day: Day,
    ids: readonly Id[],
    asked: RecordsAsked & Pick<PacketsWork.DayAsked, 'kinds'>,
  ): Promise<(PacketsWork.DayMade & { name: string })[]> {
    const { events, names, signed } = await this.scope.inKitchen(kitchen, (em) =>
      this.facts.ofDay(em, kitchen, day, asked.reader.zone),
    )
    if (ids.length === 0 && events.length === 0) return []
    const made: (PacketsWork.DayMade & { name: string })[] = []
    for (let at = 0; at === 0 || at < ids.length; at += AT_ONCE) {
      const batches = await this.scope.inKitchen(kitchen, (em) =>
        this.records.batches(em, kitchen, ids.slice(at, at + AT_ONCE)),
      )
      const shown = at === 0 ? events : []
      const piece = { ...asked, day, batches, events: shown, names, signed }
      const name = `days/${day}${at === 0 ? '' : `-${at / AT_ONCE + 1}`}.pdf`
      made.push({ name, ...(await this.worker.run(WORK, 'dayOfPacket', piece)) })
    }
    return made
  }
}

function periodOf({ fromDay, toDay }: Packet, zone: string) {
  return { from: startOfDay(fromDay, zone), to: startOfDay(addDays(toDay, 1), zone) }
}

function daysOf({ fromDay, toDay }: Packet): Day[] {
  return Array.from({ length: daysBetween(fromDay, toDay) + 1 }, (_, i) => addDays(fromDay, i))
}

/** Entries count; what is left out does not. */
async function* linesOf(lines: AsyncIterable<ProofLine>): AsyncGenerator<{ text: string; counts: boolean }> {
  for await (const line of lines) yield { text: `${JSON.stringify(line)}\n`, counts: 'entry' in line }
}
