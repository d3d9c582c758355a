import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { v7 as uuid } from 'uuid'
import { CHECKED_EVERY, INSTRUMENT_KINDS, TOLERANCE, type InstrumentKind } from '@logged-thermal/core'
import { instrumentsMessages } from '@logged-thermal/wording'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { FormField, judgedBy } from '../kit/FormField'
import { Key } from '../kit/Key'
import { PinPad } from '../kit/PinPad'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { useLeadSigns } from '../login/useLeadSigns'
import { Terms, type Overdue } from './Terms'
import styles from './instruments.module.css'

const say = speaks(instrumentsMessages)

const NOTHING = { code: '', place: '' }

/** One more instrument: the code on it, what kind it is, where it hangs, how often it is checked, and the lead's PIN. */
export function AddInstrument({ known, onClose }: { known: readonly string[]; onClose: () => void }) {
  const [kind, setKind] = useState<InstrumentKind>('probe')
  const [days, setDays] = useState<number | null>(null)
  const [strict, setStrict] = useState(false)
  const [overdue, setOverdue] = useState<Overdue>('counts')
  const [asked, setAsked] = useState<typeof NOTHING | null>(null)
  const { control, handleSubmit } = useForm({
    defaultValues: NOTHING,
    resolver: judgedBy<typeof NOTHING>(({ code }) => ({
      code:
        code.trim() === ''
          ? say('whichCode')
          : known.includes(code.trim())
            ? say('codeTaken', { code: code.trim() })
            : null,
    })),
  })
  const { lead, sign, busy, refusal } = useLeadSigns('instrument-registered', onClose)
  const everyDays = days ?? CHECKED_EVERY[kind]
  const most = kind === 'ph' ? TOLERANCE.ph : TOLERANCE.temperature
  const tolerance = strict ? most / 2 : most
  if (asked && lead) {
    const code = asked.code.trim()
    const facts = {
      code,
      kind,
      place: asked.place.trim() || null,
      tolerance,
      checks: { everyDays, overdue },
    }
    return (
      <Sheet open onClose={onClose} title={say('leadSigns', { code })}>
        <PinPad of={lead} busy={busy} sentence={refusal} onPin={(pin) => void sign(pin, uuid(), facts)} />
      </Sheet>
    )
  }
  return (
    <Sheet open onClose={onClose} title={say('addInstrument')}>
      <form className={styles.form} onSubmit={(event) => void handleSubmit((written) => setAsked(written))(event)}>
        <FormField control={control} name="code" label={say('codeOnIt')} max={12} placeholder="P3" first />
        <ChoiceKeys
          name={say('kind')}
          options={INSTRUMENT_KINDS}
          chosen={kind}
          words={(each) => say(`kind_${each}`)}
          onChoose={setKind}
        />
        <FormField control={control} name="place" label={say('place')} max={60} placeholder={say('placeExample')} />
        <Terms
          kind={kind}
          tolerance={tolerance}
          onTolerance={(each) => setStrict(each < most)}
          days={everyDays}
          onDays={setDays}
          overdue={overdue}
          onOverdue={setOverdue}
        />
        <p className="muted">{say('provesAfterCheck')}</p>
        <Key look="primary" type="submit">
          {say('register')}
        </Key>
      </form>
    </Sheet>
  )
}
