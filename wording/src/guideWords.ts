import {
  type AcidityResult,
  type CleaningWhy,
  type Cover,
  type EggPart,
  type EggRule,
  type Instant,
  type Instruction,
  type OutOfOrder,
  type Permits,
  type Practice,
  type Rise,
  type StepKind,
  type TemperVerdict,
  type WarmUp,
} from '@logged-thermal/core'
import { clock, degrees, limitDegreesOf, span, type Reader } from './figures'
import { stepName } from './methodWords'

/** What ends a step, as the key says it. */
export const endWord: Record<StepKind, string> = {
  mise: 'It is ready',
  eggs: 'Eggs are ready',
  infuse: 'Infused',
  'heat dairy': 'It is hot',
  temper: 'All combined',
  combine: 'All combined',
  cook: 'Off the heat',
  'boil out': 'Off the heat',
  bake: 'Out of the oven',
  brown: 'Browned',
  strain: 'Strained',
  whip: 'Whipped',
  fold: 'Folded together',
  'add after heat': 'All in',
  cool: 'Cold',
  set: 'Set',
  churn: 'Churned',
  freeze: 'Hard',
  assemble: 'Assembled',
  reheat: 'Hot again',
  hold: 'Used up',
  'serve at once': 'All served',
}

/** What a key that ends a step says: what joins ends together, and is made once it was read. */
export function markWord(kind: StepKind, edge: 'combined' | 'done'): string {
  if (edge === 'combined') return 'All combined'
  return kind === 'combine' || kind === 'temper' ? 'It is made' : endWord[kind]
}

/** What begins a step whose time counts from a tap. */
export const beginWord: Partial<Record<StepKind, string>> = {
  infuse: 'It rests now',
  'boil out': 'It boils',
  bake: 'Into the oven',
  brown: 'Under the grill',
  set: 'Into the cold',
  freeze: 'Into the freezer',
}

export const partWord: Record<EggPart, string> = { whole: 'whole egg', yolk: 'yolks', white: 'whites' }

export const coverWord: Record<Cover, string> = {
  open: 'Open',
  'film on the surface': 'Film on the surface',
  lid: 'Lid on',
}

export function cleaningWords(why: CleaningWhy): { action: string; reason: string } {
  return why === 'raw to cooked'
    ? {
        action: 'Clean before you go on',
        reason: 'Hands, cloth, sieve and spatula clean, probe wiped: what touched it raw does not touch it cooked.',
      }
    : { action: 'Wash your hands', reason: 'Separated by hand: shell and white are on them, and on the bowl.' }
}

export function warmUpSentence({ of, mostMs, long, noted }: WarmUp, warmMinutes: number, { scale }: Reader): string {
  const what = of === 'mixture' ? 'The mixture' : `The ${of.part}`
  return `${what} was between ${scale === 'C' ? '5 and 57' : '41 and 135'}° for up to ${span(mostMs)}${long ? `, past the house line of ${warmMinutes} min${noted ? '' : '. Note why'}` : ''}.`
}

/** The reasons a cook taps for it. */
export const WARM_UP_REASONS = ['A slow flame', 'It was set aside', 'It rested on purpose']

/** How fast it rises, and when the floor and the ceiling come as it goes. */
export function riseSentence({ likely }: Rise, { scale }: Reader): string {
  const perMinute = scale === 'C' ? likely : likely * 1.8
  return `Rising ${perMinute.toFixed(1)}° a minute.`
}

/** Where the method aims at a step; nothing where it does not say. */
export function targetSentence(target: Instruction['target'], { scale }: Reader): string {
  if (!target) return ''
  return scale === 'C' ? `Aim for ${target.from.c} to ${target.to.c}°.` : `Aim for ${target.from.f} to ${target.to.f}°.`
}

/** 'about 40 s', 'about 3 min', 'about now'. */
export function aboutSpan(ms: number): string {
  if (ms < 3_000) return 'about now'
  if (ms < 90_000) return `about ${ms < 20_000 ? Math.round(ms / 1000) : 5 * Math.round(ms / 5000)} s`
  return `about ${Math.round(ms / 60_000)} min`
}

/** Whether pouring is the kill, plainly: it is reckoned, so it never is by itself. */
export function temperSentence({ combined, lowest, short }: TemperVerdict, reader: Reader): string {
  const at = `All combined it comes to ${degrees(combined, reader)} at most.`
  if (!lowest) return `${at} No floor is set here.`
  const row = `${limitDegreesOf(lowest.celsius, reader)}${lowest.seconds > 0 ? ` for ${span(lowest.seconds * 1000)}` : ''}`
  return short > 0
    ? `${at} This is not a kill step: the lowest row asks ${row}, ${(reader.scale === 'C' ? short : short * 1.8).toFixed(1)}° more. Cook it, and read the mixture.`
    : `${at} Reckoned it reaches ${row}, but no reckoning is a kill step: only a reading of the mixture proves it.`
}

export function eggRuleSentence(rule: EggRule, susceptible: boolean, heated: boolean): string {
  if (rule === 'pasteurized')
    return susceptible
      ? 'Pasteurized lots only: it is for highly susceptible people.'
      : 'Pasteurized lots only: no step of this method heats the egg.'
  if (rule === 'shell with advisory')
    return 'Raw egg is served: shell or pasteurized lot. With shell eggs the label and the record carry the advisory, and it keeps 24 hours from combining.'
  return heated ? 'Shell or pasteurized: a later step has to reach the floor.' : 'Shell or pasteurized.'
}

/** What a written permission is for, and what holds without it. */
export const permitWord: Record<keyof Permits, { name: string; without: string }> = {
  heatedEggs: {
    name: 'Eggs heated here count as pasteurized',
    without: 'None: only bought pasteurized egg is a pasteurized lot.',
  },
  susceptiblePlan: {
    name: 'A hazard plan for susceptible people',
    without: 'None: for them pasteurized egg only, wherever more than one is combined.',
  },
  packagedAcidity: {
    name: 'Packed after the kill: the table for packaged food',
    without: 'None: the table for food that is not packaged decides.',
  },
}

/** How the house works, in a sentence. */
export function practiceSentence({
  susceptible,
  cleanFirst,
  warmMinutes,
  serveMinutes,
  rewarmings,
  cookChill,
  fruitDays,
  openedDays,
  hotHours,
  freezerAir,
  clock: onClock,
  permits,
}: Practice): string {
  const held = Object.values(permits).filter((variance) => variance !== null).length
  return [
    susceptible ? 'Serves highly susceptible people' : 'Serves the public',
    cleanFirst ? 'the next step waits for the clean tick' : 'the clean tick is asked for',
    `a note past ${warmMinutes} min on the way up`,
    `${serveMinutes} min to serve`,
    ...(cookChill ? ['by the cook-chill line'] : []),
    rewarmings === 0
      ? 'nothing warmed again'
      : `warmed again at most ${rewarmings === 1 ? 'once' : `${rewarmings} times`}`,
    `opened packages ${openedDays} ${openedDays === 1 ? 'day' : 'days'}`,
    `untreated frozen fruit ${fruitDays} ${fruitDays === 1 ? 'day' : 'days'}`,
    `hot food ${hotHours} h`,
    `freezers at ${freezerAir} °C or under`.replace('-', '−'),
    ...(onClock === 12 ? ['a 12 h clock'] : []),
    held === 0 ? 'no written permission' : `${held} written ${held === 1 ? 'permission' : 'permissions'}`,
  ]
    .join(', ')
    .concat('.')
}

export const FRUIT_NOTE =
  'Contains frozen fruit that nobody treated and nothing boiled: not for highly susceptible people. A minute at the boil, or the days on the label.'

export const ADVISORY =
  'Contains raw egg. Raw or undercooked egg may increase the risk of illness, above all for children, older or pregnant people and those who are ill.'

export const POOLED =
  'Pooled: one bad egg is in all of it. Crack each into a cup first, and cook or chill the bowl right away.'

/** Why a step cannot be marked without a word. */
export function orderSentence(why: OutOfOrder): string {
  return why.code === 'before'
    ? `"${stepName[why.kind]}" comes first and has not ended. Say why it is another way round.`
    : `"${stepName[why.kind]}" matters. Say why it is left out.`
}

export function aciditySentence(result: AcidityResult): string {
  switch (result.control) {
    case 'not needed':
      return 'By its figures it needs no temperature control. It closes no check of cooking, and the house days still hold.'
    case 'assessment':
      return 'No row of the table is met: it needs a product assessment by somebody qualified, or temperature control.'
    case 'needed':
      return {
        'not measured': 'Not measured: it needs temperature control.',
        'no table': 'This rule set prints no table: it needs temperature control.',
        'not finished':
          'Only the finished, cooled product counts: every gate first. Until then it needs temperature control.',
        'meter not checked':
          'The meter has to read two buffers to within 0.1 pH. Until then it needs temperature control.',
        'no water activity': 'By pH alone no row is met. Without water activity it needs temperature control.',
      }[result.because]
  }
}

export function serveBySentence(by: Instant, reader: Reader): string {
  return `Serve it by ${clock(by, reader)}. What is left then goes to discard; it is not cooled and kept.`
}
