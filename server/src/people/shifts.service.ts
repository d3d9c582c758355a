import { createHash, randomBytes } from 'node:crypto'
import { DAY, HOUR, isId, MINUTE, type Role } from '@logged-thermal/core'
import { Injectable } from '@nestjs/common'
import { EntityManager } from '@mikro-orm/postgresql'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { IdleLock } from './idleLock'
import { Pins, STRANGERS, type Place } from './pins.service'
import { Tablets, type OwnTablet } from './tablets.service'
import { clock } from '../clock/clock'

/** A shift left open this long locks by itself, ms. */
const LONGEST_SHIFT = 14 * HOUR
/** The Line can be read so long after a shift was opened: on a tablet of the kitchen, and on any other, ms. */
const READ_ON_OWN = 30 * DAY
const READ_ELSEWHERE = 14 * HOUR

/** A tablet's shift: who opened it, and whether it may write or only show the Line. */
export interface Shift {
  kitchenId: string
  personId: string
  role: Role
  deviceId: string
  /** null: on a tablet that nobody enrolled. */
  tabletId: string | null
  open: boolean
}

/** That hands touched a tablet is written down once in so long, ms. */
const TOUCH_EVERY = MINUTE

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
    private readonly tablets: Tablets,
    private readonly idle: IdleLock,
  ) {}

  /**
   * Opens a shift with name and PIN; earlier ones of the tablet end. Returns the token for the cookie; only its hash is
   * kept.
   * @param tablet null: a stranger's, which is known by what it calls itself
   */
  async open(
    kitchenId: string,
    personId: string,
    pin: string,
    deviceId: string,
    tablet: OwnTablet | null,
  ): Promise<string> {
    await this.pins.require(kitchenId, personId, pin, placeOf({ tabletId: ownTablet(tablet, kitchenId) }))
    return this.begin(kitchenId, personId, deviceId, tablet)
  }

  /** The same for somebody who is known already: who signed in with a password. */
  async begin(kitchenId: string, personId: string, deviceId: string, tablet: OwnTablet | null): Promise<string> {
    const tabletId = ownTablet(tablet, kitchenId)
    const token = randomBytes(32).toString('base64url')
    const now = new Date(clock.now())
    await this.scope.inKitchen(kitchenId, async (em) => {
      await query(em, {
        sql: 'update shift set ended_at = ? where kitchen_id = ? and ended_at is null and (device_id = ? or tablet_id = ?)',
        params: [now, kitchenId, deviceId, tabletId],
      })
      await query(em, {
        sql: `insert into shift (kitchen_id, token_hash, person_id, device_id, tablet_id, opened_at) values (?, ?, ?, ?, ?, ?)`,
        params: [kitchenId, hashOf(token), personId, deviceId, tabletId, now],
      })
    })
    return `${kitchenId}.${token}`
  }

  /** From now on this shift is one of a tablet of the kitchen. */
  async belongs(cookie: string, tabletCookie: string): Promise<void> {
    const tablet = await this.tablets.find(tabletCookie)
    const { kitchenId, token } = split(cookie)
    if (!tablet || !isId(kitchenId)) return
    await this.scope.inKitchen(kitchenId, (em) =>
      query(em, {
        sql: 'update shift set tablet_id = ? where kitchen_id = ? and token_hash = ?',
        params: [tablet.id, kitchenId, hashOf(token)],
      }),
    )
  }

  private remember(cookie: string): void {
    this.seen.add(cookie)
    const [oldest] = this.seen
    if (this.seen.size > MOST_SEEN && oldest !== undefined) this.seen.delete(oldest)
  }

  /** Whether a cookie was good when it was last looked for. */
  isSeen(cookie: string): boolean {
    return this.seen.has(cookie)
  }

  /** Ends it: this browser belongs to no kitchen any more. */
  async end(cookie: string): Promise<void> {
    const { kitchenId, token } = split(cookie)
    if (!isId(kitchenId)) return
    await this.scope.inKitchen(kitchenId, (em) =>
      query(em, {
        sql: 'update shift set ended_at = ? where kitchen_id = ? and token_hash = ? and ended_at is null',
        params: [new Date(clock.now()), kitchenId, hashOf(token)],
      }),
    )
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

  /** Hands touched the tablet of an open shift: it goes on. */
  async touch(cookie: string): Promise<void> {
    const { kitchenId, token } = split(cookie)
    if (!isId(kitchenId)) return
    const now = clock.now()
    await this.scope.inKitchen(kitchenId, (em) =>
      query(em, {
        sql: `update shift set touched_at = ? where kitchen_id = ? and token_hash = ? and locked_at is null
          and coalesce(touched_at, opened_at) < ?`,
        params: [new Date(now), kitchenId, hashOf(token), new Date(now - TOUCH_EVERY)],
      }),
    )
  }

  /** The shift of a cookie; null when there is none. */
  async find(cookie: string): Promise<Shift | null> {
    const { kitchenId, token } = split(cookie)
    if (!isId(kitchenId)) return null
    const rows = await this.em.execute<
      {
        person_id: string
        role: Role
        device_id: string
        tablet_id: string | null
        opened_at: string
        locked_at: string | null
        touched_at: string
      }[]
    >(`select * from shift_of(?, ?)`, [kitchenId, hashOf(token)])
    const row = rows[0]
    if (!row) {
      this.seen.delete(cookie)
      return null
    }
    const { person_id: personId, role, device_id: deviceId, tablet_id: tabletId } = row
    const since = clock.now() - Date.parse(row.opened_at)
    if (since > (tabletId === null ? READ_ELSEWHERE : READ_ON_OWN)) return null
    this.remember(cookie)
    const open = row.locked_at === null && since < LONGEST_SHIFT
    const left = open && (await this.idle.isDue(kitchenId, clock.now() - Date.parse(row.touched_at)))
    // Written down: what goes on the heat later does not open it again.
    if (left) await this.lock(cookie)
    return { kitchenId, personId, role, deviceId, tabletId, open: open && !left }
  }
}

function ownTablet(tablet: OwnTablet | null, kitchenId: string): string | null {
  return tablet?.kitchenId === kitchenId ? tablet.id : null
}

/** Where a PIN is typed during a shift, as wrong ones are counted. */
export function placeOf({ tabletId }: Pick<Shift, 'tabletId'>): Place {
  return tabletId ?? STRANGERS
}

function split(cookie: string): { kitchenId: string; token: string } {
  const dot = cookie.indexOf('.')
  return { kitchenId: cookie.slice(0, dot), token: cookie.slice(dot + 1) }
}

function hashOf(token: string): string {
  return createHash('sha256').update(token).digest('hex')
}
