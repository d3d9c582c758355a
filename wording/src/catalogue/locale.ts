/** Languages that there are words in, BCP 47. 'en-XA' is nobody's: English with accents and longer, to find what is not in the catalogue. */
export type Locale = 'en-GB' | 'en-XA'

/** The language that was asked for, where there are words in it. */
export function localeOf(asked: string | null): Locale {
  return asked === 'en-XA' ? asked : 'en-GB'
}

/** The language whose dates, numbers and plurals are written. */
export function writtenLike(locale: Locale): string {
  return locale === 'en-XA' ? 'en-GB' : locale
}
