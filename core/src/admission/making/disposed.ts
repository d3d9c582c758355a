import { factOf } from '../../state/fact'
import { canonical } from '../../ground/canonical'
import { list, object, oneOf, text } from '../../ground/field'
import type { Force } from '../../rules/limit'
import { decisionShut, standingsOf } from '../../judgement/batch/disposition'
import { judgeBatch } from '../../judgement/batch/judgeBatch'
import type { Standing } from '../../ledger/standing'
import { BY_THE_LEAD, type KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    disposed: Disposition
  }
}

/**
 * The lead decides what becomes of a batch, with the standings that were on the screen. May be decided anew: the
 * earlier decision stays in the logbook.
 */
export const disposed: KindOf<'disposed'> = {
  kind: 'disposed',
  v: 1,
  about: 'batch',
  ...BY_THE_LEAD,
  parse(body) {
    const { decision, reason, findings, core } = object(body, ['decision', 'reason', 'findings', 'core'])
    return {
      decision: oneOf(decision, ['release', 'hold', 'rework', 'discard'] as const),
      reason: text(reason, 300),
      findings: list(findings, (field) => {
        const { check, force, standing } = object(field, ['check', 'force', 'standing'])
        return {
          check: text(check, 80),
          force: oneOf<Force>(force, ['law', 'guidance', 'house', 'quality']),
          standing: oneOf<Standing>(standing, ['open', 'proven', 'unproven', 'missed']),
        }
      }),
      core: text(core, 20),
    }
  },
  writes: ({ about }) => [about],
  reads: ({ kitchen }) => [{ type: 'kitchen', id: kitchen }],
  refuse({ about, at, body }, read, world) {
    const batch = read('batch', about.id)
    if (!batch) return { code: 'not there', field: 'about.id', what: 'batch' }
    const findings = judgeBatch(batch, world, at)
    if (canonical(standingsOf(findings)) !== canonical(body.findings))
      return { code: 'changed since', field: 'body.findings' }
    const shut = decisionShut(body.decision, body.reason, batch, findings, at)
    return shut ? { code: 'decision shut', field: 'body.decision', decision: body.decision, why: shut } : null
  },
  folds: {
    batch: (state, entry) => {
      const disposition = factOf(entry, entry.claim.at, entry.claim.body)
      const reworks = entry.claim.body.decision === 'rework' ? [...state.reworks, disposition] : state.reworks
      return { ...state, disposition, reworks }
    },
  },
}
