import { dayOf, families, type LeftOut, type PlanRow, type PlanStep, type WrittenPlan } from '@logged-thermal/core'
import { planMessages } from './catalogue/plan'
import { speaker, type Spoken } from './catalogue/say'
import { fullDate, hoursWritten, limitDegrees, type Reader } from './figures'
import { acidWords } from './guideWords'
import { bakeShownWords, bakeWords, limitTitle, ruleWords, sourceLine } from './limitWords'
import { grams, stepName } from './methodWords'

const say = speaker(planMessages)

/** A row of the plan as the cells of its table. */
export interface PlanCells {
  /** '4 Cook', or of the whole. */
  step: string
  hazard: string
  limit: string
  source: string
  watched: string
  missed: string
  /** What whoever decides may do then; '' where nothing is decided. */
  decides: string
  kept: string
}

export function planCells(row: PlanRow, plan: WrittenPlan, reader: Reader): PlanCells {
  const { step, hazard, limit, unit, bake } = row
  const title = limit && limitTitle({ limit, unit, ...(bake && { bake }) }, reader)
  return {
    step:
      step === null
        ? say(reader, 'wholePlan')
        : say(reader, 'stepName', { number: step, step: stepName(plan.steps[step - 1]!.kind, reader) }),
    hazard: say(reader, `hazard_${hazard}`),
    limit: title ?? say(reader, 'namedOnLabel'),
    source: limit ? sourceLine({ limit }, reader) : '',
    watched: watchedWords(row, plan, reader),
    missed: missedWords(row, reader),
    decides: limit && step !== null ? say(reader, `decides_${limit.force}`) : '',
    kept: say(reader, `kept_${keptOf(row)}`),
  }
}

/** What a dish is, for whom, what is in it and how it is kept: each with its title. */
export function productWords({ product, rows }: WrittenPlan, reader: Reader): { title: string; words: string }[] {
  const levels = rows.flatMap(({ watched, limit, unit }) =>
    watched === 'rounds' && limit?.rule.kind === 'stay' ? [{ ...limit.rule.level, unit }] : [],
  )
  const [coldest] = levels.sort((a, b) => a.c - b.c)
  const level = coldest ? limitDegrees(coldest, coldest.unit, reader, 'under') : ''
  const days = product.days ?? 0
  const kept =
    product.cooling === 'none'
      ? say(reader, 'keptAtOnce')
      : product.cooling === 'dry'
        ? say(reader, 'keptDry', { days })
        : product.raw
          ? say(reader, 'keptRaw', { level })
          : say(reader, 'keptDays', { level, days })
  const acid = product.acid ? [say(reader, 'byAcid', { acid: acidWords(product.acid, reader) })] : []
  const unread = product.unread.length > 0 ? [say(reader, 'notRead', { foods: product.unread.join(', ') })] : []
  return [
    {
      title: say(reader, 'whatItIs'),
      words: say(reader, 'familyGrams', { family: families[product.family].name, grams: grams(product.grams) }),
    },
    { title: say(reader, 'forWhom'), words: say(reader, product.forSusceptible ? 'guestsAll' : 'guestsNot') },
    {
      title: say(reader, 'contains'),
      words: [`${product.allergens.join(', ') || say(reader, 'containsNothing')}.`, ...unread].join(' '),
    },
    { title: say(reader, 'keptHow'), words: [kept, ...acid].join(' ') },
  ]
}

/** Which methods and limits a plan rests on: 'rules: FDA Food Code 2022, limits version 1 from 1 March 2026'. */
export function planRules({ limits: { ruleSet, version, from } }: WrittenPlan, reader: Reader): string {
  const set = [ruleSet.name, ruleSet.edition].filter((each, i, all) => !all[i - 1]?.includes(each)).join(' ')
  return say(reader, 'rulesFrom', { set, version, day: fullDate(dayOf(from, reader.zone), reader) })
}

/** Of a step that no row is about, what controls it instead; null for every other. */
export function leftOutWords({ kind, leftOut }: PlanStep, number: number, reader: Spoken): string | null {
  return (
    leftOut && say(reader, 'leftStep', { number, step: stepName(kind, reader), why: insteadWords(leftOut, reader) })
  )
}

function insteadWords(left: LeftOut, reader: Spoken): string {
  switch (left.why) {
    case 'heated later':
      return say(reader, 'leftHeated', { by: left.by })
    case 'on the clock':
      return say(reader, 'leftClock', { by: left.by })
    case 'kept cold':
      return say(reader, 'leftCold', { by: left.by })
    case 'no limit':
      return say(reader, 'leftNothing')
  }
}

function watchedWords({ watched, bake }: PlanRow, { practice }: WrittenPlan, reader: Reader): string {
  switch (watched) {
    case 'by the bake':
      return bake
        ? say(reader, 'watchedBake', { bake: bakeWords(bake, reader), shown: bakeShownWords(bake, reader) })
        : say(reader, 'watched_in the middle')
    case 'rounds':
      return practice.rounds.length
        ? say(reader, 'watchedRounds', { rounds: practice.rounds.map((time) => hoursWritten(time, reader)).join(', ') })
        : say(reader, 'watchedNoRounds')
    case 'closing':
      return say(reader, 'watchedClosing', { closing: hoursWritten(practice.closing, reader) })
    default:
      return say(reader, `watched_${watched}`)
  }
}

function missedWords({ missed, rework, unit }: PlanRow, reader: Reader): string {
  if (missed !== 'heat once more') return say(reader, `missed_${missed}`)
  return say(reader, 'missedRework', { rework: rework ? ruleWords(rework.rule, unit, reader) : '' })
}

/** Where an inspector finds it afterwards. */
function keptOf({ watched }: PlanRow): 'batch' | 'trend' | 'cold' | 'item' | 'probe' | 'lot' | 'label' {
  switch (watched) {
    case 'in the middle':
    case 'cooling':
      return 'trend'
    case 'rounds':
    case 'moves':
      return 'cold'
    case 'closing':
      return 'item'
    case 'in ice':
      return 'probe'
    case 'receiving':
    case 'lot':
      return 'lot'
    case 'label':
    case 'menu':
      return 'label'
    default:
      return 'batch'
  }
}
