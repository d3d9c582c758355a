import {
  aimOf,
  comparedAs,
  floorOf,
  stageOf,
  type CoolTarget,
  type Finding,
  type Phase,
  type TemperatureScale,
} from '@logged-thermal/core'
import type { BoardMark } from './DegreeBoard'
import { shownIn } from './degreeEntry'

/** Where the limits of the present phase lie on the board. */
export function boardMarks(
  findings: readonly Finding[],
  phase: Phase,
  scale: TemperatureScale,
  target: CoolTarget | null = null,
): BoardMark[] {
  const cooking = phase.cooking && phase.of === 'mixture'
  const floor = floorOf(findings)
  const aim = floor && aimOf(floor.check.limit.rule, floor.check)
  const reach: BoardMark[] = cooking && aim !== null ? [{ value: shownIn(aim, scale), kind: 'reach' }] : []
  const others = findings.flatMap(({ check }): BoardMark[] => {
    const { rule } = check.limit
    if (cooking && rule.kind === 'stay' && check.limit.force === 'quality') {
      return [{ value: shownIn(comparedAs(rule.level, check.unit, 'under'), scale), kind: 'be under' }]
    }
    if (cooking && check.limit.key === 'boil-out' && floor?.standing === 'proven') {
      return [{ value: shownIn(aimOf(rule, check) ?? 0, scale), kind: 'reach' }]
    }
    if (!phase.cooking && rule.kind === 'reach') {
      return [{ value: shownIn(stageOf(check.key, rule, check).to, scale), kind: 'be under' }]
    }
    return []
  })
  const aimed: BoardMark[] = target ? [{ value: shownIn(target.to.c, scale), kind: 'be under' }] : []
  return [...reach, ...aimed, ...others]
}
