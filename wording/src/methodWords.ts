import type { DietClaim, Difference, Problem, StepKind } from '@logged-thermal/core'
import { degrees, type Reader } from './figures'
import { speaker, type Spoken } from './catalogue/say'
import { makingMessages } from './catalogue/making'

const say = speaker(makingMessages)

/** A step's name on the rail and in a method. */
export function stepName(key: StepKind, reader: Spoken): string {
  return say(reader, `step_${key}`)
}

/** What is the matter with a method, and why it matters, in a sentence or two. */
export function problemSentence({ code, values }: Problem, reader: Reader): string {
  const name = String(values.name ?? '')
  switch (code) {
    case 'step missing':
      return say(reader, 'stepMissingFamilyCannot', {
        stepName: stepName(values.kind as StepKind, reader).toLowerCase(),
      })
    case 'no amount':
      return say(reader, 'howMuchNoQuantity', { name })
    case 'no ingredients':
      return say(reader, 'nothingYet')
    case 'unknown ingredient':
      return say(reader, 'noIngredientKnownHere', { name })
    case 'starch not boiled':
      return say(reader, 'notBoiledOutAfter', { name })
    case 'egg after the last heat':
      return say(reader, 'goesAfterLastHeat', { name })
    case 'egg not heated':
      return say(reader, 'neverHeatedOnlyPasteurized', { name })
    case 'frozen fruit not treated':
      return say(reader, 'frozenNotTreatedBoiled', { name })
    case 'dry with what spoils':
      return say(reader, 'goesWholeKeptWithout', { name })
    case 'floor above ceiling':
      return say(reader, 'floorLiesAboveCeiling', {
        degrees: degrees(Number(values.floor), reader),
        degrees2: degrees(Number(values.ceiling), reader),
      })
    case 'component unknown':
      return say(reader, 'noMethodKitchenIts', { name })
    case 'much sugar':
      return say(reader, 'wholeSlipPen', { name, percent: values.percent })
    case 'much gelatine':
      return say(reader, 'wholeSlipPen', { name, percent: values.percent })
    case 'much salt':
      return say(reader, 'wholeSlipPen', { name, percent: values.percent })
    case 'lean cream':
      return say(reader, 'fatTooLeanWhip', { name, percent: values.percent })
    case 'sugar slows the kill':
      return say(reader, 'sugarSugarWaterPublished', { percent: values.percent })
  }
}

export function claimWord(key: DietClaim, reader: Spoken): string {
  return say(reader, `claim_${key}`)
}

/** What a difference between two versions is about. */
export function differenceWords({ what, key }: Difference, reader: Spoken): string {
  const about: Record<Difference['what'], string> = {
    name: say(reader, 'name'),
    family: say(reader, 'family'),
    step: say(reader, 'step'),
    'order of steps': say(reader, 'orderSteps'),
    amount: say(reader, 'amount'),
    component: say(reader, 'part'),
    keeping: say(reader, 'keepingCooling'),
    heat: say(reader, 'heat'),
    vessel: say(reader, 'vessel'),
    portions: say(reader, 'portions'),
    justification: say(reader, 'justification'),
  }
  return key === null ? about[what] : `${about[what]} ${key}`
}

/** A part of the mass as grams in the kitchen: '2 400 g', '8.5 g'. */
export function grams(mass: number): string {
  const rounded = mass < 100 ? Math.round(mass * 10) / 10 : Math.round(mass)
  return `${String(rounded).replace(/\B(?=(\d{3})+(?!\d))/g, ' ')} g`
}
