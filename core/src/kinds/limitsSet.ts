import { canonical } from '../ledger/canonical'
import { FieldError, id, object, oneOf, text, whole } from '../ledger/parse'
import { ruleSets } from '../limits/ruleSets'
import type { LimitSet } from '../limits/limit'
import type { KindOf } from './kindOf'

/** The lead puts a rule set in force. The limits are stored whole, and must be the ones we publish. */
export const limitsSet: KindOf<'limits-set'> = {
  kind: 'limits-set',
  v: 1,
  about: 'limits',
  may: ['lead'],
  signed: true,
  parse(body) {
    const { set } = object(body, ['set'])
    const fields = object(set, ['id', 'version', 'ruleSet', 'unit', 'limits'])
    const ruleSet = object(fields.ruleSet, ['key', 'name'])
    const key = oneOf(ruleSet.key, Object.keys(ruleSets))
    const published = ruleSets[key]!.limits
    if (canonical(fields.limits.value ?? null) !== canonical(published)) {
      throw new FieldError(fields.limits.path, { code: 'not one of', allowed: `the published limits of ${key}` })
    }
    return {
      set: {
        id: id(fields.id),
        version: whole(fields.version, 1, 1e6),
        ruleSet: { key, name: text(ruleSet.name, 80) },
        unit: oneOf(fields.unit, ['C', 'F', 'stricter'] as const),
        limits: published,
      } satisfies LimitSet,
    }
  },
  touches: ({ about }) => [about],
  reads: () => [],
  admit({ about, body }, read) {
    const current = read('limits', about.id)?.version ?? 0
    return body.set.version === current + 1 ? null : { code: 'older version', field: 'body', current }
  },
}
