import { v7 as uuid } from 'uuid'
import { kinds, type AnyClaim, type Bodies, type Id, type Instant, type Kind } from '@logged-thermal/core'

/** Seeded entries name this as their device, so that a record shows them for what they are. */
export const SEEDING = '00000000-0000-7000-8000-000000000001'

/**
 * Makes a claim as a tablet would, at an instant.
 * @param device on which it is made
 */
export function claimMaker(kitchen: Id, device: Id = SEEDING) {
  return <K extends Kind>(kind: K, about: Id, at: Instant, by: Id, body: Bodies[K]): AnyClaim =>
    ({
      id: uuid({ msecs: at }),
      kitchen,
      kind,
      v: kinds[kind].v,
      about: { type: kinds[kind].about, id: about },
      at,
      madeAt: at,
      by,
      device,
      body,
    }) as AnyClaim
}
