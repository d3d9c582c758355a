import type { InstrumentCheck } from '@logged-thermal/core'
import { degrees, instrumentsMessages, type Reader } from '@logged-thermal/wording'
import type { LineData } from '../app/lineData'
import { speaks } from '../kit/language'

const say = speaks(instrumentsMessages)

/** What it was checked against, in words. */
export function againstWords(
  against: InstrumentCheck['against'],
  reference: number,
  { instruments }: Pick<LineData, 'instruments'>,
  reader: Reader,
): string {
  switch (against.kind) {
    case 'ice':
      return say('against_ice')
    case 'boiling':
      return say('against_boiling', { degrees: degrees(reference, reader) })
    case 'instrument': {
      const code = instruments.find(({ id }) => id === against.id)?.code ?? '?'
      return say('against_instrument', { code, degrees: degrees(reference, reader) })
    }
    case 'certificate': {
      const { issuer, number } = against
      return say('against_certificate', { issuer, number, degrees: degrees(reference, reader) })
    }
    case 'buffers':
      return say('against_buffers')
  }
}
