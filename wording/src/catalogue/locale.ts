/** Languages that somebody can choose, BCP 47: English as it is written in Britain and in America. */
export const LANGUAGES = ['en-GB', 'en-US'] as const
export type Language = (typeof LANGUAGES)[number]

/** A language that there are words in. 'en-XA' is nobody's: English with accents and longer, to find what is not in the catalogue. */
export type Locale = Language | 'en-XA'

const LOCALES: readonly Locale[] = [...LANGUAGES, 'en-XA']

/** The language that was asked for, where there are words in it. */
export function localeOf(asked: string | null): Locale {
  return LOCALES.find((locale) => locale === asked) ?? 'en-GB'
}

/** The language whose dates, numbers and plurals are written. */
export function writtenLike(locale: Locale): Language {
  return locale === 'en-XA' ? 'en-GB' : locale
}
