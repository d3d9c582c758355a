import type { Bodies } from '../../ledger/entry'
import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { MINUTE } from '../../ground/instant'
import { id, number, object, text, whole } from '../../ground/field'
import { timelineOf } from '../../judgement/timeline/timeline'
import { fillRefusal } from '../../physics/cooling/vessel'
import { needsOpenBatch } from '../guard/openBatch'
import { parseVesselFacts } from '../equipment/vesselRegistered'

/** Cups and moulds of a large batch; more is a slip. */
export const MOST_PANS = 600

declare module '../../ledger/entry' {
  interface Bodies {
    poured: Pouring
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    poured: Bodies['poured']
  }
}

/** Poured into one vessel or split into several alike: each pan is a portion with a trace of its own from here on. */
export const poured: KindOf<'poured'> = {
  kind: 'poured',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { vessel, pans, depth, slowest } = object(body, ['vessel', 'pans', 'depth', 'slowest'])
    const facts = object(vessel, ['id', 'name', 'inside', 'wall'])
    return {
      vessel: { id: id(facts.id), ...parseVesselFacts(facts) },
      pans: whole(pans, 1, MOST_PANS),
      depth: number(depth, 0.003, 2),
      ...(slowest.value === undefined ? {} : { slowest: text(slowest, 8) }),
    }
  },
  writes: ({ about }) => [about],
  reads: ({ body }) => [{ type: 'vessel', id: body.vessel.id }],
  refuse(claim, read) {
    const shut = needsOpenBatch(claim, read)
    if (shut) return shut
    const { pans, slowest } = claim.body
    if (slowest !== undefined && /^\d+$/.test(slowest) && !(Number(slowest) >= 1 && Number(slowest) <= pans))
      return { code: 'bad field', field: 'body.slowest', problem: { code: 'out of range', least: 1, most: pans } }
    const vessel = read('vessel', claim.body.vessel.id)
    if (!vessel) return { code: 'not there', field: 'body.vessel', what: 'vessel' }
    if (claim.body.depth > vessel.inside.height)
      return { code: 'over the rim', field: 'body.depth', vessel: vessel.name, height: vessel.inside.height }
    const why = fillRefusal(vessel, timelineOf(read('batch', claim.about.id)!).lastRead(claim.at))
    return why === null ? null : { code: 'unrated vessel', field: 'body.vessel', vessel: vessel.name, why }
  },
  lateAfter: 30 * MINUTE,
  fact: asEntered,
}
