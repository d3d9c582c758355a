import type { Keep } from '../../ledger/dating'
import type { AcidDocument } from '../../recipe/checks/acidDocument'
import type { Check } from '../../recipe/checks/checksFor'

/** Whether the document for its method holds for a batch, by its own pH; and what it may loosen. */
export type AcidKeeping =
  | {
      holds: false
      why:
        | 'no document'
        | 'ended'
        | 'not measured'
        | 'not finished'
        | 'changed since'
        | 'meter not checked'
        | 'outside'
        | 'raw'
    }
  | {
      holds: true
      document: AcidDocument
      /** Its days stand in the place of those of the rule set and the house; else they can only shorten. */
      days: boolean
      /** It needs no cold. */
      warm: boolean
    }

/** What keeps a batch once its document is looked at: in the place of days of rule set and house, or beside them. */
export function acidKeeps({ document }: AcidKeeping & { holds: true }): Keep {
  const { by, issuer, number, validUntil, days } = document
  return {
    what: 'days',
    count: days,
    from: null,
    force: by === 'authority' ? 'law' : 'house',
    source: { document: issuer, section: number, edition: validUntil, confidence: 'high' },
  }
}

/** Whether a check is of the days that a document may stand in for: not those of untreated fruit. */
export function isReplaced({ limit }: Check): boolean {
  return limit.rule.kind === 'days' && limit.key !== 'fruit-days'
}
