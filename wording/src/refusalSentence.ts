import {
  REFERENCE_WITHIN,
  VALIDATED_CORE,
  ASSESSMENT_LENGTH,
  type BakeNotShown,
  type FieldProblem,
  type Refusal,
  type Shut,
} from '@logged-thermal/core'
import { centimetres } from './coolingWords'
import { clock, dayName, difference, limitDegreesOf, type Reader } from './figures'
import { orderSentence } from './guideWords'
import { lineName } from './limitWords'
import { problemSentence } from './methodWords'
import { moveShutSentence, partShutSentence, receivingSentence } from './shutSentences'
import { speaker, type Spoken } from './catalogue/say'
import { refusalsMessages } from './catalogue/refusals'

const say = speaker(refusalsMessages)

/** Why an entry was not taken, as one sentence that says what to do, to whoever reads it. */
export function refusalSentence(refusal: Refusal, reader: Reader): string {
  switch (refusal.code) {
    case 'bad field':
      return fieldSentence(refusal.field, refusal.problem, reader)
    case 'ahead of clock':
      return say(reader, 'timeAheadKitchensClock', {
        minutes: minutes(refusal.aheadMs, reader),
        hasClockAheadMs: refusal.clockAheadMs > 60_000,
      })
    case 'id taken':
      return say(reader, 'anotherEntryAlreadyNumber')
    case 'other kitchen':
      return say(reader, 'entryBelongsAnotherKitchen')
    case 'not on the list':
      return say(reader, 'nobodyKitchenNameTap')
    case 'may not':
      return say(reader, 'personMayNotEnter', { kind: refusal.kind })
    case 'lead must sign':
      return say(reader, 'foodSafetyLeadSigns')
    case 'second needed':
      return say(reader, 'somebodyElseSigns')
    case 'sign yourself':
      return say(reader, 'whoseShiftMayNot')
    case 'before it began':
      return say(reader, 'timeBeforeBeganAt', { time: clock(refusal.begins, reader) })
    case 'readings out of order':
      return say(reader, 'outOfOrderInFile')
    case 'marked already':
      return say(reader, 'markedAlreadyAtFirst', { time: clock(refusal.at, reader) })
    case 'not there':
      return say(reader, 'kitchenNoSuch', { what: refusal.what })
    case 'already there':
      return say(reader, 'alreadyThere', { what: refusal.what })
    case 'code taken':
      return say(reader, 'takenByAnotherTake', { taken: refusal.taken })
    case 'batch closed':
      return say(reader, 'thrownAwayNothingMore', { batch: refusal.batch })
    case 'cannot measure that':
      return say(reader, 'doesNotReadThere', { instrument: refusal.instrument })
    case 'instrument gone':
      return say(reader, 'instrumentGone', { instrument: refusal.instrument })
    case 'instrument in doubt':
      return say(reader, 'instrumentInDoubt', { instrument: refusal.instrument })
    case 'too long ago':
      return say(reader, 'tooLongAgo', { instrument: refusal.instrument })
    case 'not checked so':
      return say(reader, 'notCheckedSo', { instrument: refusal.instrument })
    case 'reference not checked':
      return say(reader, 'referenceNotChecked', {
        instrument: refusal.instrument,
        days: Math.round(REFERENCE_WITHIN / 86_400_000),
      })
    case 'read again':
      return say(reader, 'readItAgain', { read: refusal.read })
    case 'not steady':
      return say(reader, 'notSteady', { apart: difference(refusal.apart, reader) })
    case 'not a reading':
      return say(reader, 'onlyReadingCanGiven')
    case 'older version':
      return say(reader, 'thereNewerVersionOpen', { current: refusal.current })
    case 'trace incomplete':
      return say(reader, 'traceIncomplete', { left: refusal.left })
    case 'still kept':
      return say(reader, 'sampleStillKept', { day: dayName(refusal.until, reader) })
    case 'plan changed':
      return say(reader, 'planChanged')
    case 'kept too short':
      return say(reader, 'keptTooShort', { months: refusal.months })
    case 'looser':
      return say(reader, 'wouldLooserThanRule', { line: lineName(refusal.line, reader) })
    case 'method blocked':
      return say(reader, 'versionCannotPutForce', { problemSentence: problemSentence(refusal.problem, reader) })
    case 'out of order':
      return orderSentence(refusal.why, reader)
    case 'clean first':
      return say(reader, 'houseAsksForTick')
    case 'other lot':
      return say(reader, 'cameAnotherWayThan', { lot: refusal.lot })
    case 'lot past its day':
      return say(reader, 'usedByTakeAnother', { lot: refusal.lot, day: dayName(refusal.useBy, reader) })
    case 'wrong egg':
      return refusal.why === 'susceptible'
        ? say(reader, 'notPasteurizedLotFor', { lot: refusal.lot })
        : say(reader, 'notPasteurizedLotNo', { lot: refusal.lot })
    case 'other unit':
      return say(reader, 'anotherKindUnitChoose', { unit: refusal.unit })
    case 'over the rim':
      return say(reader, 'highInsideTakeMore', {
        vessel: refusal.vessel,
        centimetres: centimetres(refusal.height, reader),
      })
    case 'unrated vessel':
      return refusal.why === 'not for food'
        ? say(reader, 'notRatedForFood', { vessel: refusal.vessel })
        : say(reader, 'notRatedForHot', { vessel: refusal.vessel })
    case 'rewarmed enough':
      return refusal.most === 0
        ? say(reader, 'houseWarmsNothingAgain')
        : say(reader, 'warmedAgainOnceTimes', { most: refusal.most })
    case 'not proven to rewarm':
      return say(reader, 'onlyWhatProvenWarmed')
    case 'lot needed':
      return say(reader, 'pasteurizedLotNamedBy')
    case 'package needed':
      return say(reader, 'lotLiesColdStore', { lot: refusal.lot })
    case 'not proven to serve':
      return say(reader, 'whatNeedsNotProven', { batch: refusal.batch })
    case 'time to serve is up':
      return say(reader, 'timeToServeIsUp', { batch: refusal.batch })
    case 'heated here':
      return say(reader, 'eggsHeatedKitchenCount')
    case 'other lineage':
      return say(reader, 'changedSinceYouLooked')
    case 'more than is left':
      return say(reader, 'onlyAboutGLeft', { left: refusal.left })
    case 'item gone':
      return say(reader, 'binAlready')
    case 'item shut':
      return `${refusal.item}: ${partShutSentence(refusal.why, reader)}`
    case 'move shut':
      return `${refusal.item}: ${moveShutSentence(refusal.why, reader)}`
    case 'not to open':
      return say(reader, 'noClosedPackage', { item: refusal.item })
    case 'not proven to leave':
      return refusal.field === 'body.frozen'
        ? say(reader, 'notProvenFrost', { batch: refusal.batch })
        : say(reader, 'notProvenNotReleased', { batch: refusal.batch })
    case 'nothing went out':
      return say(reader, 'nothingWentOutStill', { item: refusal.item })
    case 'recall stands':
      return say(reader, 'calledBackEndRecall', { item: refusal.item })
    case 'recalled already':
      return say(reader, 'calledBackAlready', { lot: refusal.lot })
    case 'no lead left':
      return say(reader, 'somebodyFoodSafetyLead')
    case 'no role for it':
      return say(reader, 'administersBeside')
    case 'reason short':
      return say(reader, 'writeWhyMayGo', { assessmentLength: ASSESSMENT_LENGTH })
    case 'not taken back':
      return refusal.why === 'late' ? say(reader, 'moreThan15Minutes') : say(reader, 'cannotTakenBackWith')
    case 'lot refused':
      return say(reader, 'refusedAtDoorWent', { lot: refusal.lot })
    case 'lot not accepted':
      return say(reader, 'heldOrCalledBack', { lot: refusal.lot })
    case 'received otherwise':
      return receivingSentence(refusal.why, reader)
    case 'keeps too long':
      return say(reader, 'daysLongerThanMost', {
        days: refusal.days,
        days2: refusal.limit.rule.days,
        document: refusal.limit.source.document,
        section: refusal.limit.source.section,
      })
    case 'not guidance':
      return say(reader, 'onlyLimitGuidanceGives')
    case 'signed too long':
      return say(reader, 'signedUntilAtLatest', { day: dayName(refusal.last, reader) })
    case 'not crumb':
      return say(reader, 'onlyCrumbDryPieces')
    case 'bakes wanting':
      return say(reader, 'threeDifferentBakesNeeded')
    case 'bake not shown':
      return say(reader, 'doesNotShow', { batch: refusal.batch, bakeNotShown: bakeNotShown(refusal.why, reader) })
    case 'kept, not served':
      return say(reader, 'methodCooledKeptLead')
    case 'backdated':
      return say(reader, 'limitsForceFromNow')
    case 'matter open':
      return say(reader, 'matterOpen')
    case 'day not over':
      return say(reader, 'dayNotOver', { day: dayName(refusal.day, reader) })
    case 'day long over':
      return say(reader, 'dayLongOver', { day: dayName(refusal.day, reader), days: refusal.days })
    case 'changed since':
      return say(reader, 'somethingEnteredSinceYou')
    case 'decision shut':
      return shutSentence(refusal.why, reader)
  }
}

/** Why a decision cannot be made. */
export function shutSentence(shut: Shut, reader: Spoken): string {
  switch (shut.code) {
    case 'closed':
      return say(reader, 'thrownAway')
    case 'recalled':
      return say(reader, 'lotCalledBackEnd')
    case 'law missed':
      return say(reader, 'limitLawMissedCannot')
    case 'still open':
      return say(reader, 'gateStillOpenCan')
    case 'needs assessment':
      return say(reader, 'somethingNotProvenWrite', { assessmentLength: ASSESSMENT_LENGTH })
    case 'no rework here':
      return say(reader, 'ruleSetForceKnows')
    case 'reworked already':
      return say(reader, 'reworkedOnceSecondTime')
    case 'too late to rework':
      return say(reader, 'timeFirstGateUp')
    case 'nothing to rework':
      return say(reader, 'itsCoolingProvenNothing')
  }
}

/** What is wrong with one field. */
export function fieldSentence(field: string, problem: FieldProblem, reader: Spoken): string {
  const name = field.split('.').at(-1)
  switch (problem.code) {
    case 'missing':
      return say(reader, 'isMissing', { name })
    case 'unknown field':
      return say(reader, 'notFieldEntry', { name })
    case 'not text':
      return say(reader, 'textAtMostCharacters', { name, longest: problem.longest })
    case 'hidden characters':
      return say(reader, 'charactersNobodyCanSee', { name })
    case 'not one of':
      return say(reader, 'hasToBeOne', { name, allowed: problem.allowed })
    case 'not a number':
      return say(reader, 'hasToBeA', { name })
    case 'not an id':
      return say(reader, 'uuidLowerCase', { name })
    case 'not an instant':
      return say(reader, 'wholeMillisecondsSince1970', { name })
    case 'not a list':
      return say(reader, 'hasToBeAList', { name })
    case 'not a day':
      return say(reader, 'dayYyyyMmDd', { name })
    case 'other temperature':
      return say(reader, 'anotherTemperatureThanIts', { name })
    case 'not readable':
      return say(reader, 'fileNotReadableJson')
    case 'not a whole':
      return say(reader, 'partsHaveAddUp', { name })
    case 'twice':
      return say(reader, 'standsThereTwice', { name })
    case 'not a temperature':
      return say(reader, 'noTemperaturePan90', { typed: problem.typed })
    case 'out of range':
      return say(reader, 'hasToBeFrom', { name, least: problem.least, most: problem.most })
  }
}

function bakeNotShown(why: BakeNotShown, reader: Reader): string {
  const core = `${limitDegreesOf(VALIDATED_CORE.c, reader)}${reader.scale}`
  switch (why) {
    case 'other method':
      return say(reader, 'anotherVersionMethodOr')
    case 'shallower':
      return say(reader, 'filledLessDeep')
    case 'not read':
      return say(reader, 'noProbeReadMiddle', { core })
    case 'hotter oven':
      return say(reader, 'itsOvenHotter')
    case 'longer':
      return say(reader, 'longerOvenBeforeRead', { core })
  }
}

function minutes(ms: number, reader: Spoken): string {
  return ms < 90_000 ? `${Math.round(ms / 1000)} s` : say(reader, 'minMs', { ms: Math.round(ms / 60_000) })
}
