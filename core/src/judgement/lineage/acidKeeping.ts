import type { Instant } from '../../ground/instant'
import { dayOf } from '../../ground/zone'
import { acidityResult, isChecked, type AcidityMeasure } from '../../recipe/checks/acidity'
import type { AcidDocument } from '../../recipe/checks/acidDocument'
import type { Check } from '../../recipe/checks/checksFor'
import type { BatchState } from '../../state/batch'
import { inOrder, isWaiting, valid, type Fact } from '../../state/fact'
import { batchStanding, isGate, judgeBatch } from '../batch/judgeBatch'
import { isReplaced, type AcidKeeping } from '../dates/acidKeeps'
import { timelineOf } from '../timeline/timeline'

/**
 * What a document of pH does to a batch at an instant. The figure is that of the finished, cooled product: every gate
 * proven, nothing put in since, a meter read in two buffers, its tolerance taken off at both ends. Doubt, raw egg and a
 * figure outside leave everything as it is. An authority or a product assessment loosens what the code asks for; the
 * house's own study only where the code itself asks for no control, or leaves the days to the maker (Food Code 2022,
 * 1-201.10 and 3-502.11).
 */
export function acidKeeping(batch: BatchState, zone: string, at: Instant): AcidKeeping {
  const { acid: document, acidity: table } = batch.terms
  const not = (why: (AcidKeeping & { holds: false })['why']): AcidKeeping => ({ holds: false, why })
  if (!document) return not('no document')
  if (dayOf(at, zone) > document.validUntil) return not('ended')
  if (batch.method.raw || timelineOf(batch).raw.some(({ onPurpose }) => onPurpose)) return not('raw')
  const changed = Math.max(-Infinity, ...changesOf(batch))
  const all = inOrder(batch.facts['acidity-measured'])
  const since = all.filter((measure) => measure.at >= changed)
  // Known too late it can deny, and proves nothing.
  const last = since.filter((measure) => !isWaiting(measure)).at(-1)
  if (!last) return not(all.some((measure) => !isWaiting(measure)) ? 'changed since' : 'not measured')
  const findings = judgeBatch(batch, { zone }, at)
  const finished = Math.max(-Infinity, ...findings.filter(isGate).flatMap(({ deciding }) => deciding))
  if (batchStanding(findings) !== 'proven' || last.at < finished) return not('not finished')
  if (!isChecked(last.value)) return not('meter not checked')
  if (!since.every(({ value }) => isInside(value, document))) return not('outside')
  const isFree = acidityResult(last.value, table, true).control === 'not needed'
  const isTheirs = document.by !== 'house' || isFree
  return {
    holds: true,
    document,
    days: isTheirs || !batch.checks.some(setsDaysByLaw),
    warm: isTheirs && !document.needsCold,
  }
}

function setsDaysByLaw(check: Check): boolean {
  return isReplaced(check) && check.limit.force === 'law'
}

/** When something went into it, or it was warmed again: its pH may be another since. */
function changesOf({ facts }: BatchState): Instant[] {
  const { added, 'part-used': parts, 'eggs-taken': eggs, 'already-in': already, rewarmed } = facts
  const all: readonly Fact<unknown>[] = [...added, ...parts, ...eggs, ...already, ...rewarmed]
  return valid(all).map((fact) => Math.max(fact.at, isWaiting(fact) ? fact.knownAt : fact.at))
}

function isInside({ ph, phTolerance }: AcidityMeasure, { least, most }: AcidDocument): boolean {
  return ph + phTolerance <= most + 1e-9 && (least === null || ph - phTolerance >= least - 1e-9)
}
