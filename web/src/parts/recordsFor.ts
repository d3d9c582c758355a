import { writtenLike, type Reader } from '@logged-thermal/wording'

/** For whom a record is drawn, as the server is asked for it. */
export function recordsFor({ scale, locale }: Reader): string {
  return `scale=${scale}&language=${writtenLike(locale)}`
}
