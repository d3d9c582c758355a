import { accountMessages } from '@logged-thermal/wording'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { fieldOf, sentenceOf } from '../app/api'
import type { PersonOnList } from '../app/lineData'
import { FormField, judgedBy } from '../kit/FormField'
import { Key } from '../kit/Key'
import { PinPad } from '../kit/PinPad'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { useGivePasswordMutation } from './accountApi'
import styles from './account.module.css'

const say = speaks(accountMessages)

interface Written {
  called: string
  password: string
  current: string
}

interface Props {
  person: PersonOnList
  /** Whoever has the PIN that gives it: the person, or the lead. */
  signer: PersonOnList
  onDone: (said: string) => void
  onClose: () => void
}

/** A password for a lead or an auditor, and the name that they sign in with; signed with a PIN. */
export function SetPassword({ person, signer, onDone, onClose }: Props) {
  const [written, setWritten] = useState<Written | null>(null)
  const [asksCurrent, setAsksCurrent] = useState(false)
  const [refusal, setRefusal] = useState<string | null>(null)
  const [give, { isLoading }] = useGivePasswordMutation()
  const { control, handleSubmit, setError } = useForm<Written>({
    defaultValues: { called: '', password: '', current: '' },
    resolver: judgedBy<Written>(({ called, password }) => ({
      called: called.trim().length < 3 ? say('typeName') : null,
      password: [...password].length < 10 ? say('passwordIs') : null,
    })),
  })
  const sign = async (pin: string) => {
    if (!written) return
    const { called, password, current } = written
    const given = { person: person.id, called: called.trim(), password, signer: signer.id, pin }
    const result = await give({ ...given, ...(current && { current }) })
    if (!result.error) return onDone(say('given', { name: person.name }))
    const [field, sentence] = [fieldOf(result.error), sentenceOf(result.error)]
    if (field !== 'called' && field !== 'password' && field !== 'current') return setRefusal(sentence)
    // Back to where it can be mended.
    setWritten(null)
    if (field === 'current') setAsksCurrent(true)
    setError(field, { message: sentence })
  }
  return (
    <Sheet open onClose={onClose} title={say('passwordOf', { name: person.name })}>
      {written ? (
        <>
          <p className="sentence">{say('signsFor', { name: signer.name })}</p>
          <PinPad of={signer} busy={isLoading} sentence={refusal} onPin={(pin) => void sign(pin)} />
        </>
      ) : (
        <form className={styles.form} onSubmit={(event) => void handleSubmit((form) => setWritten(form))(event)}>
          <FormField control={control} name="called" label={say('called')} max={60} hint={say('calledIs')} first />
          {asksCurrent && (
            <FormField control={control} name="current" label={say('currentPassword')} max={128} secret="current" />
          )}
          <FormField
            control={control}
            name="password"
            label={say('password')}
            max={128}
            secret="new"
            hint={say('passwordIs')}
          />
          <Key look="primary" type="submit">
            {say('next')}
          </Key>
        </form>
      )}
    </Sheet>
  )
}
