import type { Degrees, Level, MoveShut, PartShut, ReceivingReason } from '@logged-thermal/core'
import { moveShutSentence, partShutSentence, receivingSentence } from './shutSentences'

const source = { document: 'Food code', section: '3-202.11', edition: '2022', confidence: 'high' } as const
/** What is received under a level, as the limit prints it. */
const received = (level: Degrees): Level => ({
  side: 'under',
  celsius: level.c,
  limit: { source, rule: { kind: 'stay', side: 'under', level, grace: null } } as Level['limit'],
})
const level = received({ c: 5, f: 41 })

/** One of every reason there is, with what its sentence has to name: a new one does not compile without. */
const parts: { [C in PartShut['code']]: [Extract<PartShut, { code: C }>, string] } = {
  'to discard': [{ code: 'to discard', why: 'undated' }, 'it has no date. Bin it.'],
  held: [{ code: 'held' }, 'The lead decides first'],
  'asks first': [{ code: 'asks first', asks: 'read it' }, 'read its core first'],
  frozen: [{ code: 'frozen' }, 'Thaw it first'],
  'not proven': [{ code: 'not proven', batch: '62-1' }, '62-1 is not proven'],
  lineage: [{ code: 'lineage', what: 'recalled', of: '62-1' }, '62-1'],
  'lot not accepted': [{ code: 'lot not accepted', lot: 'L522' }, 'L522'],
  'too warm': [{ code: 'too warm', celsius: 9.4, level: 5 }, 'at 9.4° it is over 5°'],
  'out for good': [{ code: 'out for good' }, 'it is served from there'],
  'raw egg unheated': [{ code: 'raw egg unheated' }, 'no step heats it'],
  'fruit not treated': [{ code: 'fruit not treated' }, 'Boil it'],
  'not looked at': [{ code: 'not looked at' }, 'look at it again'],
  'looked bad': [{ code: 'looked bad' }, 'does not go in'],
  'more than is left': [{ code: 'more than is left', left: { value: 900, unit: 'g' } }, '900 g'],
  susceptible: [{ code: 'susceptible' }, 'holds raw egg'],
  'is egg': [{ code: 'is egg' }, 'goes into a batch'],
  'not held': [{ code: 'not held', name: 'Whipping cream' }, 'Receive Whipping cream first'],
  'made of it': [{ code: 'made of it' }, 'Choose another'],
}

const reasons: { [C in ReceivingReason['code']]: [Extract<ReceivingReason, { code: C }>, string] } = {
  'too warm': [{ code: 'too warm', celsius: 9.5, level }, 'At 9.5° it is over 5°: refuse it. Food code, 3-202.11.'],
  'milk by its law': [
    { code: 'milk by its law', celsius: 6.2, level, own: received({ c: 7, f: 45 }) },
    'At 6.2° it is over 5°. Milk may come up to 7° where a law of its own sets that: hold it',
  ],
  'not read': [{ code: 'not read', level }, '5° or under'],
  'instrument in doubt': [{ code: 'instrument in doubt', level }, 'read it with another. 5° or under'],
  'past its best': [{ code: 'past its best', bestBefore: '2027-03-05' }, 'Fri 5 Mar'],
  'past its day': [{ code: 'past its day', useBy: '2027-03-05' }, 'Fri 5 Mar: refuse it'],
  'no use-by': [{ code: 'no use-by' }, 'hold it until the lead dates it'],
  'no scheme': [{ code: 'no scheme' }, 'hold it'],
  'fruit not treated': [{ code: 'fruit not treated' }, 'hold it'],
  'looks bad': [{ code: 'looks bad', why: 'mould' }, 'does not look good: mould. Refuse it.'],
  'not looked at': [{ code: 'not looked at' }, 'good, or not'],
}

const READER = { scale: 'C' as const, zone: 'UTC', locale: 'en-GB' as const, hours: 24 as const, today: null }

it.each(Object.values(parts))('what may not go in says what helps: %o', (why, named) => {
  expect(partShutSentence(why, READER)).toContain(named)
  expect(partShutSentence(why, READER)).toMatch(/\.$/)
})

it.each(Object.values(reasons))('what is wrong at the door says hold or refuse, and by what: %o', (why, named) => {
  expect(receivingSentence(why, READER)).toContain(named)
})

it('says the figures of a reason in the unit of whoever reads it', () => {
  const reader = { scale: 'F' as const, zone: 'UTC', locale: 'en-GB' as const, hours: 24 as const, today: null }
  expect(receivingSentence({ code: 'too warm', celsius: 9.5, level }, reader)).toContain('At 49.1° it is over 41°')
  expect(partShutSentence({ code: 'asks first', asks: 'lead decides' }, READER)).toContain('The lead decides first')
  expect(partShutSentence({ code: 'to discard', why: 'past its day' }, READER)).toBe('its time is up. Bin it.')
})

it('says of every move that is shut what would be right', () => {
  const shut: Record<MoveShut, string> = {
    'went out for good': 'does not go back into the cold',
    'not a freezer': 'needs a freezer',
    'frozen already': 'Thaw it first',
    'not frozen': 'not frozen',
    'thaws in the cold': 'in a refrigerator',
    'not a hot well': 'needs a hot well',
    'went hot for good': 'the rest goes into the bin',
    'out is no unit': 'no unit',
    'no unit': 'which unit',
    'not a cold unit': 'needs a cold unit',
    'that is freezing': 'its clock stops',
    'that is thawing': 'its clock runs on',
  }
  for (const [why, named] of Object.entries(shut))
    expect(moveShutSentence(why as MoveShut, { locale: 'en-GB' })).toContain(named)
})
