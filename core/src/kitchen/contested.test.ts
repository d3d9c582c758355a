import fc from 'fast-check'
import type { AnyClaim } from '../ledger/entry'
import { acts, deeds } from '../test/deeds'
import { History } from '../test/history'
import type { Deed } from '../test/history'
import { COOK, idOf, KitchenStory, LEAD, OTHER, type How } from '../test/kitchenStory'
import { at } from '../test/traces'
import { standingsOf } from '../judgement/batch/disposition'
import type { Subject } from '../ledger/subject'
import { contestedOf, unanswered, type BatchState } from '../state/batch'
import { contestedAbout, isToAnswer, type ItemState } from '../state/item'
import type { MemoryKitchen } from './memoryKitchen'
import { parentsOf } from './projection'

/** Two tablets that hear nothing of the server, nor of each other, from 60 minutes to 600. Minutes are after ten. */
const GAP = { from: at(60), to: at(600) }

const ASKED = process.env.LT_FUZZ_HISTORIES
const HISTORIES = Number(ASKED ?? 16)
const SEED = ASKED === undefined ? { seed: 20270311 } : {}

const UUID = /[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g

/** Enters on one tablet, what the server knew at the beginning of the gap being all that it has heard of. */
class Tablet {
  readonly history: History
  readonly claims: AnyClaim[]

  constructor(name: string, deedsOfIt: readonly Deed[], who: Deed['who']) {
    this.history = begun()
    const { story } = this.history
    story.tablet = { device: idOf(name), serverSeen: story.kitchen.entries().length }
    this.history.now = 60
    for (const deed of deedsOfIt) {
      if (this.history.now + deed.wait >= 590) break
      this.history.act({ ...deed, who }, acts[deed.kind]!)
    }
    const entries = story.kitchen.entries()
    const known = JSON.stringify([COOK, OTHER, LEAD, ...entries.slice(0, story.tablet.serverSeen)])
    // What two tablets begin has never the same id.
    this.claims = entries.slice(story.tablet.serverSeen).map(({ claim }) => {
      const own = JSON.stringify(claim).replaceAll(UUID, (id) => (known.includes(id) ? id : idOf(`${name} ${id}`)))
      return JSON.parse(own) as AnyClaim
    })
  }
}

function begun(): History {
  const history = new History([true, true])
  history.story.read(history.pots[0]!, 55, 20)
  return history
}

/** The server's kitchen after these came in this order, and what it refused about a batch or an item. */
function arrived(claims: readonly AnyClaim[]): { kitchen: MemoryKitchen; refused: string[]; pots: string[] } {
  const { story, pots } = begun()
  const post = (claim: AnyClaim) =>
    story.kitchen.post(claim, { postedBy: claim.by, now: at(601), away: { ...GAP, at: claim.madeAt } })
  const refused = claims.flatMap((claim) => {
    let posted = post(claim)
    // A tablet takes the next code by itself.
    if (!posted.ok && posted.code === 'code taken' && 'code' in claim.body)
      posted = post({ ...claim, body: { ...claim.body, code: `${claim.body.code} 2` } } as AnyClaim)
    return posted.ok || !['batch', 'item'].includes(claim.about.type)
      ? []
      : [
          JSON.stringify([
            posted,
            claim.kind,
            (claim.at - at(0)) / 60000,
            claim.device.slice(0, 2),
            claim.about.id.slice(0, 4),
          ]),
        ]
  })
  return { kitchen: story.kitchen, refused, pots }
}

/** What nobody does on a tablet out of sight: what only the server enters, and what a check found only counts once it is known. */
const NOT_ALONE = ['late read away', 'find people', 'restore', 'check in ice', 'from paper']
const ALONE = Object.keys(acts).filter((name) => !NOT_ALONE.includes(name))

/** Both tablets last heard of the same entry; what each does arrives at 601, in this order. */
function both(story: KitchenStory, first: (how: How) => unknown, second: (how: How) => unknown): void {
  const serverSeen = story.kitchen.entries().length
  for (const [name, act] of [
    ['tablet a', first],
    ['tablet b', second],
  ] as const) {
    story.tablet = { device: idOf(name), serverSeen }
    act({ arrives: 601, away: { ...GAP, at: at(300) } })
  }
  story.tablet = { device: idOf('tablet') }
}

const WHY = 'asked both of them, and looked into the refrigerator'

describe('two tablets out of each other’s sight', () => {
  it('both close a step: the second moves nothing, and nothing is proven before the lead has decided', () => {
    const story = new KitchenStory()
    const batch = story.made()
    expect(story.kitchen.standing(batch, at(270))).toBe('proven')
    const closes = (how: How) => expect(story.mark(batch, 300, 'cool', 'done', how).posted).toMatchObject({ ok: true })
    both(story, closes, closes)
    const state = story.kitchen.read('batch', batch)!
    expect(
      state.facts['step-marked'].filter(({ value }) => value.step === 'cool' && value.edge === 'done'),
    ).toHaveLength(1)
    expect(contestedOf(state)).toMatchObject([{ value: { code: 'marked already', claim: { by: COOK } } }])
    const stands = (minutes: number) => [
      story.kitchen.standing(batch, at(minutes)),
      story.kitchen.attention(batch, at(minutes)).kind,
    ]
    expect(stands(602)).toEqual(['unproven', 'decide'])
    const decide = (minutes: number, decision: 'hold' | 'release') => {
      const findings = standingsOf(story.kitchen.findings(batch, at(minutes)))
      story.enter('disposed', batch, minutes, { decision, reason: WHY, findings, core: '1' }, { by: LEAD })
    }
    // To hold it says nothing of which is so.
    decide(603, 'hold')
    expect(stands(604)[0]).toBe('unproven')
    decide(605, 'release')
    expect(stands(606)[0]).toBe('proven')
  })

  it('one discards what the other sells: it is gone or not, and the lead is asked, whichever is heard first', () => {
    const acts = (item: string, story: KitchenStory) => [
      (how: How) =>
        story.enter(
          'item-discarded',
          item,
          300,
          { reason: 'not proven', note: null, measure: null, grams: null, cost: null },
          how,
        ),
      (how: How) => story.enter('item-used', item, 301, { measure: { value: 200, unit: 'g' }, then: 'sold' }, how),
    ]
    for (const order of [
      [0, 1],
      [1, 0],
    ] as const) {
      const story = new KitchenStory()
      const batch = story.made()
      const item = story.putAway(batch, 245)
      const [first, second] = order.map((i) => acts(item, story)[i]!)
      both(story, first!, second!)
      expect(story.kitchen.item(item, at(602))).toMatchObject({ asks: 'lead decides', usable: false })
      expect(contestedAbout(story.kitchen.read('item', item)!)).toHaveLength(1)
      story.enter('went-out-answered', item, 610, { reason: WHY }, { by: LEAD })
      expect(story.kitchen.item(item, at(611)).asks).toBe('gone')
    }
  })

  it('both take the last of a carton: both batches are in doubt until the lead has decided', () => {
    const story = new KitchenStory()
    const carton = story.putAway(story.made(), 245)
    const [one, other] = [story.made('one'), story.made('other')]
    const takes = (into: string) => (how: How) => {
      const part = { ...story.part(carton, into, 300, 'cook'), measure: { value: 1500, unit: 'g' as const } }
      expect(story.post('part-used', carton, 300, part, how).posted).toMatchObject({ ok: true })
    }
    both(story, takes(one), takes(other))
    // It is in both pots: what is in it is lost of neither.
    for (const pot of [one, other]) expect(story.kitchen.read('batch', pot)!.facts['part-used']).toHaveLength(1)
    expect([one, other].map((batch) => story.kitchen.standing(batch, at(602)))).toEqual(['unproven', 'unproven'])
    expect(story.kitchen.item(carton, at(602)).asks).toBe('lead decides')
  })

  it('is no matter of somebody who knew: that is refused, and so is a double tap', () => {
    const story = new KitchenStory()
    const batch = story.made()
    const closes = (how: How) => story.mark(batch, 300, 'cool', 'done', how).posted
    both(
      story,
      (how) => expect([closes(how), closes(how)]).toMatchObject([{ ok: true }, { ok: false, code: 'marked already' }]),
      () => undefined,
    )
    story.tablet = { device: idOf('tablet b'), serverSeen: story.kitchen.entries().length }
    expect(closes({ arrives: 602, away: { ...GAP, at: at(300) } }).ok).toBe(false)
    // Of a tablet that says nothing of what it heard, nothing is in dispute.
    story.tablet = { device: idOf('tablet c') }
    expect(closes({ arrives: 602, away: { ...GAP, at: at(300) } }).ok).toBe(false)
    expect(story.kitchen.standing(batch, at(603))).toBe('proven')
  })

  it('contradict each other in no order without the lead being asked, and nothing is proven until then', () => {
    const ofOne = deeds.map((all) => all.filter(({ kind }) => ALONE.includes(kind)))
    fc.assert(
      fc.property(ofOne, ofOne, fc.array(fc.boolean(), { minLength: 40, maxLength: 40 }), (one, other, order) => {
        const a = new Tablet('tablet a', one, 'cook').claims
        const b = new Tablet('tablet b', other, 'other').claims
        const orders = [[...a, ...b], [...b, ...a], mixed(a, b, order)].map(arrived)
        for (const pot of orders[0]!.pots) {
          const isAsked = orders.map(({ kitchen }) => isAskedAbout(kitchen, { type: 'batch', id: pot }))
          const standings = orders.map(({ kitchen }, i) => (isAsked[i] ? 'asked' : kitchen.standing(pot, at(602))))
          if (
            (isAsked.some(Boolean) && standings.includes('proven')) ||
            (!isAsked.some(Boolean) && new Set(standings).size > 1)
          )
            for (const { kitchen } of orders)
              console.log(
                'DBG3',
                pot.slice(0, 4),
                kitchen.standing(pot, at(602)),
                JSON.stringify(
                  kitchen.findings(pot, at(602)).map((f) => [f.check.key, f.standing, f.because.code, f.doubts]),
                ),
                'CONT',
                JSON.stringify(
                  contestedOf(kitchen.read('batch', pot)!).map((f) => [
                    f.value.claim.kind,
                    (f.at - at(0)) / 60000,
                    f.value.claim.device.slice(0, 2),
                    f.value.code,
                    JSON.stringify(f.value.claim.body).slice(0, 150),
                  ]),
                ),
                'ENT',
                JSON.stringify(
                  kitchen
                    .entries()
                    .slice(22)
                    .map((e) => [
                      e.claim.kind,
                      (e.claim.at - at(0)) / 60000,
                      e.claim.device.slice(0, 2),
                      e.claim.about.id.slice(0, 4),
                      e.seal.resolved?.contested,
                      e.seal.resolved?.contests,
                    ]),
                ),
              )
          if (isAsked.some(Boolean)) expect(standings).not.toContain('proven')
          else expect(new Set(standings).size).toBe(1)
        }
        for (const { refused } of orders) expect(refused).toEqual([])
      }),
      { ...SEED, numRuns: HISTORIES, endOnFailure: true },
    )
  }, 3_600_000)
})

/** Whether the lead is asked about it, or about anything that it was made of: then nothing of it goes on. */
function isAskedAbout(kitchen: MemoryKitchen, { type, id }: Subject, looked = new Set<string>()): boolean {
  if (looked.has(id)) return false
  looked.add(id)
  if (type !== 'batch' && type !== 'item') return false
  const state = kitchen.read(type, id)
  if (!state) return false
  if (type === 'batch' && contestedOf(state as BatchState).length > 0)
    expect(kitchen.standing(id, at(602))).not.toBe('proven')
  if (type === 'batch' ? unanswered(state as BatchState).length > 0 : isToAnswer(state as ItemState)) return true
  return parentsOf(type, state).some((parent) => isAskedAbout(kitchen, parent, looked))
}

function mixed(a: readonly AnyClaim[], b: readonly AnyClaim[], order: readonly boolean[]): AnyClaim[] {
  const [left, right] = [[...a], [...b]]
  const all: AnyClaim[] = []
  for (let i = 0; left.length + right.length > 0; i++) {
    const next = (order[i % order.length] && left.length > 0) || right.length === 0 ? left : right
    all.push(next.shift()!)
  }
  return all
}
