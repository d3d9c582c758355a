/** The parts of a pasted recipe, as lines without their bullets and numbers. */
export interface Layout {
  title: string
  materials: string[]
  steps: string[]
  /** What is neither: how many it makes, how long it keeps. */
  notes: string[]
}

const MATERIALS =
  /^(?:ingredients?|materials?|what you need|you need|you will need|layers?|shopping list|zutaten)\b[^:]{0,20}:?\s*/i
const STEPS =
  /^(?:methods?|directions?|instructions?|preparation|procedure|steps|work|how to(?: make it)?|to make|assembly|making)\s*(?::\s*|$)/i
/** A heading over some of the ingredients: "For the crumb", "Caramel". */
const GROUP = /^(?:for|to|between)\b|:$/i
const NUMBERED = /^(?:step\s*)?\d{1,2}\s*(?:[.):]|-(?=\s))\s*(?=\p{L})|^step\s+\d{1,2}\s*[.:-]?\s*/iu
const BULLET = /^[-–*•·▪◦]\s+|^\*(?=\S)/
const AMOUNT = /^(?:\d|[½⅓⅔¼¾⅛]|a pinch|pinch|a dash|half a |a? ?few |some |zest|juice|juice of|freshly grated )/i
const BEHIND = /^.{2,50}[\s:|.…]+[\d½⅓⅔¼¾⅛]+(?:[.,/]\d+)?\s*(?!min|hour|h\b|°|[CF]\b|deg)(?:\p{L}{1,12}\.?)?$/iu
/** Words with which the work begins. */
const WORK =
  /^(?:add|age|allow|bake|beat|blend|bloom|boil|bring|brown|chill|churn|combine|cook|cool|cover|cream|dissolve|divide|fill|fold|freeze|fry|heat|infuse|keep|ladle|layer|leave|let|make|melt|mix|off the heat|pass|pipe|pour|press|put|rain|reduce|refrigerate|rest|return|roast|rub|scald|scatter|serve|set|sieve|simmer|soak|spoon|sprinkle|steep|stir|strain|take|temper|toast|top|warm|when|whip|whisk)\b/i
const NOTE = /^(?:serves|makes|yields?|keeps|for \d|portions?|prep(?:aration)? time|fills)\b/i

/** Finds title, ingredients and steps: by their headings where there are some, else by how the lines look. */
export function laidOut(text: string): Layout {
  const lines = text
    .replaceAll('\r', '')
    .split('\n')
    .map((line) => unmarked(line))
    .filter((line) => line !== '' && !/^[|\s:-]+$/.test(line))
  const [first = '', ...rest] = lines
  const found: Layout = { title: titleOf(first), materials: [], steps: [], notes: [] }
  const said = first.slice(found.title.length).replace(/^[.,:\s]+/, '')
  if (said !== '') found.notes.push(said)
  let part: 'open' | 'materials' | 'steps' = 'open'
  for (const line of rest) {
    const steps = STEPS.exec(line)
    const materials = MATERIALS.exec(line)
    const heading = steps ?? materials
    if (heading) {
      part = steps ? 'steps' : 'materials'
      const more = line.slice(heading[0].length).trim()
      if (more === '') continue
      if (part === 'steps') found.steps.push(more)
      else if (AMOUNT.test(more)) found.materials.push(more)
      continue
    }
    if (NOTE.test(line)) found.notes.push(line)
    else if (NUMBERED.test(line) || (part === 'steps' ? line.length > 12 : isWork(line))) {
      part = 'steps'
      found.steps.push(line.replace(NUMBERED, ''))
    } else if (part !== 'steps' && (AMOUNT.test(line) || BEHIND.test(line))) found.materials.push(line)
    else if (!GROUP.test(line) && line.includes(' ') && part === 'open') found.notes.push(line)
  }
  return found
}

function isWork(line: string): boolean {
  return (
    WORK.test(line) && line.split(' ').length > 2 && !BEHIND.test(line.replace(/[.]$/, '').replace(/\d+\s*°.*$/, ''))
  )
}

/** The first sentence of the first line; what follows it in brackets, behind a full stop, or as how much it makes, is a note. */
function titleOf(line: string): string {
  const [sentence] = /^[^.(]*/.exec(line)!
  return sentence.trim().replace(/,\s*(?:\d|(?:serves|makes|yields?|enough|for|about)\b).*$/i, '')
}

/** Without the marks of a list, a heading or a table; a table's cells with a space between. */
function unmarked(line: string): string {
  const table = /^\s*\|(.*)\|\s*$/.exec(line)
  const cells = table ? table[1]!.split('|').map((cell) => cell.trim()) : null
  if (cells && /^(?:ingredient|amount|quantity|item)s?$/i.test(cells[0]!)) return ''
  return (cells ? cells.join('  ') : line)
    .replaceAll('\t', ' ')
    .trim()
    .replace(/^#+\s*/, '')
    .replaceAll('**', '')
    .replace(BULLET, '')
    .trim()
}
