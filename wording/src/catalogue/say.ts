import { isLiteralElement, type MessageFormatElement } from '@formatjs/icu-messageformat-parser'
import { IntlMessageFormat } from 'intl-messageformat'
import { pseudo } from './pseudo'
import { writtenLike, type Locale } from './locale'

/** What a message is filled with: a text or a number, what its plural counts, or what its `select` turns on. */
export type Values = Readonly<Record<string, string | number | boolean | null | undefined>>

/** The parts of a message that was compiled. */
export type Compiled = MessageFormatElement[]

/** In ICU MessageFormat, '{count, plural, one {# thing} other {# things}}'; the application's build compiles it. */
export type Message = string | Compiled

/** The messages of a view or a subject, by key. English is the source. */
export type Messages = Readonly<Record<string, Message>>

/** Whoever is spoken to, as far as the language goes. */
export interface Spoken {
  locale: Locale
}

const formats = new Map<Message, IntlMessageFormat>()
let spoken: Locale

/**
 * A message of the catalogue as a text.
 * @throws where a value that the message names is missing
 */
export function say(message: Message, locale: Locale, values: Values = {}): string {
  const plain = locale === 'en-XA' ? null : plainText(message)
  if (plain !== null) return plain
  // One person reads at a time, mostly: messages of another language are made anew.
  if (spoken !== locale) formats.clear()
  spoken = locale
  let format = formats.get(message)
  if (!format) formats.set(message, (format = formatOf(message, locale)))
  return String(format.format(values))
}

/** Most messages are a text and nothing else: there is nothing to make ready. */
function plainText(message: Message): string | null {
  if (typeof message === 'string') return null
  const [only, ...more] = message
  return only && more.length === 0 && isLiteralElement(only) ? only.value : null
}

function formatOf(message: Message, locale: Locale): IntlMessageFormat {
  const format = new IntlMessageFormat(message, writtenLike(locale), undefined, { ignoreTag: true })
  return locale === 'en-XA' ? new IntlMessageFormat(pseudo(format.getAst()), writtenLike(locale)) : format
}

/** Speaks the messages of one subject to whoever reads. */
export function speaker<M extends Messages>(
  messages: M,
): (reader: Spoken, key: keyof M & string, values?: Values) => string {
  return ({ locale }, key, values) => say(messages[key]!, locale, values)
}
