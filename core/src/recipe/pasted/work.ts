import type { Typed } from '../../ground/temperature'
import { STEP_KINDS, type StepKind } from '../method/method'

/** One line of the work: the stages it speaks of, in the order of its words, and the temperature it names. */
export interface PastedStep {
  line: string
  kinds: StepKind[]
  /** What the mixture or the oven is to reach there; null: none is named. */
  degrees: Typed | null
  minutes: number | null
}

const MEAN: readonly [StepKind, RegExp][] = [
  ['infuse', /\b(?:infus|steep)/i],
  [
    'temper',
    /\btemper\b|\b(?:pour|ladle|whisk|mix|stir|add)\w*\b[^.]*\b(?:hot|warm)\b[^.]*\b(?:over|on|onto|into|in)\b|\bpour the hot\b/i,
  ],
  ['boil out', /\b(?:boil|simmer)\w*\b[^.]*\bmin|\bto (?:the|a) boil\b|\bboil the\b/i],
  ['bake', /\bbake\b|\bin (?:the|a hot) oven\b/i],
  ['brown', /\bbrown(?:ed)? under\b|\bgrill\b|\btorch\b/i],
  ['strain', /\bstrain|\bsieve\b|\bpass\b[^.]*\bthrough\b/i],
  ['whip', /\bwhip|\bsoft peaks\b|\bstiff\b/i],
  ['fold', /\bfold/i],
  [
    'cook',
    /\b(?:cook|heat|stir|beat|whisk|thicken)\w*\b[^.]*(?:\bto\b|\bit reads\b|\buntil\b|\breads\b|\breaches\b|\band\b)[^.]*(?:\d{2,3}\s*°?\s*(?:[CF]\b|deg)|\bthick|\bcoats\b)|\bmake a custard\b|\bback to \d{2}/i,
  ],
  ['heat dairy', /\b(?:heat|warm|scald|bring|simmer|boil)\w*\b[^.]*\b(?:milk|cream|dairy|drink)\b/i],
  ['mise', /\b(?:soak|bloom|soften|sprinkle the gelatin\w*|toast|melt chocolate)\b|\bin cold water\b/i],
  ['eggs', /\b(?:whisk|beat|mix|stir)\w*\b[^.]*\b(?:yolks?|eggs?)\b/i],
  [
    'add after heat',
    /\boff (?:the )?heat\b|\b(?:blend|beat|whisk|stir) in (?:the )?(?:\w+ )?butter\b|\bwhen cold\b|\bstir in [^.]*\b(?:rum|brandy|spirit|juice|buttermilk|gelatin\w*)\b|\bmix in the oil\b/i,
  ],
  ['cool', /\bcool|\bchill|\bice bath\b|\bover ice\b|\brefrigerat|\bfridge\b/i],
  ['set', /\bset\b(?! in a tin)/i],
  ['churn', /\bchurn/i],
  ['freeze', /\bfreez/i],
  ['assemble', /\blayer\b|\bassembl|\bscatter|\btop with\b|\bon top\b|\bcover\b[^.]*\bcream\b/i],
  ['serve at once', /\bserved? (?:at once|immediately)\b/i],
]

/** The lines of the work in their order: what is heated before any egg is in is the dairy, and cooks no mixture. */
export function stepsIn(lines: readonly string[]): PastedStep[] {
  let egg = false
  return lines.map((line) => {
    const step = stepIn(line)
    egg ||= /\b(?:yolk|egg|custard)/i.test(line)
    return egg || !step.kinds.includes('heat dairy')
      ? step
      : { ...step, kinds: step.kinds.filter((kind) => kind !== 'cook') }
  })
}

/** The stages of the work in a line, by its verbs. */
function stepIn(line: string): PastedStep {
  const found = MEAN.flatMap(([kind, means]) => {
    const at = line.search(means)
    return at < 0 ? [] : [{ kind, at }]
  }).sort((a, b) => a.at - b.at || STEP_KINDS.indexOf(a.kind) - STEP_KINDS.indexOf(b.kind))
  const kinds = [...new Set(found.map(({ kind }) => kind))]
  return { line, kinds, degrees: degreesIn(line), minutes: minutesIn(line) }
}

function degreesIn(line: string): Typed | null {
  const found = /(\d{2,3})\s*(?:°\s*([CF])?|degrees?\s*([CF])?\b|([CF])\b)/.exec(line)
  if (!found) return null
  const value = Number(found[1])
  const letter = found[2] ?? found[3] ?? found[4]
  const unit = letter === 'F' || (letter === undefined && value > 250) ? 'F' : 'C'
  return { value, unit }
}

function minutesIn(line: string): number | null {
  const found = /(\d+)(?:\s*(?:-|–|to)\s*(\d+))?\s*(min|hour|h\b)/i.exec(line)
  if (!found) return null
  return Number(found[2] ?? found[1]) * (found[3]!.toLowerCase() === 'min' ? 1 : 60)
}
