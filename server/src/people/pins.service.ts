import { Injectable } from '@nestjs/common'
import { verify } from '@node-rs/argon2'
import type { Id, Role } from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { Problem } from '../http/problem'
import { clock } from '../clock/clock'
import { FORGOTTEN_AFTER, lockOf, TRIES, waitWords } from './guesses'

/** Digits of a PIN. What the lead signs weighs more, so it is not found by chance. */
export const COOKS_DIGITS = 4
export const LEADS_DIGITS = 6

/** Whether it is none of the first that anybody tries. */
export function isGoodPin(pin: string): boolean {
  return !/^(\d)\1*$/.test(pin) && !'01234567890123'.includes(pin) && !'98765432109876'.includes(pin)
}

/** Throws a Problem about the field where a PIN is too short for a role, or the first that anybody tries. */
export function requireGoodPin(pin: string, role: Role, field: string): void {
  const least = role === 'lead' ? LEADS_DIGITS : COOKS_DIGITS
  if (pin.length < least)
    throw new Problem(
      400,
      'bad field',
      `The PIN of a ${role === 'lead' ? 'food-safety lead' : 'cook'} has ${least} digits or more.`,
      field,
    )
  if (!isGoodPin(pin))
    throw new Problem(400, 'bad field', 'That PIN is the first that anybody tries. Take another.', field)
}

/** Where a PIN is typed: on a tablet of the kitchen, by its id, or anywhere else: all strangers are one. */
export type Place = string

export const STRANGERS: Place = 'strangers'

interface Attempt {
  name: string
  hash: string
  wrong: number
  /** Locked until then as this try came; null: it was not. */
  locked: number | null
}

/** Checks PINs. Each try is counted before it is checked, so that guesses in parallel gain nothing. */
@Injectable()
export class Pins {
  constructor(private readonly scope: KitchenScope) {}

  /**
   * Throws a Problem when the PIN is not that person's, or the name is locked in that place.
   * @param field where it was typed, for the Problem
   */
  async require(kitchenId: Id, personId: Id, pin: string, place: Place, field = 'pin'): Promise<{ name: string }> {
    const attempt = await this.count(kitchenId, personId, place)
    if (!attempt) throw new Problem(403, 'not on the list', 'Nobody of this kitchen has that name.', 'person')
    const { name, locked, wrong } = attempt
    if (locked) {
      const wait = waitWords(locked - clock.now())
      throw new Problem(429, 'locked', `Too many wrong PINs. ${name} can try again here in ${wait}.`, field)
    }
    if (!(await verify(attempt.hash, pin))) {
      if (wrong >= TRIES) await this.recordLock(kitchenId, personId, place, wrong)
      const left = TRIES - wrong
      const next =
        left > 0 ? `${left} ${left === 1 ? 'try' : 'tries'} left.` : `Locked for ${waitWords(lockOf(wrong))}.`
      throw new Problem(403, 'wrong pin', `Wrong PIN for ${name}. ${next}`, field)
    }
    await this.scope.inKitchen(kitchenId, (em) =>
      query(em, {
        sql: 'delete from pin_try where kitchen_id = ? and person_id = ? and place = ?',
        params: [kitchenId, personId, place],
      }),
    )
    return { name }
  }

  /** For the lead to see. */
  private async recordLock(kitchenId: Id, personId: Id, place: Place, wrong: number): Promise<void> {
    const now = clock.now()
    await this.scope.inKitchen(kitchenId, (em) =>
      query(em, {
        sql: 'insert into lock_out (kitchen_id, at, person_id, place, wrong, until) values (?, ?, ?, ?, ?, ?)',
        params: [kitchenId, new Date(now), personId, place, wrong, new Date(now + lockOf(wrong))],
      }),
    )
  }

  /** Counts a try of that name in that place, unless it is locked there. Undefined where there is nobody of that id. */
  private count(kitchenId: Id, personId: Id, place: Place): Promise<Attempt | undefined> {
    return this.scope.inKitchen(kitchenId, async (em) => {
      const now = clock.now()
      const [person] = await query<{ name: string; hash: string }>(em, {
        sql: `select name, pin_hash as hash from person where kitchen_id = ? and id = ? and works_here(kitchen_id, id)`,
        params: [kitchenId, personId],
      })
      if (!person) return undefined
      const key = [kitchenId, personId, place]
      // Found or begun in one go, and held until the end: a right PIN beside this takes the row away.
      const [tries] = await query<{ wrong: number; last_at: string; locked_until: string | null }>(em, {
        sql: `insert into pin_try as known (kitchen_id, person_id, place, wrong, last_at) values (?, ?, ?, 0, ?)
          on conflict (kitchen_id, person_id, place) do update set wrong = known.wrong
          returning wrong, last_at, locked_until`,
        params: [...key, new Date(now)],
      })
      const { wrong: before, last_at: last, locked_until: lockedUntil } = tries!
      const locked = lockedUntil === null ? 0 : Date.parse(lockedUntil)
      if (locked > now) return { ...person, wrong: before, locked }
      const wrong = now - Date.parse(last) > FORGOTTEN_AFTER ? 1 : before + 1
      const until = wrong >= TRIES ? new Date(now + lockOf(wrong)) : null
      await query(em, {
        sql: `update pin_try set wrong = ?, last_at = ?, locked_until = ? where kitchen_id = ? and person_id = ? and place = ?`,
        params: [wrong, new Date(now), until, ...key],
      })
      return { ...person, wrong, locked: null }
    })
  }
}
