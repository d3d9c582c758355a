import { id, instant, object, oneOf, text } from '../../ground/field'
import { MATTERS, type MatterClosed } from '../../ledger/matter'
import type { Claim } from '../../ledger/entry'
import type { Subject, SubjectType } from '../../ledger/subject'
import { isOutside, lastCounted } from '../../judgement/warmth/air'
import { isSettled } from '../../judgement/log/settled'
import { judgeBatch } from '../../judgement/batch/judgeBatch'
import type { World } from '../../judgement/world'
import { levelOf } from '../../recipe/checks/unitKind'
import { dayOf } from '../../ground/zone'
import { holdOf, isGone } from '../../state/item'
import { lastMade } from '../../state/instrument'
import { factOf } from '../../state/fact'
import type { Read } from '../../state/state'
import { BY_THE_LEAD, type KindOf } from '../guard/kindOf'
import { limitsIn } from '../guard/limitsIn'
import { limitsNow } from '../guard/storeOf'
import { heldBy } from '../lot/recalled'

declare module '../../ledger/entry' {
  interface Bodies {
    'matter-closed': MatterClosed
  }
}

const ABOUT = ['kitchen', 'batch', 'item', 'unit', 'instrument'] as const satisfies readonly SubjectType[]

/** The lead closes a matter: not before what it is about is settled. The same cause opens it again. */
export const matterClosed: KindOf<'matter-closed'> = {
  kind: 'matter-closed',
  v: 1,
  about: 'matter',
  ...BY_THE_LEAD,
  parse(body) {
    const { of, subject, since, action, why, prevents } = object(body, [
      'of',
      'subject',
      'since',
      'action',
      'why',
      'prevents',
    ])
    const { type, id: subjectId } = object(subject, ['type', 'id'])
    return {
      of: oneOf(of, MATTERS),
      subject: { type: oneOf(type, ABOUT), id: id(subjectId) },
      since: instant(since),
      action: text(action, 500),
      why: text(why, 500),
      prevents: text(prevents, 500),
    }
  },
  writes: ({ about }) => [about],
  reads: ({ body: { subject } }) => [subject],
  readsThen: ({ about }, read, world) => {
    const incident = read('matter', about.id)?.incident
    return [...limitsIn(world), ...(incident ? heldBy(incident.value) : [])]
  },
  refuse(claim, read, world) {
    const { about, body } = claim
    if (body.of === 'incident' && !read('matter', about.id))
      return { code: 'not there', field: 'about.id', what: 'matter' }
    if (!read(body.subject.type, body.subject.id)) return { code: 'not there', field: 'body.subject', what: 'matter' }
    return stillOpen(claim, read, world).length > 0 ? { code: 'matter open', field: 'body.action' } : null
  },
  begins: {
    matter: (entry, id) => ({ id, incident: null, closings: [factOf(entry, entry.claim.at, entry.claim.body)] }),
  },
  folds: {
    matter: (state, entry) => ({
      ...state,
      closings: [...state.closings, factOf(entry, entry.claim.at, entry.claim.body)],
    }),
  },
}

/** What a matter is about that nobody has settled yet. */
function stillOpen(claim: Claim<'matter-closed'>, read: Read, world: World): Subject[] {
  const { about, body } = claim
  const incident = read('matter', about.id)?.incident ?? null
  const things = body.of === 'incident' && incident ? heldBy(incident.value) : [body.subject]
  return things.filter((thing) => isOpen(thing, claim, read, world))
}

function isOpen({ type, id: of }: Subject, { at, body }: Claim<'matter-closed'>, read: Read, world: World): boolean {
  switch (type) {
    case 'item': {
      const item = read('item', of)
      return item !== null && !isGone(item) && (body.of === 'item' || holdOf(item) !== null)
    }
    case 'batch': {
      const batch = read('batch', of)
      // Where eggs went, nobody can weigh any more: it is said in writing.
      return batch !== null && body.of !== 'eggs' && !isSettled(batch, judgeBatch(batch, world, at))
    }
    case 'unit': {
      const unit = read('unit', of)
      const limits = limitsNow(world, read, at)
      const level = unit && limits && levelOf(unit.kind, limits, dayOf(at, world.zone))
      const last = unit && level && lastCounted(unit, level)
      return level !== null && last !== null && isOutside(last.celsius, level)
    }
    case 'instrument': {
      const instrument = read('instrument', of)
      return instrument?.gone === null && lastMade(instrument.history)?.passed === false
    }
    default:
      return false
  }
}
