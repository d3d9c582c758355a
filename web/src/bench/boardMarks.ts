import { comparedAs, stageOf, type Finding, type Phase, type Unit } from '@logged-thermal/core'
import type { BoardMark } from './DegreeBoard'
import { shownIn } from './degreeEntry'

/** Where the limits of the present phase lie on the board. */
export function boardMarks(findings: readonly Finding[], phase: Phase, unit: Unit): BoardMark[] {
  const cooking = phase.next?.edge === 'done'
  return findings.flatMap(({ check }): BoardMark[] => {
    const { rule } = check.limit
    if (cooking && rule.kind === 'hold') {
      const row = rule.rows.findLast(({ seconds }) => seconds > 0) ?? rule.rows[0]!
      return [{ value: shownIn(comparedAs(row.at, check.unit, 'reach'), unit), kind: 'reach' }]
    }
    if (cooking && rule.kind === 'stay' && check.limit.force === 'quality') {
      return [{ value: shownIn(comparedAs(rule.level, check.unit, 'under'), unit), kind: 'be under' }]
    }
    if (phase.next === null && rule.kind === 'reach') {
      return [{ value: shownIn(stageOf(check.key, rule, check.unit).to, unit), kind: 'be under' }]
    }
    return []
  })
}
