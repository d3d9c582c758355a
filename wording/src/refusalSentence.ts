import {
  VALIDATED_CORE,
  ASSESSMENT_LENGTH,
  type BakeNotShown,
  type FieldProblem,
  type Refusal,
  type Shut,
} from '@logged-thermal/core'
import { centimetres } from './coolingWords'
import { clock, dayName, limitDegreesOf, type Reader } from './figures'
import { orderSentence } from './guideWords'
import { lineName } from './limitWords'
import { problemSentence } from './methodWords'
import { moveShutSentence, partShutSentence, receivingSentence } from './storeWords'

/** Why an entry was not taken, as one sentence that says what to do, to whoever reads it. */
export function refusalSentence(refusal: Refusal, reader: Reader): string {
  switch (refusal.code) {
    case 'bad field':
      return fieldSentence(refusal.field, refusal.problem)
    case 'ahead of clock':
      return `That time is ${minutes(refusal.aheadMs)} ahead of the kitchen's clock${
        refusal.clockAheadMs > 60_000 ? `, and so is this tablet's clock` : ''
      }. Was it just now?`
    case 'id taken':
      return 'Another entry already has this number, with other content. Nothing was changed.'
    case 'other kitchen':
      return 'This entry belongs to another kitchen.'
    case 'not on the list':
      return 'Nobody of this kitchen has that name. Tap your name again.'
    case 'may not':
      return `This person may not enter "${refusal.kind}". Ask the food-safety lead.`
    case 'lead must sign':
      return 'The food-safety lead signs this with their PIN.'
    case 'sign yourself':
      return 'Whose shift it is may not enter this for somebody else. That person signs it with their PIN.'
    case 'before it began':
      return `That time is before it began at ${clock(refusal.begins, reader)}. Nothing happened to it before.`
    case 'marked already':
      return `That is marked already at ${clock(refusal.at, reader)}, and the first mark counts. A mistaken one can be undone for two minutes.`
    case 'not there':
      return `This kitchen has no such ${refusal.what}.`
    case 'already there':
      return `This ${refusal.what} is already there.`
    case 'code taken':
      return `${refusal.taken} is taken by another. Take the next number.`
    case 'batch closed':
      return `${refusal.batch} was thrown away: nothing more is entered about it.`
    case 'cannot measure that':
      return `${refusal.instrument} does not read there: only a probe reads a core.`
    case 'not a reading':
      return 'Only a reading can be given another value.'
    case 'older version':
      return `There is a newer version, ${refusal.current}. Open it and change that.`
    case 'looser':
      return `"${lineName(refusal.line)}" would be looser than the rule set. It needs a written variance: authority, reference, reason and last day.`
    case 'method blocked':
      return `This version cannot be put in force: ${problemSentence(refusal.problem, reader)}`
    case 'out of order':
      return orderSentence(refusal.why)
    case 'clean first':
      return 'The house asks for the tick first: hands, cloth, sieve and spatula clean, probe wiped.'
    case 'other lot':
      return `${refusal.lot} came in another way than was said. Choose the lot again.`
    case 'lot past its day':
      return `${refusal.lot} was to be used by ${dayName(refusal.useBy, reader)}. Take another lot.`
    case 'wrong egg':
      return refusal.why === 'susceptible'
        ? `${refusal.lot} is not a pasteurized lot, and this is for highly susceptible people. Take a pasteurized lot.`
        : `${refusal.lot} is not a pasteurized lot, and no step heats this egg. Take a pasteurized lot.`
    case 'other unit':
      return `${refusal.unit} is another kind of unit. Choose it again.`
    case 'over the rim':
      return `${refusal.vessel} is ${centimetres(refusal.height)} high inside. Take more pans or a deeper one.`
    case 'unrated vessel':
      return refusal.why === 'not for food'
        ? `${refusal.vessel} is not rated for food. Take another one.`
        : `${refusal.vessel} is not rated for hot food: cool it first, or take a steel one.`
    case 'rewarmed enough':
      return refusal.most === 0
        ? 'This house warms nothing again. Make it new.'
        : `It was warmed again ${refusal.most === 1 ? 'once' : `${refusal.most} times`}, as often as this house allows. Make it new.`
    case 'not proven to rewarm':
      return 'Only what is proven is warmed again. What is not is for the food-safety lead to rework or discard.'
    case 'lot needed':
      return 'A pasteurized lot is named by what stands on it.'
    case 'package needed':
      return `Lot ${refusal.lot} lies in the cold store. Say which carton it comes out of.`
    case 'not proven to serve':
      return `What ${refusal.batch} needs is not proven, so it is not to be served. If it went out already, enter that it did.`
    case 'heated here':
      return 'Eggs heated in this kitchen count as pasteurized only under a written variance, and none is in force. Bought pasteurized egg is the simpler way.'
    case 'other lineage':
      return 'It has changed since you looked, or is another. Look again.'
    case 'more than is left':
      return `Only about ${refusal.left} g are left over. Weigh it again.`
    case 'item gone':
      return 'It is in the bin already.'
    case 'item shut':
      return `${refusal.item}: ${partShutSentence(refusal.why, reader)}`
    case 'move shut':
      return `${refusal.item}: ${moveShutSentence(refusal.why)}`
    case 'not to open':
      return `${refusal.item} is no closed package.`
    case 'not proven to leave':
      return `${refusal.batch} is not proven and not released: some of it may be put away, but it stays on the Line.`
    case 'nothing went out':
      return `Nothing of ${refusal.item} went out that is still to be answered for.`
    case 'recall stands':
      return `${refusal.item} is called back. End the recall first.`
    case 'recalled already':
      return `${refusal.lot} is called back already.`
    case 'no lead left':
      return 'Somebody has to be the food-safety lead. Give that role to another person first.'
    case 'reason short':
      return `Write why it may go on, in at least ${ASSESSMENT_LENGTH} characters.`
    case 'not taken back':
      return refusal.why === 'late'
        ? 'That was more than 15 minutes ago: enter what is so now.'
        : 'That cannot be taken back with a tap: something was done with it since, or it is put right where it was done.'
    case 'lot refused':
      return `${refusal.lot} was refused at the door: it went back.`
    case 'lot not accepted':
      return `${refusal.lot} is held or called back: the lead decides first.`
    case 'received otherwise':
      return receivingSentence(refusal.why, reader)
    case 'keeps too long':
      return `${refusal.days} days is longer than ${refusal.limit.rule.days}, the most that ${refusal.limit.source.document}, ${refusal.limit.source.section}, allows. Day 1 is the day it is made.`
    case 'not guidance':
      return 'Only a limit that is guidance gives way to a line of the house. Law needs a written variance, and a floor is a floor.'
    case 'signed too long':
      return `It is signed until ${dayName(refusal.last, reader)} at the latest, then looked at again.`
    case 'not crumb':
      return 'Only crumb and dry pieces close on a validated bake: a custard, a soufflé and a browned foam are read in the middle.'
    case 'bakes wanting':
      return 'Three different bakes are needed, or a written study.'
    case 'bake not shown':
      return `${refusal.batch} does not show it: ${bakeNotShown(refusal.why, reader)}.`
    case 'kept, not served':
      return 'This method is cooled and kept: the lead releases or discards it.'
    case 'backdated':
      return 'Limits are in force from now on or later, never from before.'
    case 'changed since':
      return 'Something was entered since you looked. Look again, then decide.'
    case 'decision shut':
      return shutSentence(refusal.why)
  }
}

/** Why a decision cannot be made. */
export function shutSentence(shut: Shut): string {
  switch (shut.code) {
    case 'closed':
      return 'It was thrown away.'
    case 'recalled':
      return 'A lot that is in it is called back: end the recall first.'
    case 'law missed':
      return 'A limit of law is missed: it cannot be released.'
    case 'still open':
      return 'A gate is still open: it can be proven or missed yet.'
    case 'needs assessment':
      return `Something is not proven: write an assessment of at least ${ASSESSMENT_LENGTH} characters. The record prints "not proven".`
    case 'no rework here':
      return 'The rule set in force knows no rework.'
    case 'reworked already':
      return 'It was reworked once. A second time: discard.'
    case 'too late to rework':
      return 'The time of the first gate is up: too late to rework.'
    case 'nothing to rework':
      return 'Its cooling is proven: nothing to rework.'
  }
}

/** What is wrong with one field. */
export function fieldSentence(field: string, problem: FieldProblem): string {
  const name = field.split('.').at(-1)
  switch (problem.code) {
    case 'missing':
      return `"${name}" is missing.`
    case 'unknown field':
      return `"${name}" is not a field of this entry.`
    case 'not text':
      return `"${name}" has to be text of at most ${problem.longest} characters.`
    case 'hidden characters':
      return `"${name}" has characters in it that nobody can see. Type it again by hand.`
    case 'not one of':
      return `"${name}" has to be one of: ${problem.allowed}.`
    case 'not a number':
      return `"${name}" has to be a number.`
    case 'not an id':
      return `"${name}" has to be a UUID in lower case.`
    case 'not an instant':
      return `"${name}" has to be whole milliseconds since 1970, from the years 2000 to 2199.`
    case 'not a list':
      return `"${name}" has to be a list.`
    case 'not a day':
      return `"${name}" has to be a day, YYYY-MM-DD.`
    case 'other temperature':
      return `"${name}" is another temperature than its °C.`
    case 'not readable':
      return 'This file is not readable JSON.'
    case 'not a whole':
      return `The parts of "${name}" have to add up to 1.`
    case 'twice':
      return `"${name}" stands there twice.`
    case 'not a temperature':
      return `${problem.typed} is no temperature of a pan: -90 to 400 °C, or -130 to 752 °F.`
    case 'out of range':
      return `"${name}" has to be from ${problem.least} to ${problem.most}.`
  }
}

function bakeNotShown(why: BakeNotShown, reader: Reader): string {
  const core = `${limitDegreesOf(VALIDATED_CORE.c, reader)}${reader.scale}`
  switch (why) {
    case 'other method':
      return 'it is of another version of the method, or too long ago'
    case 'shallower':
      return 'it was filled less deep'
    case 'not read':
      return `no probe read ${core} in the middle, or into, out of and heat of the oven were not told`
    case 'hotter oven':
      return 'its oven was hotter'
    case 'longer':
      return `it was longer in the oven before it was read at ${core}`
  }
}

function minutes(ms: number): string {
  return ms < 90_000 ? `${Math.round(ms / 1000)} s` : `${Math.round(ms / 60_000)} min`
}
