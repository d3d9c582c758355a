import { useState } from 'react'
import { checkFound, dayOf, startOfDay, type Against, type InstrumentState } from '@logged-thermal/core'
import { degrees, errorWords, instrumentsMessages, type Reader } from '@logged-thermal/wording'
import { useEnter, useGoOn } from '../app/enter'
import { useKitchenClock } from '../app/now'
import { Columns } from '../kit/Columns'
import { DateField } from '../kit/DateField'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { temperatureIn } from './CheckBoard'
import styles from './instruments.module.css'

const say = speaks(instrumentsMessages)

interface Props {
  instrument: InstrumentState
  reader: Reader
  onClose: () => void
}

/**
 * What a laboratory found, off its certificate: a check like any other, of the day on which it was made. What was checked
 * since stays as it was found.
 */
export function EnterCertificate({ instrument, reader, onClose }: Props) {
  const { id, code, kind, tolerance } = instrument
  const { scale, zone } = reader
  const clock = useKitchenClock()
  const enter = useEnter()
  const goOn = useGoOn()
  const today = dayOf(clock(), zone)
  const [issuer, setIssuer] = useState('')
  const [number, setNumber] = useState('')
  const [day, setDay] = useState('')
  const [truth, setTruth] = useState('')
  const [shown, setShown] = useState('')
  const [tried, setTried] = useState(false)
  const [real, read] = [temperatureIn(truth, scale), temperatureIn(shown, scale)]
  const isDay = day !== '' && day <= today
  const missing = (is: boolean, sentence: string) => (tried && !is ? sentence : null)
  const asked =
    real !== null && read !== null && isDay
      ? {
          at: startOfDay(day, zone),
          against: {
            kind: 'certificate',
            issuer: issuer.trim(),
            number: number.trim(),
            truth: { value: real, unit: scale },
          } satisfies Against,
          shown: [{ value: read, unit: scale }],
        }
      : null
  const found = asked && checkFound(instrument, asked, null)
  const log = () => {
    setTried(true)
    if (!asked || !found || issuer.trim() === '' || number.trim() === '') return
    enter('instrument-checked', id, { against: asked.against, shown: asked.shown, found }, { at: asked.at })
    onClose()
    if (!found.passed) goOn(`/instruments/${id}/look-back`)
  }
  return (
    <Sheet open onClose={onClose} title={say('certificateTitle', { code })}>
      <Columns>
        <div className={styles.form}>
          <p className="muted">{say('certificateWhat')}</p>
          <Field
            label={say('certificateIssuer')}
            value={issuer}
            max={80}
            onValue={setIssuer}
            error={missing(issuer.trim() !== '', say('certificateSayIssuer'))}
          />
          <Field
            label={say('certificateNumber')}
            value={number}
            max={40}
            onValue={setNumber}
            error={missing(number.trim() !== '', say('certificateSayNumber'))}
          />
          <DateField label={say('certificateDay')} value={day} most={today} onValue={setDay} />
          {tried && !isDay && <p role="alert">{say('certificateSayDay')}</p>}
        </div>
        <div className={styles.form}>
          <Field
            label={say('certificateTruth')}
            value={truth}
            mode="decimal"
            unit={`°${scale}`}
            onValue={setTruth}
            error={missing(real !== null, say('certificateSayDegrees'))}
          />
          <Field
            label={say('certificateShown')}
            value={shown}
            mode="decimal"
            unit={`°${scale}`}
            onValue={setShown}
            error={missing(read !== null, say('certificateSayDegrees'))}
          />
          {found && (
            <p role="status">
              <strong>{say(found.passed ? 'passed' : 'failed')}</strong>:{' '}
              {say('certificateFound', {
                error: errorWords(kind, found.error, reader),
                degrees: degrees(found.reference, reader),
                tolerance: errorWords(kind, tolerance, reader, 'not told'),
              })}
            </p>
          )}
          <p className="muted">{say('certificateCounts')}</p>
          <Key look="primary" onClick={log}>
            {say('certificateLog')}
          </Key>
        </div>
      </Columns>
    </Sheet>
  )
}
