/**
 * Judgement: what the readings prove, and nothing more.
 *
 * `timeline` what happened to a batch in order, as one value · `evidence` which readings count, for and against · `watch` follows
 * one check through the readings · `find` turns a watch into a finding · `dates` when something ends · `warmth` time above the
 * cold limit, and what the air of a unit says of it · `eggs` which egg may go in, and what of it is left · `batch` the judge of a
 * batch and what a decision may be · `keeping` the standing of what is held · `lineage` what went into what, and what bars it · `log` a batch as the Log shows it, and how it stands from when on.
 *
 * Imports: ground to state.
 */
export { stillNeeds, type Because, type Finding, type Need, type Rung } from './finding'
export type { Doubt } from './doubt'
export { type World } from './world'
export { holdsUntreatedFruit, isMoistened } from './timeline/contents'
export { shownBake, type ShownBake } from './batch/shownBake'
export { judgeOf, nextChange, type Judge } from './batch/judge'
export { batchStanding, isBinding, isGate, judgeBatch, rulingDate } from './batch/judgeBatch'
export { lastHeated } from './batch/lastHeated'
export { bySeriousness, lookBack, type LookedBack, type Risk } from './batch/lookBack'
export { worseThanRecorded } from './batch/worseThanRecorded'
export { ASSESSMENT_LENGTH, decisionShut, isReleased, standingsOf, toAssess, type Shut } from './batch/disposition'
export {
  countsFor,
  evidence,
  doubtsIn,
  LATE_MS,
  mixtureTrace,
  type Stream,
  type Testimony,
  type Witness,
} from './evidence/evidence'
export { waitingIn, type WaitingEntry } from './evidence/waiting'
export { frameOf, levelsOf, yOf, type Part as TracePart, type TraceFrame } from './log/traceFrame'
export { asCooked, type CookedStep } from './log/asCooked'
export { changesIn, type Change, type Told } from './log/changes'
export { gateAt, type Gate } from './log/gate'
export { loggedBatch, wordsIn, type LoggedBatch, type LoggedStand } from './log/loggedBatch'
export { isSettled } from './log/settled'
export type { Pace } from './log/pace'
export { spareOf, type Spare } from './log/spare'
export { thinned } from './log/thinned'
export { standingForGood } from './log/standing'
export { standAt, standsFrom, type Stand } from './log/standsFrom'
export { readingsOf } from './find/floor'
export { ADVICES, type Advice, type AdviceKind } from './keeping/advice'
export { asOf, airSpans, excursionsOf, isOutside, LOOKS_APART, type AirSpan, type Excursion } from './warmth/air'
export { firstOfEachPart, itemWalls, wallsOf, type DateWall } from './dates/walls'
export { type HotCheck } from './keeping/hotHolding'
export { type Reheating } from './keeping/reheating'
export { thermalLag, type ThermalLag } from './keeping/thermalLag'
export { exposureOf, type Exposure } from './warmth/exposure'
export { type StoreUnit } from './warmth/air'
export {
  judging,
  itemLevel,
  itemStanding,
  itemsIn,
  itemUrgency,
  ITEM_ASKS,
  type ItemAsks,
  type CourseStanding,
  type ItemStanding,
  type Store,
} from './keeping/itemStanding'
export { packageOf } from './dates/ofPackage'
export { isAllowed, receivingOf, type Receiving, type ReceivingReason } from './keeping/receiving'
export { moveShut, type MoveShut } from './keeping/moveShut'
export { courseOf, type Course } from './keeping/course'
export { fastBar, withLineage } from './lineage/lineageBars'
export { leftOfLot, missedBy, parentsOfBatch, parentsOfItem, type Lineage, type LineageNode } from './lineage/lineage'
export { tracesBeside, carriedInto, toolUseOf } from './lineage/carryOver'
export { toolTrail } from './lineage/toolTrail'
export { contentsOf } from './lineage/contents'
export { allergenNotice, type NoticeRow } from './lineage/notice'
export { lotUseOf, type LotUse } from './lineage/lotUse'
export { asksMerged } from './lineage/merged'
export { dispatchShut, isOverLimit } from './lineage/dispatch'
export type { AcidKeeping } from './dates/acidKeeps'
export { acidKeeping } from './lineage/acidKeeping'
export { finishedOf, measureWith, type Put } from './lineage/finished'
export { finishShut, isUntreated, keepsUnheld, toppingShut, toppingUnfit } from './lineage/topping'
export {
  ancestorsOf,
  partOf,
  partShut,
  partUnfit,
  itemShut,
  servingShut,
  type Ancestry,
  type PartShut,
} from './lineage/part'
export { ancestorsOfItem, lineageBars, type Ancestors, type LineageBar } from './lineage/lineageBars'
export { batchOf, isCleared } from './lineage/cleared'
export { portionOf, type PutAway } from './lineage/portion'
export { roomTime } from './warmth/ofBatch'
export { isPastUseBy, useByOf } from './dates/useBy'
export { datingOfLeftOver } from './dates/ofLeftOver'
export { discardDay, type DatedItem, type DiscardDay } from './dates/discardDay'
export { eggRuleAt, isTreatedLot, lotShut, wrongEgg, type LotShut, type WrongEgg } from './eggs/mayGoIn'
export { itemCard, unitCard, type ItemCard, type UnitCard } from './lineage/card'
export {
  eggLedger,
  isPooled,
  leftOverOf,
  lotTallies,
  toSettle,
  unnamedUses,
  usesMissing,
  eggsFor,
  type LotTally,
  type PartLine,
} from './eggs/eggLedger'
export { coolingTo, type CoolTarget } from './timeline/coolEnds'
export { stepsLeft } from './timeline/stepLeft'
export { timelineOf, type Timeline } from './timeline/timeline'
export { type Setting } from './timeline/setting'
export { reopens, type RawIn } from './timeline/rawIn'
export { type Phase } from './timeline/phase'
export { judgeHeat, type HeatStanding, type RowStanding } from './watch/judgeHeat'
export { transcribedStanding } from './log/transcribed'
export { judgeCooling, type CoolingStanding } from './watch/judgeCooling'
