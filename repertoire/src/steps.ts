import type { Degrees } from '@logged-thermal/core'
import type { StepShape } from './shape'

/** Steps that many methods share, as they are done in this kitchen. */

const at = (c: number, f: number): Degrees => ({ c, f })

/** Leaves or powder, in cold water. */
export const soak: StepShape = {
  key: 'soak',
  kind: 'mise',
  part: 'gelatine',
  text: 'Soak the gelatine',
  activeMinutes: 1,
  passiveMinutes: { least: 5, most: 10 },
}

export const poured: StepShape[] = [
  { key: 'warm', kind: 'heat dairy', part: 'dairy', text: 'Warm the dairy with the flavour', activeMinutes: 6 },
  { key: 'temper', kind: 'temper', part: 'dairy', text: 'Pour on the yolks, stirring', activeMinutes: 2 },
  {
    key: 'cook',
    kind: 'cook',
    text: 'Stir over a low flame, off at the first touch',
    activeMinutes: 8,
    target: { from: at(79, 174), to: at(82, 180) },
  },
  { key: 'strain', kind: 'strain', text: 'Strain into a clean pan', activeMinutes: 2 },
  { key: 'cool', kind: 'cool', text: 'Ice bath, stirred', activeMinutes: 5 },
  { key: 'hold', kind: 'hold', text: 'Cover on the surface, date, keep cold' },
]

export const starched: StepShape[] = [
  { key: 'warm', kind: 'heat dairy', part: 'dairy', text: 'Bring the dairy to a simmer', activeMinutes: 6 },
  { key: 'temper', kind: 'temper', part: 'dairy', text: 'Pour on yolks, sugar and starch, whisking', activeMinutes: 2 },
  { key: 'cook', kind: 'cook', text: 'Whisk over the flame until it thickens', activeMinutes: 3 },
  { key: 'boil', kind: 'boil out', text: 'Boil a full minute, whisking', activeMinutes: 2 },
  { key: 'cool', kind: 'cool', text: 'Spread in shallow pans, ice under', activeMinutes: 6 },
  { key: 'hold', kind: 'hold', text: 'Film on the surface, keep cold' },
]

export const curd: StepShape[] = [
  { key: 'combine', kind: 'combine', part: 'juice', text: 'Whisk juice, egg and sugar together', activeMinutes: 4 },
  {
    key: 'cook',
    kind: 'cook',
    text: 'Stir to a thick ribbon',
    activeMinutes: 9,
    target: { from: at(78, 172), to: at(82, 180) },
  },
  { key: 'butter', kind: 'add after heat', text: 'Cold butter in, off the heat', activeMinutes: 3 },
  { key: 'cool', kind: 'cool', text: 'Shallow tray over ice', activeMinutes: 4 },
  { key: 'hold', kind: 'hold', text: 'Cover, date, keep cold' },
]

export const churnedBase: StepShape[] = [
  { key: 'warm', kind: 'heat dairy', part: 'dairy', text: 'Warm the dairy with sugars and powder', activeMinutes: 8 },
  { key: 'temper', kind: 'temper', part: 'dairy', text: 'Pour on the yolks', activeMinutes: 2 },
  {
    key: 'cook',
    kind: 'cook',
    text: 'Hold in the vat, stirred',
    activeMinutes: 12,
    target: { from: at(80, 175), to: at(84, 183) },
  },
  { key: 'cool', kind: 'cool', text: 'Plate cooler or stirred ice bath, to 4°', activeMinutes: 6 },
  { key: 'age', kind: 'set', text: 'Age in the cold', passiveMinutes: { least: 240, most: 1440 } },
  { key: 'churn', kind: 'churn', text: 'Churn, note going in, start, end and draw', activeMinutes: 12 },
  { key: 'harden', kind: 'freeze', text: 'Harden in the blast freezer', passiveMinutes: { least: 180, most: 1440 } },
  { key: 'hold', kind: 'hold', text: 'Date of the base on every tub' },
]

export const nog: StepShape[] = [
  { key: 'warm', kind: 'heat dairy', part: 'dairy', text: 'Warm milk and cream with the spice', activeMinutes: 8 },
  { key: 'temper', kind: 'temper', part: 'dairy', text: 'Pour on egg and sugar', activeMinutes: 3 },
  {
    key: 'cook',
    kind: 'cook',
    text: 'Stir to the floor, not past 82°',
    activeMinutes: 10,
    target: { from: at(72, 162), to: at(80, 176) },
  },
  { key: 'cool', kind: 'cool', text: 'Stirred ice bath', activeMinutes: 8 },
  {
    key: 'spirit',
    kind: 'add after heat',
    text: 'Spirit in when cold: it earns nothing on the date',
    activeMinutes: 1,
  },
  { key: 'hold', kind: 'hold', text: 'Keep cold, shake before pouring' },
]

export const setCream: StepShape[] = [
  soak,
  { key: 'warm', kind: 'heat dairy', text: 'Warm, dissolve the gelatine above 40°', activeMinutes: 8 },
  {
    key: 'cool',
    kind: 'cool',
    text: 'To 20° over ice, then pour into cups',
    activeMinutes: 10,
    target: { from: at(15, 59), to: at(20, 68) },
  },
  { key: 'set', kind: 'set', text: 'Set in the cold', passiveMinutes: { least: 240, most: 1440 } },
  { key: 'hold', kind: 'hold', text: 'Cups covered, keep cold' },
]

/** On cooked yolks, with gelatine: it is folded in a window, and goes on into the cold. */
export const cookedMousse: StepShape[] = [
  soak,
  { key: 'warm', kind: 'heat dairy', part: 'dairy', text: 'Warm the milk', activeMinutes: 5 },
  { key: 'temper', kind: 'temper', part: 'dairy', text: 'Pour on the yolks', activeMinutes: 2 },
  {
    key: 'cook',
    kind: 'cook',
    text: 'Stir to a nappe',
    activeMinutes: 6,
    target: { from: at(80, 176), to: at(84, 183) },
  },
  { key: 'melt', kind: 'add after heat', text: 'Chocolate, nut paste and gelatine in', activeMinutes: 3 },
  {
    key: 'down',
    kind: 'cool',
    text: 'Stir on ice until it thickens',
    activeMinutes: 6,
    target: { from: at(22, 72), to: at(25, 77) },
  },
  { key: 'fold', kind: 'fold', text: 'Fold the whipped cream in', activeMinutes: 4 },
  { key: 'cool', kind: 'cool', text: 'Into cups, into the cold at once', activeMinutes: 3 },
  { key: 'hold', kind: 'hold', text: 'Keep cold, date and hour on the tray' },
]

export const folded: StepShape[] = [
  { key: 'melt', kind: 'mise', part: 'chocolate', text: 'Melt the chocolate', activeMinutes: 6 },
  { key: 'whip', kind: 'whip', part: 'cream', text: 'Whip the cream to soft peaks', activeMinutes: 4 },
  { key: 'fold', kind: 'fold', text: 'Fold everything together', activeMinutes: 5 },
  { key: 'cool', kind: 'cool', text: 'Into cups, into the cold at once', activeMinutes: 3 },
  { key: 'hold', kind: 'hold', text: 'Keep cold, date and hour on the tray' },
]
