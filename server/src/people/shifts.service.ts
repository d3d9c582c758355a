import { createHash, randomBytes } from 'node:crypto'
import { isId } from '@logged-thermal/core'
import { Injectable } from '@nestjs/common'
import { EntityManager } from '@mikro-orm/postgresql'
import { KitchenScope } from '../database/kitchenScope'
import { Pins } from './pins.service'
import { clock } from '../clock/clock'

/** A shift left open this long locks by itself, ms. */
const LONGEST_SHIFT = 14 * 3_600_000

/** A tablet's shift: who opened it, and whether it may write or only show the Line. */
export interface Shift {
  kitchenId: string
  personId: string
  deviceId: string
  open: boolean
}

/** As many cookies are remembered as good. */
const MOST_SEEN = 2_000

@Injectable()
export class Shifts {
  /** Cookies that were found good since the start: who shows one is no stranger, which is known without asking the database. */
  private readonly seen = new Set<string>()

  constructor(
    private readonly em: EntityManager,
    private readonly scope: KitchenScope,
    private readonly pins: Pins,
  ) {}

  /** Opens a shift with name and PIN. Returns the token for the cookie; only its hash is kept. */
  async open(kitchenId: string, personId: string, pin: string, deviceId: string): Promise<string> {
    await this.pins.require(kitchenId, personId, pin)
    const token = randomBytes(32).toString('base64url')
    await this.scope.inKitchen(kitchenId, (em) =>
      em.execute(`insert into shift (kitchen_id, token_hash, person_id, device_id, opened_at) values (?, ?, ?, ?, ?)`, [
        kitchenId,
        hashOf(token),
        personId,
        deviceId,
        new Date(clock.now()),
      ]),
    )
    return `${kitchenId}.${token}`
  }

  /** Whether a cookie was good when it was last looked for. */
  isSeen(cookie: string): boolean {
    return this.seen.has(cookie)
  }

  /** Locks it: the Line stays readable, nothing can be entered. */
  async lock(cookie: string): Promise<void> {
    const { kitchenId, token } = split(cookie)
    if (!isId(kitchenId)) return
    await this.scope.inKitchen(kitchenId, (em) =>
      em.execute(`update shift set locked_at = ? where kitchen_id = ? and token_hash = ?`, [
        new Date(clock.now()),
        kitchenId,
        hashOf(token),
      ]),
    )
  }

  /** The shift of a cookie; null when there is none. */
  async find(cookie: string): Promise<Shift | null> {
    const { kitchenId, token } = split(cookie)
    if (!isId(kitchenId)) return null
    const rows = await this.em.execute<
      { person_id: string; device_id: string; opened_at: string; locked_at: string | null }[]
    >(`select * from shift_of(?, ?)`, [kitchenId, hashOf(token)])
    const row = rows[0]
    if (!row) {
      this.seen.delete(cookie)
      return null
    }
    if (this.seen.size < MOST_SEEN) this.seen.add(cookie)
    const open = row.locked_at === null && clock.now() - Date.parse(row.opened_at) < LONGEST_SHIFT
    return { kitchenId, personId: row.person_id, deviceId: row.device_id, open }
  }
}

function split(cookie: string): { kitchenId: string; token: string } {
  const dot = cookie.indexOf('.')
  return { kitchenId: cookie.slice(0, dot), token: cookie.slice(dot + 1) }
}

function hashOf(token: string): string {
  return createHash('sha256').update(token).digest('hex')
}
