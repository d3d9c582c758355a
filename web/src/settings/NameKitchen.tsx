import { useState } from 'react'
import { useForm } from 'react-hook-form'
import type { TemperatureScale } from '@logged-thermal/core'
import { settingsMessages } from '@logged-thermal/wording'
import { fieldOf, sentenceOf, useNameKitchenMutation } from '../app/api'
import type { LineData, PersonOnList } from '../app/lineData'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { FormField, judgedBy } from '../kit/FormField'
import { Key } from '../kit/Key'
import { PinPad } from '../kit/PinPad'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import styles from './settings.module.css'

const say = speaks(settingsMessages)

interface Written {
  name: string
  address: string
}

interface Props {
  kitchen: LineData['kitchen']
  lead: PersonOnList
  onClose: () => void
}

/** Another name, address or unit: what that changes is said before the lead signs it. */
export function NameKitchen({ kitchen, lead, onClose }: Props) {
  const [unit, setUnit] = useState<TemperatureScale>(kitchen.unit)
  const [written, setWritten] = useState<Written | null>(null)
  const [name, { isLoading, error }] = useNameKitchenMutation()
  const { control, handleSubmit, setError } = useForm<Written>({
    defaultValues: { name: kitchen.name, address: kitchen.address ?? '' },
    resolver: judgedBy<Written>(({ name: called }) => ({ name: called.trim() === '' ? say('nameIt') : null })),
  })
  const sign = async (pin: string) => {
    if (!written) return
    const address = written.address.trim() || null
    const result = await name({ name: written.name.trim(), address, unit, signer: lead.id, pin })
    if (!result.error) return onClose()
    const field = fieldOf(result.error)
    if (field !== 'name' && field !== 'address') return
    setWritten(null)
    setError(field, { message: sentenceOf(result.error) })
  }
  return (
    <Sheet open onClose={onClose} title={written ? say('leadSigns') : say('change')}>
      {written ? (
        <PinPad
          of={lead}
          busy={isLoading}
          sentence={error ? sentenceOf(error) : null}
          onPin={(pin) => void sign(pin)}
        />
      ) : (
        <form className={styles.form} onSubmit={(event) => void handleSubmit((form) => setWritten(form))(event)}>
          <FormField control={control} name="name" label={say('name')} max={60} first />
          <FormField control={control} name="address" label={say('address')} max={120} hint={say('addressIs')} />
          <ChoiceKeys
            name={say('degrees')}
            options={['C', 'F'] as const}
            chosen={unit}
            words={(scale) => `°${scale}`}
            onChoose={setUnit}
          />
          <p className="muted">{say('whatChanges')}</p>
          <Key look="primary" type="submit">
            {say('saveFromNow')}
          </Key>
        </form>
      )}
    </Sheet>
  )
}
