/**
 * Recipe: ingredients, methods, and what a method will be held to before anything is made.
 *
 * `ingredient` the catalogue · `amount` what somebody wrote, in grams · `pasted` a recipe as text, read · `method` steps and amounts, heat plan, scaling, problems of a file · `egg` which egg may go in and
 * how it is tempered · `checks` the limits that a method carries, the terms of a batch, and the problems that block it ·
 * `plan` the written plan: hazards, and what controls them.
 *
 * Imports: ground, physics, rules.
 */
export { checksFor, limitsOf, type Check } from './checks/checksFor'
export {
  bakeOn,
  NOTHING_SIGNED,
  VALIDATED_CORE,
  VALIDATING_BAKES,
  type Signed,
  type ValidatedBake,
} from './checks/signed'
export { heldTo } from './checks/heldTo'
export { blocking, problemsOf, type Problem, type ProblemCode } from './checks/problems'
export { expectedSteps, gatesAt, type ExpectedStep } from './checks/expected'
export { FORMER_TERMS, termsOf, type AcidityTable, type Terms } from './checks/terms'
export {
  ACID_BY,
  ACID_DOCUMENT_DAYS,
  acidDocumentOn,
  LONGEST_ACID_DAYS,
  type AcidBy,
  type AcidDocument,
} from './checks/acidDocument'
export { acidityResult, isChecked, METER_LINE, type AcidityMeasure, type AcidityResult } from './checks/acidity'
export {
  coldLevel,
  HOLDING_KINDS,
  isCold,
  levelOf,
  shellEggLevel,
  type HoldingKind,
  type Level,
} from './checks/unitKind'
export { temperParts, type TemperParts } from './egg/temperParts'
export { eggPlan, mayUse, type EggPlan, type EggRule, type EggUse, type LotForm } from './egg/eggPlan'
export { LADLE_STEP, largestLadle, onsetOf, temper, temperVerdict, type Pour, type TemperVerdict } from './egg/temper'
export { catalogue } from './ingredient/catalogue'
export { findIngredients, isNamed } from './ingredient/find'
export { ALLERGENS, foodIn, ownIngredient } from './ingredient/own'
export { asKnown, ourFood, oursOf, withOurs, type OwnKept } from './ingredient/ours'
export { namesOf } from './ingredient/names'
export * from './ingredient/ingredient'
export { mixed } from './ingredient/mixed'
export { gelatineFor, leavesFor, LEAVES, type LeafGrade } from './ingredient/gelatine'
export { EGG_SIZES, eggGrams, type EggPart, type EggSize } from './ingredient/eggGrams'
export {
  amountAhead,
  inGrams,
  readAmount,
  type AmountAhead,
  type AmountInGrams,
  type AmountReading,
  type Assumed,
  type Unread,
} from './amount/readAmount'
export type { AmountUnit } from './amount/unit'
export { recipesInTable, type TableRead, type TableRecipe } from './pasted/table'
export { LONGEST_RECIPE, missingOf, readRecipe, type Missing, type PastedRecipe } from './pasted/readRecipe'
export { methodOf } from './pasted/methodOf'
export type { PastedMaterial } from './pasted/material'
export type { PastedStep } from './pasted/work'
export { isFrozenFruit, isLookedAt, isUntreatedFruit, isWashed } from './ingredient/produce'
export { BY_PRODUCT_DAYS } from './ingredient/byProduct'
export { families, type Family } from './method/families'
export * from './method/method'
export type { ListedIngredient, PlainIngredient } from './ingredient/listed'
export { labellingOf, type Labelling } from './ingredient/labelling'
export { TOOL_AT, TOOL_KINDS, type ToolKind } from './method/tool'
export { waysOf, type Way } from './method/ways'
export { usualStep } from './method/usualStep'
export { newMethod, NO_INSTRUCTION } from './method/newMethod'
export { heatPlan, type HeatPlan } from './method/heatPlan'
export { factsOf, ingredientOf, rawEggs, type DietClaim, type FindMethod, type MethodFacts } from './method/facts'
export { methodSchema } from './method/schema'
export { methodRef, type MethodRef } from './method/methodRef'
export { METHOD_FILE, methodFile, readMethodFile } from './method/methodFile'
export { eggsIn, factorOf, scaled, type Target } from './method/scaling'
export { differences, type Difference } from './method/difference'
export { parseMethod } from './method/parseMethod'
export { planBasis, type PlanBasis } from './plan/planBasis'
export { PLAN_FILE, planFile, planSchema, type PlanSignature } from './plan/planFile'
export { monthsKept, recordMonths, USUAL_MONTHS_KEPT } from './plan/monthsKept'
export {
  writtenPlan,
  type LeftOut,
  type PlanProduct,
  type PlanRow,
  type PlanStep,
  type WrittenPlan,
} from './plan/writtenPlan'
export { HAZARDS, WATCHED, type Hazard, type Missed, type Watched } from './plan/control'
