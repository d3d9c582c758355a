import { accountMessages } from '@logged-thermal/wording'
import { useState } from 'react'
import { sentenceOf } from '../app/api'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { useCodesOffMutation, useCodesOnMutation, usePrepareCodesMutation } from './accountApi'
import styles from './account.module.css'

const say = speaks(accountMessages)

/** One-time codes of an app beside the password: whether they are asked for, and the way to change that. */
export function Codes({ on }: { on: boolean }) {
  const [asked, setAsked] = useState<'on' | 'off' | null>(null)
  const close = () => setAsked(null)
  return (
    <section aria-label={say('codes')} className={styles.form}>
      <h2 className="title">{say('codes')}</h2>
      <p>{on ? say('codesAreOn') : say('codesAreOff')}</p>
      <Key look="outlined" onClick={() => setAsked(on ? 'off' : 'on')}>
        {on ? say('turnOff') : say('turnOn')}
      </Key>
      {asked === 'on' && <TurnOn onClose={close} />}
      {asked === 'off' && <TurnOff onClose={close} />}
    </section>
  )
}

/** The password; then the app reads the secret and shows its first code; then the codes for when it is lost. */
function TurnOn({ onClose }: { onClose: () => void }) {
  const [code, setCode] = useState('')
  const [prepare, prepared] = usePrepareCodesMutation()
  const [turnOn, turned] = useCodesOnMutation()
  return (
    <Sheet open onClose={onClose} title={say('codes')}>
      {turned.data ? (
        <div className={styles.form}>
          <p className="sentence">{say('keepThese')}</p>
          <ul className={styles.recovery}>
            {turned.data.recovery.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
          <Key look="primary" onClick={onClose}>
            {say('done')}
          </Key>
        </div>
      ) : prepared.data ? (
        <div className={styles.form}>
          <p className="sentence">{say('scan')}</p>
          <img className={styles.qr} alt="" src={`data:image/svg+xml,${encodeURIComponent(prepared.data.qr)}`} />
          <p className="muted">
            {say('orType')} <span className={styles.uri}>{new URL(prepared.data.uri).searchParams.get('secret')}</span>
          </p>
          <Field
            label={say('code')}
            value={code}
            mode="numeric"
            max={6}
            first
            error={turned.error ? sentenceOf(turned.error) : null}
            onValue={setCode}
          />
          <Key
            look="primary"
            why={/^\d{6}$/.test(code) ? null : say('codeHasSix')}
            disabled={turned.isLoading}
            onClick={() => void turnOn({ code })}
          >
            {say('turnOn')}
          </Key>
        </div>
      ) : (
        <AskPassword
          refusal={prepared.error ? sentenceOf(prepared.error) : null}
          busy={prepared.isLoading}
          onPassword={(password) => void prepare({ password })}
        />
      )}
    </Sheet>
  )
}

function TurnOff({ onClose }: { onClose: () => void }) {
  const [turnOff, { isLoading, error }] = useCodesOffMutation()
  const off = async (password: string) => {
    const result = await turnOff({ password })
    if (!result.error) onClose()
  }
  return (
    <Sheet open onClose={onClose} title={say('turnOff')}>
      <AskPassword
        refusal={error ? sentenceOf(error) : null}
        busy={isLoading}
        onPassword={(password) => void off(password)}
      />
    </Sheet>
  )
}

interface AskProps {
  refusal: string | null
  busy: boolean
  onPassword: (password: string) => void
}

function AskPassword({ refusal, busy, onPassword }: AskProps) {
  const [password, setPassword] = useState('')
  return (
    <form
      className={styles.form}
      onSubmit={(event) => {
        event.preventDefault()
        onPassword(password)
      }}
    >
      <p className="sentence">{say('passwordAgain')}</p>
      <Field
        label={say('password')}
        value={password}
        secret="current"
        max={128}
        first
        error={refusal}
        onValue={setPassword}
      />
      <Key look="primary" type="submit" why={password ? null : say('typePassword')} disabled={busy}>
        {say('next')}
      </Key>
    </form>
  )
}
