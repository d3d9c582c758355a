import { isLiteralElement, type MessageFormatElement } from '@formatjs/icu-messageformat-parser'
import { IntlMessageFormat } from 'intl-messageformat'
import { american } from './american'
import { accented } from './pseudo'
import { writtenLike, type Locale } from './locale'
import { withTexts } from './texts'

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
  const change = CHANGED[locale]
  const plain = plainText(message)
  if (plain !== null) return change ? change(plain) : plain
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
  const change = CHANGED[locale]
  return change ? new IntlMessageFormat(withTexts(format.getAst(), change), writtenLike(locale)) : format
}

/** What becomes of each text in a language that is written like the source and not the same. */
const CHANGED: Record<Locale, ((text: string) => string) | null> = {
  'en-GB': null,
  'en-US': american,
  'en-XA': accented,
}

/** Speaks the messages of one subject to whoever reads. */
export function speaker<M extends Messages>(
  messages: M,
): (reader: Spoken, key: keyof M & string, values?: Values) => string {
  return ({ locale }, key, values) => say(messages[key]!, locale, values)
}
