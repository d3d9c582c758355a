import { type LineageBar, type MoveShut, type PartShut, type ReceivingReason } from '@logged-thermal/core'
import { dayName, degrees, levelDegrees, limitDegreesOf, type Reader } from './figures'
import { speaker, type Spoken } from './catalogue/say'
import { holdingMessages } from './catalogue/holding'

import { measureWords } from './storeWords'

const say = speaker(holdingMessages)

function lineageWord(key: LineageBar['why'], reader: Spoken): string {
  return say(reader, `lineage_${key}`)
}

/** What an item was made of holds it: which, and why. */
export function barSentence({ code, why }: Pick<LineageBar, 'code' | 'why'>, reader: Spoken): string {
  return say(reader, 'howeverFarBack', { code, lineage: lineageWord(why, reader) })
}

/** Why some of an item may not go there, and what to do. */
export function partShutSentence(why: PartShut, reader: Reader): string {
  switch (why.code) {
    case 'to discard':
      return why.why === 'undated' ? say(reader, 'noDateBin') : say(reader, 'itsTimeUpBin')
    case 'held':
      return say(reader, 'heldLeadDecidesFirst')
    case 'asks first':
      return why.asks === 'read it' ? say(reader, 'readItsCoreFirst') : say(reader, 'tooWarmForToo')
    case 'frozen':
      return say(reader, 'frozenThawFirst')
    case 'not proven':
      return say(reader, 'notProvenNotReleased', { batch: why.batch })
    case 'lot not accepted':
      return say(reader, 'lotHeldOrCalled', { lot: why.lot })
    case 'lineage':
      return say(reader, 'whichMadeLeadDecides', { of: why.of, lineage: lineageWord(why.what, reader) })
    case 'too warm':
      return say(reader, 'atOverChillFirst', {
        degrees: degrees(why.celsius, reader, 'under'),
        degrees2: limitDegreesOf(why.level, reader, 'under'),
      })
    case 'out for good':
      return say(reader, 'wentOutGuestsOr')
    case 'raw egg unheated':
      return say(reader, 'rawEggNoStep')
    case 'fruit not treated':
      return say(reader, 'nothingKnownDoneAgainst')
    case 'not looked at':
      return say(reader, 'lookAtAgainGood')
    case 'looked bad':
      return say(reader, 'didNotLookGood')
    case 'susceptible':
      return say(reader, 'holdsRawEgg')
    case 'is egg':
      return say(reader, 'eggNotFinished')
    case 'not held':
      return say(reader, 'receiveFirst', { name: why.name })
    case 'made of it':
      return say(reader, 'madeOfIt')
    case 'more than is left':
      return say(reader, 'onlyLeft', { amount: measureWords(why.left, reader) })
  }
}

export function moveShutSentence(why: MoveShut, reader: Spoken): string {
  const words: Record<MoveShut, string> = {
    'went out for good': say(reader, 'wentOutWithTime'),
    'not a freezer': say(reader, 'freezingNeedsFreezer'),
    'frozen already': say(reader, 'frozenThawFirst'),
    'not frozen': say(reader, 'notFrozen'),
    'thaws in the cold': say(reader, 'thawsRefrigerator'),
    'not a hot well': say(reader, 'hotHoldingNeedsHot'),
    'went hot for good': say(reader, 'heldHotServedFrom'),
    'out is no unit': say(reader, 'outOnBenchNo'),
    'no unit': say(reader, 'sayIntoWhichUnit'),
    'not a cold unit': say(reader, 'needsColdUnit'),
    'that is freezing': say(reader, 'intoFreezerFreezingSay'),
    'that is thawing': say(reader, 'outFreezerThawingSay'),
  }
  return words[why]
}

/** What is the matter with a lot at the door. */
export function receivingSentence(why: ReceivingReason, reader: Reader): string {
  switch (why.code) {
    case 'too warm':
      return say(reader, 'atOverRefuse', {
        degrees: degrees(why.celsius, reader, 'under'),
        degrees2: levelDegrees(why.level, reader),
        document: why.level.limit.source.document,
        section: why.level.limit.source.section,
      })
    case 'milk by its law':
      return say(reader, 'atOverMilkMay', {
        degrees: degrees(why.celsius, reader, 'under'),
        degrees2: levelDegrees(why.level, reader),
        degrees3: levelDegrees(why.own, reader),
        document: why.own.limit.source.document,
        section: why.own.limit.source.section,
      })
    case 'not read':
      return say(reader, 'itsTemperatureNotRead', { degrees: levelDegrees(why.level, reader) })
    case 'instrument in doubt':
      return say(reader, 'itsInstrumentInDoubt', { degrees: levelDegrees(why.level, reader) })
    case 'past its best':
      return say(reader, 'bestBeforePastHow', { day: dayName(why.bestBefore, reader) })
    case 'past its day':
      return say(reader, 'itsUseByRefuse', { day: dayName(why.useBy, reader) })
    case 'no use-by':
      return say(reader, 'noUseByStands')
    case 'no scheme':
      return say(reader, 'forSusceptiblePeopleEggs')
    case 'fruit not treated':
      return say(reader, 'frozenFruitWithNo')
    case 'looks bad':
      return say(reader, 'doesNotLookGood', { why: why.why, hasWhy: Boolean(why.why) })
    case 'not looked at':
      return say(reader, 'herbsFruitNutsLooked')
  }
}
