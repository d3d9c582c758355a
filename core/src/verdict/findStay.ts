import type { Check } from '../limits/checksFor'
import type { StayRule } from '../limits/rule'
import { comparedAs, SAME_DEGREE } from '../quantity/temperature'
import type { Evidence, Witness } from './evidence'
import type { Because, Finding } from './finding'
import type { Standing } from './standing'

/** How a level that must not be passed stands, counted from the first reading under it. */
export function findStay(check: Check, rule: StayRule, { witnesses, from, to }: Evidence): Finding {
  const level = comparedAs(rule.level, check.unit, 'under')
  const since = witnesses.findIndex(({ at, celsius }) => from !== null && at >= from && celsius <= level + SAME_DEGREE)
  const counted = since < 0 ? [] : witnesses.slice(since)
  const over = counted.filter(({ celsius }) => celsius > level + SAME_DEGREE)
  const warmest = hottestOf(over) ?? hottestOf(counted)
  const standing: Standing = over.length ? 'missed' : to !== null && warmest ? 'proven' : 'open'
  return {
    check,
    standing: to !== null && !warmest ? 'unproven' : standing,
    overdue: false,
    because: reason(warmest, over.length > 0),
    deciding: warmest ? [warmest.entry] : [],
    start: null,
    end: null,
    deadline: null,
    doubts: [],
    nextAt: null,
  }
}

function reason(warmest: Witness | null, over: boolean): Because {
  if (!warmest) return { code: 'not under yet' }
  const { celsius, at } = warmest
  return over ? { code: 'went over', celsius, at } : { code: 'stayed under', highest: celsius, at }
}

function hottestOf(witnesses: readonly Witness[]): Witness | null {
  return witnesses.reduce<Witness | null>(
    (hottest, next) => (hottest && hottest.celsius >= next.celsius ? hottest : next),
    null,
  )
}
