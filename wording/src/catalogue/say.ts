import { IntlMessageFormat } from 'intl-messageformat'
import type { Locale } from '../figures'

/** What a message is filled with. Numbers are written, and plurals chosen, as the locale does. */
export type Values = Readonly<Record<string, string | number>>

/** The messages of a view or a subject, by key, in ICU MessageFormat. English is the source. */
export type Messages = Readonly<Record<string, string>>

const formats = new Map<string, IntlMessageFormat>()

/**
 * A message of the catalogue as a text.
 * @param message in ICU MessageFormat: 'Version {version, number}', '{count, plural, one {# thing} other {# things}}'
 * @throws where a value that the message names is missing
 */
export function say(message: string, locale: Locale, values: Values = {}): string {
  const known = `${locale} ${message}`
  let format = formats.get(known)
  if (!format) formats.set(known, (format = new IntlMessageFormat(message, locale, undefined, { ignoreTag: true })))
  return String(format.format(values))
}

/** Speaks the messages of one subject in one language. */
export function speaker<M extends Messages>(
  messages: M,
  locale: Locale,
): (key: keyof M & string, values?: Values) => string {
  return (key, values) => say(messages[key]!, locale, values)
}
