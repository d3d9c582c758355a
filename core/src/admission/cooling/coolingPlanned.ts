import { MOST_PANS } from './poured'
import type { Bodies } from '../../ledger/entry'
import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { PLACES } from '../../physics/cooling/place'
import { COVERS } from '../../physics/cooling/faces'
import { id, number, object, oneOf, whole } from '../../ground/field'
import { needsOpenBatch } from '../guard/openBatch'
import { parseVesselFacts } from '../equipment/vesselRegistered'

declare module '../../ledger/entry' {
  interface Bodies {
    'cooling-planned': CoolingPlan
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    'cooling-planned': Bodies['cooling-planned']
  }
}

/** How it is meant to cool. A plan proves nothing; it stands beside what is read. */
export const coolingPlanned: KindOf<'cooling-planned'> = {
  kind: 'cooling-planned',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { vessel, pans, depth, place, cover } = object(body, ['vessel', 'pans', 'depth', 'place', 'cover'])
    const facts = object(vessel, ['id', 'name', 'inside', 'wall'])
    return {
      vessel: { id: id(facts.id), ...parseVesselFacts(facts) },
      pans: whole(pans, 1, MOST_PANS),
      depth: number(depth, 0.003, 2),
      place: oneOf(place, PLACES),
      cover: oneOf(cover, COVERS),
    }
  },
  writes: ({ about }) => [about],
  reads: ({ body }) => [{ type: 'vessel', id: body.vessel.id }],
  refuse: (claim, read) =>
    needsOpenBatch(claim, read) ??
    (read('vessel', claim.body.vessel.id) ? null : { code: 'not there', field: 'body.vessel', what: 'vessel' }),
  fact: asEntered,
}
