import { promisify } from 'node:util'
import { gzip as pack } from 'node:zlib'
import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import type { BatchState, Id } from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { StatesRepository } from '../ledger/states.repository'
import { Kitchen } from '../people/kitchen.entity'
import { Person } from '../people/person.entity'
import type { TraceApart } from '../http/answers'
import { takenApart, type TracePiece } from './longTraces'

/** The answer of a kitchen's Line, as it is sent. */
export interface Packed {
  plain: Buffer
  gzip: Buffer
}

interface Kept {
  /** Whatever changes the answer changes it. */
  mark: string
  packed: Promise<Packed>
}

const gzip = promisify(pack)

/** The Line of each kitchen, put together and packed once for each entry, however many tablets ask for it. */
@Injectable()
export class KeptLines {
  private readonly kept = new Map<Id, Kept>()
  /** Of each kitchen the pieces of long traces by their hash: of its last Line and of the one before, which somebody may be reading. */
  private readonly pieces = new Map<Id, [now: Map<string, Packed>, before: Map<string, Packed>]>()

  constructor(
    private readonly scope: KitchenScope,
    private readonly states: StatesRepository,
  ) {}

  /** As of the last entry that was recorded as it is asked, or of a later one. */
  async of(kitchenId: Id): Promise<Packed> {
    const mark = await this.scope.inKitchen(kitchenId, (em) => markOf(em, kitchenId))
    const kept = this.kept.get(kitchenId)
    if (kept?.mark === mark) return kept.packed
    const packed = this.pack(kitchenId)
    this.kept.set(kitchenId, { mark, packed })
    packed.catch(() => this.kept.delete(kitchenId))
    return packed
  }

  /** A piece of a trace that a Line named; null where no Line names it any more. */
  piece(kitchenId: Id, hash: string): Packed | null {
    const [now, before] = this.pieces.get(kitchenId) ?? []
    return now?.get(hash) ?? before?.get(hash) ?? null
  }

  private async pack(kitchenId: Id): Promise<Packed> {
    const { text, pieces } = await this.scope.asOfOneMoment(kitchenId, (em) => this.put(em, kitchenId))
    const now = new Map<string, Packed>()
    for (const piece of pieces) now.set(piece.hash, this.piece(kitchenId, piece.hash) ?? (await packed(piece.text)))
    this.pieces.set(kitchenId, [now, this.pieces.get(kitchenId)?.[0] ?? new Map()])
    return packed(text)
  }

  /** A LineAnswer as JSON: the states in it are handed on as the database has them. */
  private async put(em: EntityManager, kitchenId: Id): Promise<{ text: string; pieces: TracePiece[] }> {
    const kitchen = await em.findOneOrFail(Kitchen, { id: kitchenId })
    const people = await em.find(Person, { kitchenId }, { orderBy: { name: 'asc' } })
    const [state] = await this.states.all(em, kitchenId, 'kitchen')
    const members = state?.people && new Map(state.people.map((person) => [person.id, person]))
    const head = {
      seq: await this.states.lastSeq(em, kitchenId),
      kitchen: {
        id: kitchen.id,
        name: kitchen.name,
        address: state?.named?.address ?? null,
        zone: kitchen.zone,
        unit: kitchen.unit,
      },
      people: people.map(({ id, name, role, job, pinDigits }) => ({
        id,
        name,
        role: members ? (members.get(id)?.role ?? null) : role,
        ...(members?.get(id)?.administers ? { administers: true as const } : {}),
        job,
        digits: pinDigits,
      })),
      codes: state?.codes ?? [],
      handover: state?.handover ?? null,
      deputies: state?.deputies ?? [],
      week: state?.week ?? null,
      roles: state?.people ?? null,
      restored: state?.restored ?? null,
      tools: state?.tools ?? [],
      ingredients: state?.ingredients ?? [],
      signedDays: state?.signedDays ?? [],
      lists: state?.lists ?? [],
      listsDone: state?.listsDone ?? [],
      traceTries: state?.traceTries ?? [],
      samples: state?.samples ?? [],
      limits: await this.states.one(em, kitchenId, 'limits', kitchen.limitsId),
    }
    const apart = (await this.states.openBatches(em, kitchenId)).map(takenApart)
    const named = apart.flatMap(({ batch, pieces }) => (pieces.length ? [{ batch: idIn(batch), pieces }] : []))
    const lists: Record<string, string> = {
      methods: await this.states.allAsJson(em, kitchenId, 'method'),
      instruments: await this.states.instruments(em, kitchenId),
      batches: `[${apart.map(({ batch }) => batch).join()}]`,
      traces: JSON.stringify(
        named.map(({ batch, pieces }) => ({ batch, pieces: pieces.map(({ hash }) => hash) }) satisfies TraceApart),
      ),
      lots: await this.states.lotsInUse(em, kitchenId),
      vessels: await this.states.allAsJson(em, kitchenId, 'vessel'),
      units: await this.states.allAsJson(em, kitchenId, 'unit'),
      items: await this.states.heldItems(em, kitchenId),
    }
    const rest = Object.entries(lists).map(([name, list]) => `,"${name}":${list}`)
    return {
      text: `${JSON.stringify(head).slice(0, -1)}${rest.join('')}}`,
      pieces: named.flatMap(({ pieces }) => pieces),
    }
  }
}

async function packed(text: string): Promise<Packed> {
  const plain = Buffer.from(text)
  return { plain, gzip: await gzip(plain) }
}

function idIn(batch: string): Id {
  return (JSON.parse(batch) as BatchState).id
}

/** The last entry, by which code the rows were folded, and what of the answer no entry says. */
async function markOf(em: EntityManager, kitchenId: Id): Promise<string> {
  const [row] = await query<{ mark: string }>(em, {
    sql: `select concat_ws(' ', h.seq, h.core, k::text,
        (select md5(string_agg(concat_ws(' ', p.id, p.name, p.role, p.job, p.pin_digits), ';' order by p.id))
         from person p where p.kitchen_id = k.id)) as mark
      from kitchen k join chain_head h on h.kitchen_id = k.id where k.id = ?`,
    params: [kitchenId],
  })
  return row!.mark
}
