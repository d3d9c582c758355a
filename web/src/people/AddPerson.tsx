import { peopleMessages } from '@logged-thermal/wording'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { fieldOf, sentenceOf, useAddPersonMutation } from '../app/api'
import type { PersonOnList } from '../app/lineData'
import { FormField, judgedBy } from '../kit/FormField'
import { Key } from '../kit/Key'
import { PinPad } from '../kit/PinPad'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { NewPin } from './NewPin'
import { roleWord } from '../app/roles'
import { dutiesOf } from './GiveRole'
import { MayDo, type Given } from './MayDo'
import styles from './people.module.css'

const say = speaks(peopleMessages)

const NOBODY = { name: '', job: '' }

interface Props {
  /** The lead, or whoever looks after people. */
  signer: PersonOnList
  onDone: (said: string) => void
  onClose: () => void
}

/** Somebody new: who they are and what they may do, the PIN they choose, and that of who signs. */
export function AddPerson({ signer, onDone, onClose }: Props) {
  const [given, setGiven] = useState<Given>({ role: 'cook', administers: false })
  const role = given.role ?? 'cook'
  const [written, setWritten] = useState<typeof NOBODY | null>(null)
  const [next, setNext] = useState<string | null>(null)
  const [refusal, setRefusal] = useState<string | null>(null)
  const [add, { isLoading }] = useAddPersonMutation()
  const { control, handleSubmit, setError } = useForm({
    defaultValues: NOBODY,
    resolver: judgedBy<typeof NOBODY>(({ name }) => ({ name: name.trim() === '' ? say('whoIsIt') : null })),
  })
  const sign = async (pin: string) => {
    if (!written || next === null) return
    const job = written.job.trim() || roleWord(role)
    const result = await add({
      name: written.name.trim(),
      job,
      role,
      administers: given.administers,
      next,
      signer: signer.id,
      pin,
    })
    if (!result.error) return onDone(say('worksHereNow', { name: written.name.trim() }))
    const sentence = sentenceOf(result.error)
    const field = fieldOf(result.error)
    setRefusal(sentence)
    // Back to where it can be mended.
    if (field === 'next') setNext(null)
    if (field === 'name' || field === 'job') {
      setWritten(null)
      setError(field, { message: sentence })
    }
  }
  return (
    <Sheet open onClose={onClose} title={written ? written.name : say('addPerson')}>
      {written === null ? (
        <form className={styles.form} onSubmit={(event) => void handleSubmit((form) => setWritten(form))(event)}>
          <FormField control={control} name="name" label={say('name')} max={60} first />
          <MayDo given={given} name={null} byLead={signer.role === 'lead'} onGive={setGiven} />
          <FormField control={control} name="job" label={say('job')} max={40} placeholder={roleWord(role)} />
          <Key look="primary" type="submit">
            {say('thenPin')}
          </Key>
        </form>
      ) : next === null ? (
        <NewPin
          name={written.name}
          own
          isLead={role === 'lead'}
          busy={false}
          sentence={refusal}
          onPin={(pin) => {
            setRefusal(null)
            setNext(pin)
          }}
        />
      ) : (
        <>
          <p className="sentence">
            {say('signsForPerson', { name: written.name, role: dutiesOf(given), signer: signer.name })}
          </p>
          <PinPad of={signer} busy={isLoading} sentence={refusal} onPin={(pin) => void sign(pin)} />
        </>
      )}
    </Sheet>
  )
}
