/**
 * Physics: what a product does in heat and cold, whoever makes it and whatever the rules are.
 *
 * `trace` readings and what is known between them · `lethality` kinetics · `material` properties from composition ·
 * `conduction` the heat equation · `projection` a cooling curve fitted to readings · `cooling` places, vessels and what
 * they take out · `heating` how it rises.
 *
 * Imports: ground.
 */
export type { Shape } from './conduction/grid'
export { makesIt } from './cooling/rescue'
export { coverResistance, COVERS, facesIn, wallResistance, WALLS, type Cover, type Wall } from './cooling/faces'
export { isUnitKind, placeFigures, PLACES, UNIT_KINDS, type Place, type UnitKind } from './cooling/place'
export { prospectOf, roundProduct, type Product, type Prospect } from './cooling/prospect'
export {
  depthOf,
  fillRefusal,
  filledTo,
  isPiece,
  piecesFor,
  HOT_FILL_FROM,
  pansFor,
  type Inside,
  type RegisteredVessel,
} from './cooling/vessel'
export { simulateCooldown, type Cooldown, type CooldownSetup, type CooldownPhase } from './cooling/simulateCooldown'
export { reachesAt, riseOf, type Rise } from './heating/rise'
export { boilingPoint, HIGHEST_ALTITUDE, LOWEST_ALTITUDE } from './heating/boilingPoint'
export { equivalentMinutes } from './lethality/equivalentMinutes'
export { logReductions, type Kinetics } from './lethality/logReductions'
export { mixtureProperties, type Composition } from './material/properties'
export * from './projection/projectCooling'
export { expectedAt, posteriorOf, shareUnder, type Posterior } from './projection/posterior'
export type { Bounded, Bracket, Reading, Where } from './trace/reading'
export { crossing } from './trace/crossing'
export { longestAtOrAbove } from './trace/longestAtOrAbove'
export { timeInBand } from './trace/timeInBand'
