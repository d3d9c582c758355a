import {
  localeOf,
  say,
  writtenLike,
  type Language,
  type Locale,
  type Messages,
  type Values,
} from '@logged-thermal/wording'

/** Where a tablet keeps its language, and that of who has it in hand, where they chose another. */
const OF_TABLET = 'lt.language'
const IN_HAND = 'lt.languageInHand'

/** The language of this page. Another choice loads the program anew, so that whatever was written before is written again. */
export const language: Locale = localeOf(kept(IN_HAND) ?? kept(OF_TABLET))

/** As the server is told, and the language of dates and numbers. */
export const written: Language = writtenLike(language)

/** Whoever has this tablet in hand, as far as the language goes. */
export const spoken = { locale: language }

/** Keeps the language of who has the tablet in hand now; null: its own. Gives whether the page speaks another and has to be loaded anew. */
export function keepLanguageInHand(chosen: Language | null): boolean {
  if (kept(IN_HAND) !== chosen) keep(chosen)
  return localeOf(kept(IN_HAND) ?? kept(OF_TABLET)) !== language
}

/** Speaks the messages of one subject in the language of this tablet. */
export function speaks<M extends Messages>(messages: M): (key: keyof M & string, values?: Values) => string {
  return (key, values) => say(messages[key]!, language, values)
}

function kept(place: string): string | null {
  return typeof localStorage === 'undefined' ? null : localStorage.getItem(place)
}

function keep(chosen: Language | null): void {
  try {
    if (chosen === null) localStorage.removeItem(IN_HAND)
    else localStorage.setItem(IN_HAND, chosen)
  } catch {
    // A browser without storage speaks its own.
  }
}
