import { createAction } from '@reduxjs/toolkit'

/** The server serves another build of this program than this page is. */
export const otherBuildServed = createAction('build/other')

/** Whether an answer comes from a server that serves another build than this page; never while the program is developed. */
export function isOfOtherBuild(headers: Headers | undefined): boolean {
  const served = headers?.get('Lt-Build') ?? null
  const own = document.querySelector<HTMLMetaElement>('meta[name="lt-build"]')?.content ?? null
  return own !== null && served !== null && served !== own
}
