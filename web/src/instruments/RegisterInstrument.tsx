import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { v7 as uuid } from 'uuid'
import { type InstrumentKind } from '@logged-thermal/core'
import { instrumentsMessages } from '@logged-thermal/wording'
import { shutUnless } from '../app/shut'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { FormField, judgedBy } from '../kit/FormField'
import { Key } from '../kit/Key'
import { PinPad } from '../kit/PinPad'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { useLeadSigns } from '../login/useLeadSigns'
import styles from './instruments.module.css'

const say = speaks(instrumentsMessages)

const NOTHING = { code: '' }
const KINDS: readonly InstrumentKind[] = ['probe', 'infrared', 'display']

/** One more instrument: the code on it, what kind it is, and the lead's PIN. */
export function RegisterInstrument({ known, open }: { known: readonly string[]; open: boolean }) {
  const [kind, setKind] = useState<InstrumentKind>('probe')
  const [asked, setAsked] = useState<string | null>(null)
  const { control, handleSubmit, reset } = useForm({
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
  const { lead, sign, busy, refusal } = useLeadSigns('instrument-registered', () => {
    setAsked(null)
    reset()
  })
  const ask = handleSubmit(({ code }) => setAsked(code.trim()))
  return (
    <section aria-label={say('registerOne')}>
      <h2>{say('registerOne')}</h2>
      <form className={styles.form} onSubmit={(event) => void ask(event)}>
        <FormField control={control} name="code" label={say('codeOnIt')} max={12} placeholder="P3" />
        <ChoiceKeys
          name={say('kind')}
          options={KINDS}
          chosen={kind}
          words={(each) => say(`kind_${each}`)}
          onChoose={setKind}
        />
        <Key look="primary" type="submit" why={shutUnless(open)}>
          {say('register')}
        </Key>
      </form>
      {asked !== null && lead && (
        <Sheet open onClose={() => setAsked(null)} title={say('leadSigns', { code: asked })}>
          <PinPad
            of={lead}
            busy={busy}
            sentence={refusal}
            onPin={(pin) => void sign(pin, uuid(), { code: asked, kind })}
          />
        </Sheet>
      )}
    </section>
  )
}
