import { dayName, timeOfDay, type Reader } from './figures'
import {
  dayOf,
  type Allergen,
  type Instant,
  type Lacking,
  type ListedIngredient,
  type ToolKind,
  type ToolUsed,
  type Traces,
} from '@logged-thermal/core'
import { speaker, type Spoken } from './catalogue/say'
import { toolsMessages } from './catalogue/tools'

const say = speaker(toolsMessages)

export function toolWord(kind: ToolKind, reader: Spoken): string {
  return say(reader, 'tool', { kind })
}

/** 'tree nuts, what is in Nut sauce 12': what is left behind of a food. */
export function tracesWords(
  { allergens, unknown }: { allergens: readonly Allergen[]; unknown: readonly string[] },
  reader: Spoken,
): string {
  const unread = unknown.length > 0 ? [say(reader, 'notKnownIn', { names: unknown.join(', ') })] : []
  return [...allergens, ...unread].join(', ')
}

/** 'whole milk (MILK), custard [egg yolk (EGG), sugar]': every ingredient, its allergens in capitals. */
export function ingredientsWords(list: readonly ListedIngredient[], reader: Spoken): string {
  return list
    .map(({ name, allergens, of, unread }) => {
      const holds = allergens.length > 0 ? ` (${allergens.join(', ').toUpperCase()})` : ''
      const inside = of ? ` [${ingredientsWords(of, reader)}]` : ''
      return `${name.toLowerCase()}${holds}${inside}${unread ? ` (${say(reader, 'asOnPackage')})` : ''}`
    })
    .join(', ')
}

/** As it stands on a label for sale; empty where nobody kept what is in it. */
export function ingredientsNote(list: readonly ListedIngredient[] | undefined, reader: Spoken): string {
  return list ? say(reader, 'ingredients', { list: ingredientsWords(list, reader) }) : ''
}

/** What came to be known of it only after some was put away, of all tellings. */
export function toldAfterWords(all: readonly Lacking[], reader: Spoken): string {
  const traces = (of: (lacks: Lacking) => Traces) => {
    const words = all.flatMap((lacks) => tracesWords(of(lacks), reader) || [])
    return [...new Set(words)].join(', ') || 'none'
  }
  const claims = [...new Set(all.flatMap((lacks) => lacks.claims))].join(', ') || 'none'
  const [contains, mayContain] = [traces((lacks) => lacks.contains), traces((lacks) => lacks.mayContain)]
  const only = contains === 'none' && mayContain === 'none' ? 'yes' : 'no'
  const nothing = only === 'yes' && claims === 'none'
  const told = nothing ? [] : [say(reader, 'toldAfter', { contains, mayContain, claims, only })]
  const alcohol = all.some((lacks) => lacks.alcohol) ? [say(reader, 'toldAfterAlcohol')] : []
  return [...told, ...alcohol, say(reader, 'thenLabelsAgain')].join(' ')
}

/** What stands on the label; empty where nothing may be in it besides. */
export function mayContainNote(traces: Traces | undefined, reader: Spoken): string {
  return traces ? say(reader, 'mayContainOnLabel', { traces: tracesWords(traces, reader) }) : ''
}

export function toolUsedWords({ tool, name, washed }: ToolUsed, reader: Spoken): string {
  if (tool === null) return say(reader, 'throughNone')
  return say(reader, 'through', { tool: name, washed: washed ? 'yes' : 'no' })
}

/** The words of the notice on allergens. */
export function noticeWords(source: string, now: Instant, reader: Reader) {
  const when = `${dayName(dayOf(now, reader.zone), reader)} ${timeOfDay(now, reader)}`
  return {
    title: say(reader, 'noticeTitle'),
    printed: say(reader, 'noticePrinted', { when }),
    contains: say(reader, 'noticeContains'),
    mayContain: say(reader, 'noticeMay'),
    nothing: say(reader, 'noticeNothing'),
    unread: say(reader, 'noticeUnread'),
    source: say(reader, 'noticeSource', { source }),
  }
}
