import type { InstrumentCheck, InstrumentState } from '@logged-thermal/core'
import { instrumentsMessages } from '@logged-thermal/wording'
import type { LineData } from '../app/lineData'
import { speaks } from '../kit/language'

const say = speaks(instrumentsMessages)

/** What came of a check, also once it counts for nothing: what it was passed against was found wrong. */
export function resultWords(
  { entry, passed, against }: InstrumentCheck,
  { unfounded }: InstrumentState,
  { instruments }: LineData,
): string {
  if (unfounded.some((check) => check.entry === entry) && against.kind === 'instrument') {
    const { code = '' } = instruments.find(({ id }) => id === against.id) ?? {}
    return say('unfounded', { code })
  }
  return say(passed ? 'passed' : 'failed')
}
