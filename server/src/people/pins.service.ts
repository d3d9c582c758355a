import { Injectable } from '@nestjs/common'
import { Algorithm, hash, verify } from '@node-rs/argon2'
import { KitchenScope } from '../database/kitchenScope'
import { Problem } from '../http/problem'
import type { Role } from '@logged-thermal/core'
import { clock } from '../clock/clock'

/** Wrong tries before a name is locked, and for how long. */
const TRIES = 5
const LOCKED_MS = 60_000

/** argon2id with the memory and time that its authors' guidance gives for interactive use. */
const COST = { algorithm: 2 satisfies Algorithm.Argon2id, memoryCost: 19_456, timeCost: 2, parallelism: 1 }

export function hashPin(pin: string): Promise<string> {
  return hash(pin, COST)
}

interface Attempt {
  name: string
  role: Role
  pin_hash: string
  wrong_tries: number
  locked_until: string | null
}

/** Checks PINs. Each try is counted before it is checked, so that guesses in parallel gain nothing. */
@Injectable()
export class Pins {
  constructor(private readonly scope: KitchenScope) {}

  /** Throws a Problem when the PIN is not that person's or the name is locked. */
  async require(kitchenId: string, personId: string, pin: string): Promise<{ name: string; role: Role }> {
    const now = clock.now()
    const attempt = await this.count(kitchenId, personId, now)
    if (!attempt) throw new Problem(403, 'not on the list', 'Nobody of this kitchen has that name.', 'person')
    const lockedUntil = attempt.locked_until === null ? 0 : Date.parse(attempt.locked_until)
    if (lockedUntil > now) {
      const seconds = Math.ceil((lockedUntil - now) / 1000)
      throw new Problem(429, 'locked', `Five wrong tries. ${attempt.name} can try again in ${seconds} s.`, 'pin')
    }
    if (!(await verify(attempt.pin_hash, pin))) {
      const left = TRIES - attempt.wrong_tries
      const next = left > 0 ? `${left} ${left === 1 ? 'try' : 'tries'} left.` : 'Locked for a minute.'
      throw new Problem(403, 'wrong pin', `Those are not ${attempt.name}'s digits. ${next}`, 'pin')
    }
    await this.forget(kitchenId, personId)
    return { name: attempt.name, role: attempt.role }
  }

  private count(kitchenId: string, personId: string, now: number): Promise<Attempt | undefined> {
    return this.scope.inKitchen(kitchenId, async (em) => {
      const locked = 'locked_until is not null and locked_until > ?'
      const tries = 'case when locked_until is not null and locked_until <= ? then 1 else wrong_tries + 1 end'
      const at = new Date(now)
      const rows = await em.execute<(Attempt & { was_locked: boolean })[]>(
        `update person set
           wrong_tries = case when ${locked} then wrong_tries else ${tries} end,
           locked_until = case when ${locked} then locked_until
                               when (${tries}) >= ${TRIES} then ?::timestamptz else null end
         from (select id as was_id, locked_until as was_until from person where kitchen_id = ? and id = ? for update) was
         where kitchen_id = ? and id = was_id
         returning name, role, pin_hash, wrong_tries, was_until as locked_until`,
        [at, at, at, at, new Date(now + LOCKED_MS), kitchenId, personId, kitchenId],
      )
      return rows[0]
    })
  }

  private forget(kitchenId: string, personId: string): Promise<unknown> {
    return this.scope.inKitchen(kitchenId, (em) =>
      em.execute(`update person set wrong_tries = 0, locked_until = null where kitchen_id = ? and id = ?`, [
        kitchenId,
        personId,
      ]),
    )
  }
}
