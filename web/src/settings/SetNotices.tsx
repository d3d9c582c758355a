import { useState } from 'react'
import { noticesMessages, type Reader } from '@logged-thermal/wording'
import { sentenceOf } from '../app/api'
import type { PersonOnList } from '../app/lineData'
import { CheckField } from '../kit/CheckField'
import { Field } from '../kit/Field'
import { FieldRow } from '../kit/FieldRow'
import { Halves } from '../kit/Halves'
import { Key } from '../kit/Key'
import { PinPad } from '../kit/PinPad'
import { Sheet } from '../kit/Sheet'
import { TimeField } from '../kit/TimeField'
import { speaks } from '../kit/language'
import { useSetNoticesMutation, type NoticesAnswer } from './noticesApi'
import styles from './settings.module.css'

const say = speaks(noticesMessages)

interface Props {
  of: NoticesAnswer['wish']
  signer: PersonOnList
  reader: Reader
  onClose: () => void
}

/** To which address what goes, and when nothing does; signed. */
export function SetNotices({ of, signer, reader, onClose }: Props) {
  const [on, setOn] = useState(true)
  const [to, setTo] = useState(of?.to ?? '')
  const [urgent, setUrgent] = useState(of?.urgent ?? true)
  const [digest, setDigest] = useState(of?.digest ?? true)
  const [quiet, setQuiet] = useState(of?.quiet ?? null)
  const [set, { isLoading, error }] = useSetNoticesMutation()
  const missing = !on
    ? null
    : !/^\S+@\S+\.\S+$/.test(to.trim())
      ? say('needsAddress')
      : urgent || digest
        ? null
        : say('needsOne')
  const sign = async (pin: string) => {
    const signed = { signer: signer.id, pin }
    const hours = quiet ? { quietFrom: quiet.from, quietUntil: quiet.until } : {}
    const result = await set(on ? { on, to: to.trim(), urgent, digest, ...hours, ...signed } : { on, ...signed })
    if (!result.error) onClose()
  }
  return (
    <Sheet open onClose={onClose} title={say('changeTitle')}>
      <Halves>
        <div className={styles.form}>
          <Field label={say('address')} value={to} max={200} disabled={!on} onValue={setTo} />
          <CheckField label={say('isUrgent')} checked={urgent} disabled={!on} onCheck={setUrgent} />
          <CheckField label={say('isDigest')} checked={digest} disabled={!on} onCheck={setDigest} />
          <CheckField
            label={say('isQuiet')}
            checked={quiet !== null}
            disabled={!on}
            onCheck={(is) => setQuiet(is ? { from: '23:00', until: '06:00' } : null)}
          />
          {quiet && on && (
            <FieldRow>
              <TimeField
                label={say('from')}
                value={quiet.from}
                onValue={(time) => time && setQuiet({ ...quiet, from: time })}
                hours={reader.hours}
              />
              <TimeField
                label={say('until')}
                value={quiet.until}
                onValue={(time) => time && setQuiet({ ...quiet, until: time })}
                hours={reader.hours}
              />
            </FieldRow>
          )}
          {of && (
            <Key look={on ? 'outlined' : 'primary'} aria-pressed={!on} onClick={() => setOn(!on)}>
              {say('switchOff')}
            </Key>
          )}
        </div>
        {missing ? (
          <p className="muted">{missing}</p>
        ) : (
          <PinPad
            of={signer}
            busy={isLoading}
            sentence={error ? sentenceOf(error) : null}
            onPin={(pin) => void sign(pin)}
          />
        )}
      </Halves>
    </Sheet>
  )
}
