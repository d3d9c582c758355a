import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import { v7 as uuid } from 'uuid'
import {
  GENESIS,
  limitSetOf,
  PRACTICE,
  ruleSets,
  type AnyClaim,
  type ClockHours,
  type MeasureSystem,
  type Id,
  type Instant,
  type LimitSet,
  type RuleSet,
} from '@logged-thermal/core'
import { repertoire } from '@logged-thermal/repertoire'
import { clock } from '../clock/clock'
import { query } from '../database/query'
import { WritingScope } from '../database/writingScope'
import { Problem } from '../http/problem'
import { appendGroup, readPost } from '../ledger/appendGroup'
import { claimMaker } from '../ledger/claims'
import { foldCore } from '../ledger/foldCore'
import { requireGoodPin } from '../people/pins.service'
import { hashSecret } from '../people/secretHash'
import { setUpHash } from './setUpCode'

/** What a kitchen is to be, as its lead says. */
export interface NewKitchen {
  name: string
  /** As it stands on labels and records; null: not said. */
  address: string | null
  zone: string
  unit: 'C' | 'F'
  /** A key of the rule sets. */
  ruleSet: string
  hours: ClockHours
  measures: MeasureSystem
  /** Takes the stricter lines that the rule set offers a house. */
  takesOffers: boolean
  lead: { name: string; pin: string }
}

/** Founds the first kitchen of an installation: once, by whoever has the code. */
@Injectable()
export class SetUp {
  constructor(private readonly scope: WritingScope) {}

  /**
   * The kitchen, its lead, its limits, and methods as drafts that nobody has put in force, in one transaction. Throws a
   * Problem about the code where it is not the one, or a kitchen is there.
   */
  async found(
    code: string,
    { name, address, zone, unit, ruleSet: rules, hours, measures, takesOffers, lead }: NewKitchen,
  ): Promise<{ kitchen: Id; lead: Id }> {
    requireGoodPin(lead.pin, 'lead', 'pin')
    const now = clock.now()
    const [kitchen, person] = [uuid(), uuid()]
    const limits = firstLimits(ruleSets[rules]!, { from: now, hours, measures, takesOffers })
    const hash = await hashSecret(lead.pin)
    const claim = claimMaker(kitchen)
    await this.scope.inKitchen(kitchen, async (em) => {
      const [made] = await query<{ founded: boolean }>(em, {
        sql: 'select found_kitchen(?, ?, ?, ?, ?, ?, ?) as founded',
        params: [setUpHash(code), kitchen, name, zone, unit, limits.id, GENESIS.hash],
      })
      if (!made?.founded)
        throw new Problem(
          403,
          'wrong code',
          'That is not the set-up code. The server’s console shows it each time it starts without a kitchen.',
          'code',
        )
      await query(em, {
        sql: `select add_person(?, ?, ?, 'lead', 'food-safety lead', ?, ?::smallint)`,
        params: [kitchen, person, lead.name, hash, lead.pin.length],
      })
      const core = await foldCore(em)
      await query(em, {
        sql: 'update chain_head set core = ?, subjects_core = ? where kitchen_id = ?',
        params: [core, core, kitchen],
      })
      await enter(em, kitchen, kitchen, [
        claim('people-found', kitchen, now, kitchen, { people: [{ id: person, role: 'lead' }] }),
      ])
      await enter(em, kitchen, person, [
        ...(address === null ? [] : [claim('kitchen-named', kitchen, now, person, { name, address, unit })]),
        claim('limits-set', limits.id, now, person, { set: limits }),
        ...repertoire().map((method) => claim('method-saved', method.id, now, person, { method })),
      ])
    })
    return { kitchen, lead: person }
  }
}

/** As the rule set prints them, on the clock of the house, with what it offers as lines of the house where that is taken. */
function firstLimits(
  set: RuleSet,
  { from, hours, measures, takesOffers }: Pick<NewKitchen, 'hours' | 'measures' | 'takesOffers'> & { from: Instant },
): LimitSet {
  const limits = limitSetOf(set, { id: uuid(), from, practice: { ...PRACTICE, clock: hours, measures } })
  if (!takesOffers) return limits
  const lines = limits.lines.map((line) => {
    const offer = set.offers.find(({ key }) => key === line.key)
    return offer ? { ...line, house: { rule: offer.rule, reason: offer.why } } : line
  })
  return { ...limits, lines }
}

async function enter(em: EntityManager, kitchenId: Id, by: Id, claims: AnyClaim[]): Promise<void> {
  const signedBy = by === kitchenId ? null : by
  const post = { kitchenId, postedBy: by, signedBy, clockAheadMs: 0, claims }
  const [outcomes] = await appendGroup(em, [readPost(post)])
  const refused = outcomes!.find(({ outcome }) => outcome === 'refused')
  if (refused) throw new Error(`the new kitchen was refused: ${JSON.stringify(refused)}`)
}
