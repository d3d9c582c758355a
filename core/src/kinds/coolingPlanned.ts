import { PLACES } from '../cooling/place'
import { COVERS } from '../cooling/faces'
import { id, number, object, oneOf, whole } from '../ledger/parse'
import { EVERYONE_WHO_COOKS, type KindOf } from './kindOf'
import { needsOpenBatch } from './openBatch'
import { parseVesselFacts } from './vesselRegistered'

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
      pans: whole(pans, 1, 60),
      depth: number(depth, 0.003, 2),
      place: oneOf(place, PLACES),
      cover: oneOf(cover, COVERS),
    }
  },
  touches: ({ about }) => [about],
  reads: ({ body }) => [{ type: 'vessel', id: body.vessel.id }],
  admit: (claim, read) =>
    needsOpenBatch(claim, read) ??
    (read('vessel', claim.body.vessel.id) ? null : { code: 'not there', field: 'body.vessel', what: 'vessel' }),
}
