import { dayOf } from '../ground/zone'
import { heldTo } from '../recipe/checks/heldTo'
import type { AnyClaim, Bodies, Decision, Entry, Kind } from '../ledger/entry'
import type { LimitSet } from '../rules/limit'
import { limitSetOf } from '../rules/limitSet'
import { ruleSets } from '../rules/sets/ruleSets'
import type { Method } from '../recipe/method/method'
import { newMethod } from '../recipe/method/newMethod'
import { apply } from '../admission/fold'
import type { BatchState } from '../state/batch'
import { attention } from '../advice/attention'
import { standingsOf } from '../judgement/batch/disposition'
import { judgeBatch } from '../judgement/batch/judgeBatch'
import { at, TEN } from './traces'

export const world = { zone: 'UTC' }

export function limitsFrom(ruleSet: string, unit: LimitSet['unit'] = 'C'): LimitSet {
  return limitSetOf(ruleSets[ruleSet]!, { id: 'limits', from: 0, unit })
}

export const method: Method = {
  ...newMethod({ id: 'method', vesselId: 'pan', name: 'Test custard', family: 'poured-custard' }),
  steps: [
    { key: 'warm', kind: 'heat dairy', measures: { part: 'dairy' } },
    { key: 'temper', kind: 'temper', measures: { part: 'dairy' } },
    { key: 'cook', kind: 'cook', measures: 'mixture' },
    { key: 'cool', kind: 'cool', measures: 'mixture' },
    { key: 'hold', kind: 'hold', measures: 'mixture' },
  ],
}

/** A batch as it comes from its entries; minutes are after ten. */
export class Story {
  readonly entries: Entry[] = []

  constructor(limits: LimitSet = limitsFrom('us-food-code-2022'), of: Method = method, forSusceptible = false) {
    this.enter('batch-started', 0, {
      code: '62-1',
      ...heldTo(of, 1, limits, forSusceptible, dayOf(TEN, world.zone)),
      limits: { id: limits.id, version: limits.version },
      vessel: of.vessel,
      factor: 1,
    })
  }

  enter<K extends Kind>(kind: K, minutes: number, body: Bodies[K], madeAfter = 0): string {
    const id = `entry ${this.entries.length}`
    const when = { at: at(minutes), madeAt: at(minutes + madeAfter) }
    const about = { type: 'batch', id: 'batch' }
    const claim = { id, kitchen: 'kitchen', kind, v: 1, about, ...when, by: 'mina', device: 'tablet', body }
    this.entries.push({ claim: claim as unknown as AnyClaim, seal: null })
    return id
  }

  read(minutes: number, celsius: number, more: Partial<Bodies['reading-taken']> = {}, madeAfter = 0): string {
    const body = {
      typed: { value: celsius, unit: 'C' as const },
      where: 'core' as const,
      of: 'mixture' as const,
      instrument: 'P2',
      ...more,
    }
    return this.enter('reading-taken', minutes, body, madeAfter)
  }

  combined = (minutes: number) => this.enter('step-marked', minutes, { step: 'temper', edge: 'combined', reason: null })
  offHeat = (minutes: number) => this.enter('step-marked', minutes, { step: 'cook', edge: 'done', reason: null })

  decide(minutes: number, decision: Decision, reason = 'because'): string {
    const findings = standingsOf(this.findings(minutes))
    return this.enter('disposed', minutes, { decision, reason, findings, core: '1' })
  }

  get batch(): BatchState {
    return this.entries.reduce<BatchState | null>((state, entry) => apply.batch('batch', state, entry), null)!
  }

  findings(now: number) {
    return judgeBatch(this.batch, world, at(now))
  }

  finding(check: string, now = 600) {
    return this.findings(now).find((finding) => finding.check.key === check)!
  }

  standing(check: string, now = 600) {
    return this.finding(check, now).standing
  }

  asks(now: number) {
    return attention(this.batch, this.findings(now), world, at(now))
  }
}

/** Cooked, and cooled too slowly: 40° after three hours. */
export function tooSlow(): Story {
  const story = new Story()
  story.combined(0)
  story.read(5, 81)
  story.offHeat(6)
  story.read(10, 57)
  story.read(200, 40)
  return story
}

/** Cooked at 10:10, cooled in time, cold at 14:00. */
export function wellMade(): Story {
  const story = new Story()
  story.combined(5)
  story.read(10, 80)
  story.offHeat(12)
  story.read(20, 57)
  story.read(100, 20)
  story.read(240, 4.5)
  return story
}
