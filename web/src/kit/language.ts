import { localeOf, say, type Locale, type Messages, type Values } from '@logged-thermal/wording'

/** Where a tablet keeps the language that was chosen on it. */
const KEPT = 'lt.language'

/** The language of this tablet. Another choice loads the program anew, so that whatever was written before is written again. */
export const language: Locale = localeOf(typeof localStorage === 'undefined' ? null : localStorage.getItem(KEPT))

/** Whoever has this tablet in hand, as far as the language goes. */
export const spoken = { locale: language }

/** Speaks the messages of one subject in the language of this tablet. */
export function speaks<M extends Messages>(messages: M): (key: keyof M & string, values?: Values) => string {
  return (key, values) => say(messages[key]!, language, values)
}
