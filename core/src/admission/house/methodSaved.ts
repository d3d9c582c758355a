import { object } from '../../ground/field'
import { parseMethod } from '../../recipe/method/parseMethod'
import type { KindOf } from '../guard/kindOf'

/** A version of a method: a draft until the lead approves it. */
export const methodSaved: KindOf<'method-saved'> = {
  kind: 'method-saved',
  v: 1,
  about: 'method',
  may: ['chef', 'lead'],
  signed: false,
  parse(body) {
    return { method: parseMethod(object(body, ['method']).method) }
  },
  touches: ({ about }) => [about],
  reads: () => [],
  admit({ about, body: { method } }, read) {
    if (method.id !== about.id) return { code: 'not there', field: 'body.method.id', what: 'method' }
    const current = read('method', about.id)?.versions.at(-1)?.version ?? 0
    return method.version === current + 1 ? null : { code: 'older version', field: 'body', current }
  },
}
