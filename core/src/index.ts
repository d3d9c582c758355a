// The face of core: what other programs call. Names and shapes here stay; more may be added.
export { CORE_VERSION } from './version'
export * from './calendar/instant'
export { addDays, dayOf, dayOfYear, daysBetween, offsetMinutes, parseDay, startOfDay, type Day } from './calendar/zone'
export * from './quantity/temperature'
export { parseTemperature, unitDoubt, type Neighbour, type Parsed } from './quantity/parseTemperature'
export type { Bounded, Bracket, Reading, Where } from './trace/reading'
export { crossing } from './trace/crossing'
export { longestAtOrAbove } from './trace/longestAtOrAbove'
export { timeInBand } from './trace/timeInBand'
export { equivalentMinutes } from './lethality/equivalentMinutes'
export { logReductions, type Kinetics } from './lethality/logReductions'
export { aimOf, rowsOf, stageOf, type Comparing, type CoolingStage, type HoldRow } from './limits/compared'
export * from './limits/rule'
export * from './limits/limit'
export { PERMITS, permitted, PRACTICE, type Permits, type Practice } from './limits/practice'
export { coolingStages, heatRows, nameIn, ruleSets } from './limits/ruleSets'
export { schedules } from './limits/sets/schedules'
export { inForce, isLooser, limitSetOf, limitsAt, linesOf } from './limits/limitSet'
export { implies } from './limits/implies'
export { comparedWithPrinted, degreesTyped, limitChanges, templateOf, type LimitChange } from './limits/houseLine'
export { checksFor, limitsOf, type Check } from './limits/checksFor'
export { families, type Family } from './limits/families'
export * from './method/method'
export {
  bakeOn,
  NOTHING_SIGNED,
  VALIDATED_CORE,
  VALIDATING_BAKES,
  type Signed,
  type ValidatedBake,
} from './method/signed'
export { movable, SIGNED_DAYS, type Movable, type SignedLine } from './limits/signedLine'
export { newMethod, NO_INSTRUCTION } from './method/newMethod'
export { heatPlan, type HeatPlan } from './method/heatPlan'
export { factsOf, ingredientOf, rawEggs, type DietClaim, type FindMethod, type MethodFacts } from './method/facts'
export { blocking, problemsOf, type Problem, type ProblemCode } from './method/problems'
export { expectedSteps, gatesAt, type ExpectedStep } from './method/expected'
export { METHOD_FILE, methodSchema } from './method/schema'
export { methodFile, readMethodFile } from './method/methodFile'
export { eggsIn, factorOf, scaled, type Target } from './method/scaling'
export { FORMER_TERMS, termsOf, type AcidityTable, type Terms } from './method/terms'
export { temperParts, type TemperParts } from './method/temperParts'
export { differences, type Difference } from './method/difference'
export { catalogue, findIngredients } from './ingredient/catalogue'
export * from './ingredient/ingredient'
export { mixed } from './ingredient/mixed'
export { gelatineFor, leavesFor, LEAVES, type LeafGrade } from './ingredient/gelatine'
export { EGG_SIZES, eggGrams, type EggPart, type EggSize } from './egg/eggGrams'
export { eggPlan, mayUse, type EggPlan, type EggRule, type EggUse, type LotForm } from './egg/eggPlan'
export {
  eggLedger,
  gramsTaken,
  isPooled,
  leftOverOf,
  lotTallies,
  toSettle,
  unnamedUses,
  type LotTally,
  type PartLine,
} from './egg/ledger'
export { LADLE_STEP, largestLadle, onsetOf, temper, temperVerdict, type Pour, type TemperVerdict } from './egg/temper'
export { acidityResult, isChecked, METER_LINE, type AcidityMeasure, type AcidityResult } from './acidity/acidity'
export { mixtureProperties } from './material/properties'
export { reachesAt, riseOf, type Rise } from './heating/rise'
export { heatSignal, heldAt, leftOf, nextReading, risesSooner, type HeatSignal } from './heating/signal'
export { offNow, OFF_BEFORE_CEILING, windowOf, type HeatEdge, type HeatWindow } from './heating/window'
export { cleaningDue, type CleaningWhy } from './guide/cleaning'
export { guideOf, type Guide, type GuideStep, type Todo } from './guide/guide'
export { leading } from './guide/leading'
export { outOfOrder, type OutOfOrder } from './guide/order'
export { endEdge, endOf } from './guide/stepEnds'
export { washingDue } from './guide/washing'
export { holdsUntreatedFruit, isMoistened } from './verdict/checksNow'
export { fastBar, withLineage } from './store/lineageBars'
export { unanswered } from './state/batch'
export { wentOutOf } from './state/item'
export { isFrozenFruit, isLookedAt, isWashed } from './ingredient/produce'
export { shownBake, type ShownBake } from './verdict/shownBake'
export { WARM_UP_CUE, warmUpOf, type WarmUp } from './guide/warmUp'
export { alarms, NOTHING_SOUNDED, type Sounded } from './round/alarms'
export { unattendedGates, type Unattended } from './round/handover'
export { dueRound, nextRound, ROUND_WITHIN } from './round/dueRound'
export { boilingPoint } from './instrument/boilingPoint'
export { BY_PRODUCT_DAYS } from './shelf/byProduct'
export { discardDay, type DatedItem, type DiscardDay } from './shelf/discardDay'
export { beginsAt } from './cooling/beginsAt'
export { mayBeStirred, type Action } from './cooling/action'
export {
  afterwards,
  forecastOf,
  NO_MEANS,
  prospectIn,
  rescuesFor,
  type Forecast,
  type GateForecast,
  type Means,
  type Rescue,
} from './cooling/forecast'
export { fanOf, ifDone, outcomeFan, type FanPoint } from './cooling/fan'
export { largestDepth, planMakesIt, plannedStages, tellingStage, type PlannedStage } from './cooling/planned'
export * from './cooling/projection/projectCooling'
export {
  litresOf,
  nearestThatMakes,
  outcomeOf,
  stagesOf,
  waysToCool,
  type Choice,
  type Load,
  type Outcome,
} from './cooling/choice'
export { ICE_MELTS, unitTakes } from './cooling/ice'
export {
  isSure,
  isTooClose,
  isTooLate,
  tryOut,
  TRIED,
  type Trial,
  type TrialResult,
  type TrialStage,
} from './cooling/trial'
export { coolingRecord } from './cooling/coolingRecord'
export { learnedFrom, LEARN_FROM, likeness, type CoolingRecord, type Learned } from './cooling/learned'
export { expectedAt, posteriorOf, shareUnder, type Posterior } from './cooling/projection/posterior'
export { makesIt } from './cooling/rescue'
export { settingsOf, type Setting } from './cooling/setting'
export { coverResistance, COVERS, facesIn, wallResistance, WALLS, type Wall } from './cooling/faces'
export { isUnitKind, placeFigures, PLACES, UNIT_KINDS, type Place, type UnitKind } from './cooling/place'
export { prospectOf, roundProduct, type Product, type Prospect } from './cooling/prospect'
export {
  depthOf,
  fillRefusal,
  filledTo,
  HOT_FILL_FROM,
  pansFor,
  type Inside,
  type RegisteredVessel,
} from './vessel/vessel'
export { lastAir, type AirReading, type Look, type UnitState } from './state/unit'
export type { VesselState } from './state/vessel'
export type { Shape } from './cooling/conduction/grid'
export {
  simulateCooldown,
  type Cooldown,
  type CooldownSetup,
  type Phase as CooldownPhase,
} from './cooling/simulateCooldown'
export * from './ledger/entry'
export * from './ledger/storeEntries'
export { append, parsedClaim, type Appended, type Book, type Poster, type ReadClaim } from './kitchen/append'
export { openKitchen, type ItemAsIs, type KitchenSetup, type MemoryKitchen, type Posted } from './kitchen/memoryKitchen'
export { canonical } from './json/canonical'
export * from './ledger/chain'
export { FieldError, type FieldProblem } from './ledger/parse'
export type { BakeNotShown, Refusal } from './ledger/refusal'
export { follows, kinds, needs, raised, touches } from './kinds/kinds'
export { heldTo, methodRef } from './kinds/batchStarted'
export { parseMethod } from './kinds/parseMethod'
export { admit, AHEAD_ALLOWED, parseClaim, type Author } from './kinds/admission'
export { isWaiting, type Acceptance, type Amendment, type Fact } from './state/fact'
export { batchFacts, isClosed, isPutAway, NOTHING_YET, type BatchState } from './state/batch'
export { measures, type InstrumentState } from './state/instrument'
export {
  eggOf,
  frozenOf,
  holdOf,
  isGone,
  itemLeft,
  openedAt,
  placeOf,
  releasedAt,
  tapsOf,
  type ItemState,
} from './state/item'
export { inheritedOf } from './state/newItem'
export { moveShut, type MoveShut } from './kinds/itemMoved'
export { backOf, TAKEN_BACK_WITHIN } from './kinds/takenBack'
export { ADVICES, type Advice, type AdviceKind } from './store/advice'
export { asOf, airSpans, excursionsOf, isOutside, LOOKS_APART, type AirSpan, type Excursion } from './store/air'
export { firstOfEachPart, itemWalls, wallsOf, type Dating, type DateWall, type Keep } from './store/dating'
export { type HotCheck } from './store/hotHolding'
export { type Reheating } from './store/reheating'
export { thermalLag, type ThermalLag } from './store/thermalLag'
export { exposureOf, type Exposure } from './store/exposure'
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
  type StoreUnit,
} from './store/itemStanding'
export { nextItemCode, nextSplitCode } from './store/itemCode'
export { leftOfLot, missedBy, parentsOfBatch, parentsOfItem, type Lineage, type LineageNode } from './store/lineage'
export { less, MEASURE_UNITS, type Measure, type MeasureUnit } from './store/measure'
export { packageOf } from './store/package'
export { asksMerged } from './store/merged'
export { ancestorsOf, partOf, partShut, partUnfit, itemShut, type Ancestry, type PartShut } from './store/part'
export { ancestorsOfItem, lineageBars, type Ancestors, type LineageBar } from './store/lineageBars'
export { batchOf, datingOf, isCleared, passingOn, portionOf, roomTime, type PutAway } from './store/portion'
export { isAllowed, receivingOf, type Receiving, type ReceivingReason, type ReceivingVerdict } from './store/receiving'
export { isClosing, minutesOf, nextRoundAt, roundsOf, type Round } from './store/rounds'
export { itemCard, unitCard, type ItemCard, type UnitCard } from './store/card'
export { isMoreThanLeft, packagesOf } from './store/eggPackage'
export { courseOf, type Course } from './store/course'
export {
  coldLevel,
  HOLDING_KINDS,
  isCold,
  levelOf,
  shellEggLevel,
  type HoldingKind,
  type Level,
} from './store/unitKind'
export { mayGoIn, type LotState } from './state/lot'
export { decidesForLead, type KitchenState } from './state/kitchen'
export { approvedOf, latestOf, type MethodState } from './state/method'
export { nextCode } from './state/nextCode'
export { apply, FOLD_VERSION, type LimitsState, type Read, type States } from './state/state'
export { type Standing } from './verdict/standing'
export { judgeHeat, type HeatStanding, type RowStanding } from './verdict/judgeHeat'
export { judgeCooling, type CoolingStanding } from './verdict/judgeCooling'
export { stillNeeds, type Because, type Finding, type Need, type Rung } from './verdict/finding'
export { pansOf, pansRead, slowestPan } from './verdict/pans'
export type { Doubt } from './verdict/doubt'
export {
  countsFor,
  evidence,
  doubtsIn,
  LATE_MS,
  mixtureTrace,
  type Stream,
  type Testimony,
  type Witness,
} from './verdict/evidence'
export { instantOf } from './verdict/offHeat'
export { legOf } from './verdict/legs'
export { CORRECTED_WITHIN, knownAt, MARK_UNDONE_WITHIN, RULES } from './ledger/late'
export { REWARMED_HOW } from './kinds/rewarmed'
export { rewarmings } from './verdict/rewarming'
export { rawAfterReading, rawInsOf, reopens, type RawIn } from './verdict/rawIn'
export { judgeOf, nextChange, type Judge, type World } from './verdict/judge'
export { readingsOf } from './verdict/find/floor'
export { batchStanding, isBinding, isGate, judgeBatch, rulingDate } from './verdict/judgeBatch'
export { worseThanRecorded } from './verdict/worseThanRecorded'
export { ASSESSMENT_LENGTH, decisionShut, isReleased, standingsOf, toAssess, type Shut } from './verdict/disposition'
export { waitingIn, type WaitingEntry } from './verdict/waiting'
export { attention, isHeld, floorOf, urgency, type Attention } from './verdict/attention'
export { phaseOf, type Phase } from './verdict/phase'
