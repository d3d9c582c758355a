import type { Dating, Keep } from '../../ledger/dating'
import type { Part } from '../../ledger/storeEntries'
import type { BatchState } from '../../state/batch'
import { acidKeeps, isReplaced, type AcidKeeping } from './acidKeeps'
import { holdsUntreatedFruit, isMoistened } from '../timeline/contents'
import { timelineOf } from '../timeline/timeline'

/**
 * What dates a batch's items: the checks it was started with, and the parts that pass theirs on.
 * @param passedOn the parts whose date passes on
 * @param proven whether every floor of the batch is proven
 * @param acid what the document of its pH does to it
 */
export function datingOfPortion(
  batch: BatchState,
  passedOn: readonly Part[],
  proven: boolean,
  acid: AcidKeeping,
): Dating {
  const { raw, marks } = timelineOf(batch)
  // What went in raw and is not proven to be cooked counts the hours of the raw class, whatever its method said.
  const isRaw = raw.some(({ what }) => what !== 'fruit') && !proven
  const has = batch.checks.some(({ limit }) => limit.key === 'raw-class')
  const checks = [
    ...batch.checks.filter((check) => !(acid.holds && acid.days && isReplaced(check))),
    ...(isRaw && !has ? batch.terms.ifRaw.hours : []),
    ...(isMoistened(batch) ? batch.terms.ifMoist : []),
    ...(holdsUntreatedFruit(batch) ? batch.terms.ifFruit : []),
  ]
  const keeps = checks.flatMap(({ limit, evidence }): Keep[] => {
    const { rule, force, source } = limit
    if (rule.kind === 'days') return [{ what: 'days', count: rule.days, from: null, force, source }]
    if (rule.kind !== 'hours' || limit.key === 'serve-by') return []
    const from = marks.first(evidence.from) ?? (raw.length ? Math.min(...raw.map((each) => each.at)) : null)
    return [{ what: 'hours', count: rule.hours, from, force, source }]
  })
  if (acid.holds) keeps.push(acidKeeps(acid))
  return { prepared: batch.startedAt, keeps, useBy: null, parts: passedOn.flatMap(datesOfPart) }
}

/** The dates that a part passes on: each as an instant with its kind, where it says them. */
export function datesOfPart({ code, name, lastDay, walls }: Part): Dating['parts'] {
  const called = `${name} ${code}`
  if (walls?.length)
    return walls.map((wall) => ({ name: called, lastDay: wall.lastDay, until: wall.until, kind: wall.kind }))
  return lastDay === null ? [] : [{ name: called, lastDay }]
}
