import type { DietClaim, Difference, Problem, StepKind } from '@logged-thermal/core'
import { degrees, type Reader } from './figures'

/** A step's name on the rail and in a method. */
export const stepName: Record<StepKind, string> = {
  mise: 'Mise',
  eggs: 'Eggs',
  infuse: 'Infuse',
  'heat dairy': 'Warm',
  temper: 'Temper',
  combine: 'Combine',
  cook: 'Cook',
  'boil out': 'Boil out',
  bake: 'Bake',
  brown: 'Brown',
  strain: 'Strain',
  whip: 'Whip',
  fold: 'Fold',
  'add after heat': 'Add after heat',
  cool: 'Cool',
  set: 'Set, age',
  churn: 'Churn',
  freeze: 'Freeze',
  assemble: 'Assemble',
  reheat: 'Reheat',
  hold: 'Keep',
  'serve at once': 'Serve at once',
}

/** What is the matter with a method, and why it matters, in a sentence or two. */
export function problemSentence({ code, values }: Problem, reader: Reader): string {
  const name = String(values.name ?? '')
  switch (code) {
    case 'step missing':
      return `A step is missing: ${stepName[values.kind as StepKind].toLowerCase()}. This family cannot do without.`
    case 'no amount':
      return `How much ${name}? No quantity is written down.`
    case 'no ingredients':
      return 'Nothing is in it yet.'
    case 'unknown ingredient':
      return `"${name}" is no ingredient that is known here.`
    case 'starch not boiled':
      return `${name} is not boiled out after it goes in. The egg's amylase thins it later, and starch tastes raw.`
    case 'egg after the last heat':
      return `${name} goes in after the last heat. No later step reaches the floor, so this method cannot be proven.`
    case 'egg not heated':
      return `${name} is never heated. Only a pasteurized lot goes in unheated.`
    case 'frozen fruit not treated':
      return `${name} is frozen and not treated. It is boiled for a minute, or bought treated.`
    case 'dry with what spoils':
      return `${name} goes in, and the whole is to be kept without cold. With it in, it needs the cold.`
    case 'floor above ceiling':
      return `The floor, ${degrees(Number(values.floor), reader)}, lies above the ceiling, ${degrees(Number(values.ceiling), reader)}: it cannot be proven and stay smooth.`
    case 'component unknown':
      return `${name} is no method of this kitchen. Its allergens and its date are not known.`
    case 'much sugar':
      return `${name} is ${values.percent} % of the whole. Is that a slip of the pen?`
    case 'much gelatine':
      return `${name} is ${values.percent} % of the whole. Is that a slip of the pen?`
    case 'much salt':
      return `${name} is ${values.percent} % of the whole. Is that a slip of the pen?`
    case 'lean cream':
      return `${name} has ${values.percent} % fat: too lean to whip.`
    case 'sugar slows the kill':
      return `Sugar is ${values.percent} % of sugar and water. The published rows are for less: sugar slows the kill.`
  }
}

export const claimWord: Record<DietClaim, string> = {
  vegetarian: 'Vegetarian',
  vegan: 'Vegan',
  'without gluten': 'Without gluten',
  'without nuts': 'Without nuts',
  'without alcohol': 'Without alcohol',
}

/** What a difference between two versions is about. */
export function differenceWords({ what, key }: Difference): string {
  const about: Record<Difference['what'], string> = {
    name: 'Name',
    family: 'Family',
    step: 'Step',
    'order of steps': 'Order of the steps',
    amount: 'Amount',
    component: 'Part',
    keeping: 'Keeping and cooling',
    heat: 'Heat',
    vessel: 'Vessel',
    portions: 'Portions',
    justification: 'Justification',
  }
  return key === null ? about[what] : `${about[what]} ${key}`
}

/** A part of the mass as grams in the kitchen: '2 400 g', '8.5 g'. */
export function grams(mass: number): string {
  const rounded = mass < 100 ? Math.round(mass * 10) / 10 : Math.round(mass)
  return `${String(rounded).replace(/\B(?=(\d{3})+(?!\d))/g, ' ')} g`
}
