import { useNavigate } from 'react-router'
import type { InstrumentState } from '@logged-thermal/core'
import { clock, lineMessages, type Reader } from '@logged-thermal/wording'
import type { LineData } from '../app/lineData'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import { useOpenLookBack } from '../instruments/useOpenLookBack'
import styles from './line.module.css'

const say = speaks(lineMessages)

/** Instruments that failed a check, while the lead has not yet looked at all that they read. */
export function FailedInstruments({ line: { instruments }, reader }: { line: LineData; reader: Reader }) {
  return instruments
    .filter(({ history }) => history.at(-1)?.passed === false)
    .map((instrument) => <Failed key={instrument.id} instrument={instrument} reader={reader} />)
}

function Failed({ instrument, reader }: { instrument: InstrumentState; reader: Reader }) {
  const navigate = useNavigate()
  const open = useOpenLookBack(instrument)
  const { id, code, history } = instrument
  if (open === null || open === 0) return null
  return (
    <section className={styles.handedOver} aria-label={say('instrumentFailed', { code })}>
      <p>
        <strong>{say('instrumentFailed', { code })}</strong>{' '}
        {say('whatItReadInDoubt', { time: clock(history.at(-1)!.at, reader), count: open })}
      </p>
      <Key look="outlined" onClick={() => void navigate(`/instruments/${id}/look-back`)}>
        {say('lookBack')}
      </Key>
    </section>
  )
}
