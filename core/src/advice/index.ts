/**
 * Advice: what hands should do next, and what can still be saved.
 *
 * `attention` the one thing a batch asks for · `guide` where it is in its method · `heating` when to call · `cooling` forecast and
 * rescue · `round` alarms, rounds and handing over ·
 * `matters` what is unresolved. Advice proves nothing and betters nothing.
 *
 * Imports: ground to judgement.
 */
export { askedSince, attention, floorOf, isPressing, urgency, type Attention } from './attention'
export type { AskingItem, Cause, Matter } from './matters/matter'
export { mattersOf, type Unresolved } from './matters/mattersOf'
export { likelyCauses, type LikelyCause } from './matters/likelyCause'
export {
  COUNTED_BACK,
  raisedByDay,
  raisedIn,
  roundsWalked,
  type Common,
  type Raised,
  type RaisedByDay,
  type RoundsWalked,
  type RaisedIn,
} from './matters/raised'
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
export { coolSignal, type CoolSignal } from './cooling/coolSignal'
export { coolingRecord } from './cooling/coolingRecord'
export { learnedFrom, LEARN_FROM, likeness, type CoolingRecord, type Learned } from './cooling/learned'
export { cleaningDue, type CleaningWhy } from './guide/cleaning'
export { guideOf, type Guide, type GuideStep, type Todo } from './guide/guide'
export { leading } from './guide/leading'
export { outOfOrder, type OutOfOrder } from './guide/order'
export { washingDue } from './guide/washing'
export { WARM_UP_CUE, warmUpOf, type WarmUp } from './guide/warmUp'
export { heatSignal, heldAt, leftOf, nextReading, risesSooner, type HeatSignal } from './heating/signal'
export { offNow, OFF_BEFORE_CEILING, windowOf, type HeatEdge, type HeatWindow } from './heating/window'
export { alarms, NOTHING_SOUNDED, type CallSound, type Sounded } from './round/alarms'
export { unattendedGates, type Unattended } from './round/handover'
export { dueRound, nextRound, ROUND_WITHIN } from './round/dueRound'
export { isUrgent, nameOf as noticeName, noticesDue, type Notice, type NoticeWish } from './notices/noticesDue'
export { weekReview, type Failure, type MethodReview, type Remedy } from './trends/weekReview'
export { partsOf, planOfMethod, type PlanInForce, type PlanStanding } from './plans'
export { LEFT_AFTER, TRACE_AIM, traceOf, traceResult, tracesDue, type TraceResult } from './traces'
export { listsOfDays, listsOn, type ListOfDay } from './round/dailyLists'
export { isClosing, nextRoundAt, roundsOf, type Round } from './round/rounds'
export { ENOUGH_ALIKE, type Alike } from './trends/alike'
export { controlChart, type ChartPoint, type ControlChart, type Unusual } from './trends/controlChart'
export {
  GROUPED_BY,
  IN_TIME,
  PACE_MEASURES,
  sameMeasure,
  trendOf,
  type Answered,
  type Counts,
  type Group,
  type GroupedBy,
  type PaceMeasure,
  type TrendMeasure,
  type Settled,
  type Trend,
  type TrendPoint,
} from './trends/trend'
export { NEAR, type NearMiss, type NearMisses } from './trends/nearMisses'
export { wilson } from './trends/wilson'
