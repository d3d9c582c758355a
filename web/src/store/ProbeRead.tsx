import { celsiusOf, type InstrumentState, type Typed } from '@logged-thermal/core'
import { degrees, storeInMessages, type Reader } from '@logged-thermal/wording'
import { useHand } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { Key } from '../kit/Key'
import { NumberPad } from '../kit/NumberPad'
import { speaks } from '../kit/language'
import styles from './putAway.module.css'

const say = speaks(storeInMessages)

interface Props {
  typed: Typed | null
  line: LineData
  reader: Reader
  onTyped: (typed: Typed | null) => void
}

/** How cold something is before it goes anywhere: typed from a probe, large, and read again with one tap. */
export function ProbeRead({ typed, line, reader, onTyped }: Props) {
  const { open } = useHand(line)
  const probe = useProbe(line)
  if (typed)
    return (
      <p className={styles.read}>
        {degrees(celsiusOf(typed), reader, 'under')}{' '}
        <Key look="outlined" onClick={() => onTyped(null)}>
          {say('readAgain')}
        </Key>
      </p>
    )
  return (
    <>
      <p>{probe ? say('readBy', { code: probe.code }) : say('readByProbe')}</p>
      <NumberPad
        name={say('itsCore')}
        unit={`°${reader.scale}`}
        decimals={1}
        signed
        take={say('thatIsIt')}
        disabled={!open || !probe}
        onTake={(value) => onTyped({ value, unit: reader.scale })}
      />
    </>
  )
}

/** The probe in hand, else the first of the kitchen; null where none is registered. */
export function useProbe(line: LineData | null): InstrumentState | null {
  const { instrument } = useHand(line)
  return instrument?.kind === 'probe' ? instrument : (line?.instruments.find(({ kind }) => kind === 'probe') ?? null)
}
