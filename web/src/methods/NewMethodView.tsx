import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { FAMILY_KEYS, families, limitsAt, newMethod, type Method } from '@logged-thermal/core'
import { methodsMessages } from '@logged-thermal/wording'
import { useEnter, useGoOn } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { shutUnless } from '../app/shut'
import { begin, ended, WAYS } from '../app/begun'
import { useAppDispatch, useAppSelector } from '../app/store'
import { View } from '../app/View'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { SelectField } from '../kit/SelectField'
import { speaks } from '../kit/language'
import { PasteRecipe } from './pasted/PasteRecipe'
import styles from './methods.module.css'

const say = speaks(methodsMessages)

/** A method that is not there yet: written from its name and family, copied from another, or pasted as text. */
export function NewMethodView() {
  const line = useLine()
  const now = useNow(60_000)
  const enter = useEnter()
  const goOn = useGoOn()
  const { person, open, reader } = useHand(line)
  const dispatch = useAppDispatch()
  const { way } = useAppSelector((state) => state.begun)
  if (!line) return null
  const mayWrite = open && (person?.role === 'chef' || person?.role === 'lead')
  const measures = limitsAt(line.limits?.versions ?? [], now)?.practice.measures ?? 'metric'
  const save = (method: Method) => {
    enter('method-saved', method.id, { method })
    dispatch(ended())
    goOn(`/methods/${method.id}`)
  }
  const shut = shutUnless(open, mayWrite, 'chef')
  return (
    <View
      place="newMethod"
      sentence={
        <>
          <strong>{say('newMethodTitle')}</strong> {shut || say('nothingKeptYet')}
        </>
      }
    >
      <div className={styles.newMethod}>
        <ChoiceKeys
          name={say('howToBegin')}
          options={WAYS}
          chosen={way}
          words={(each) => say(`way_${each}`)}
          onChoose={(chosen) => dispatch(begin({ way: chosen }))}
        />
        {way === 'write' && <Written shut={shut} onDraft={save} />}
        {way === 'copy' && (
          <Copied methods={line.methods.map(({ versions }) => versions.at(-1)!)} shut={shut} onDraft={save} />
        )}
        {way === 'paste' && !shut && <PasteRecipe measures={measures} reader={reader} onDraft={save} />}
      </div>
    </View>
  )
}

type Props = { shut: string | null; onDraft: (method: Method) => void }

function Written({ shut, onDraft }: Props) {
  const dispatch = useAppDispatch()
  const { name, family } = useAppSelector((state) => state.begun)
  return (
    <div className={styles.begun}>
      <Field label={say('name')} value={name} max={80} first onValue={(typed) => dispatch(begin({ name: typed }))} />
      <SelectField
        label={say('family')}
        options={FAMILY_KEYS.map((key) => ({ value: key, words: families[key].name }))}
        chosen={family}
        onChoose={(chosen) => dispatch(begin({ family: chosen }))}
      />
      <p className="muted">{say('watchFor', { hazard: families[family].hazard })}</p>
      <Key
        look="primary"
        why={shut || (name.trim() === '' && say('nameFirst'))}
        onClick={() => onDraft(newMethod({ id: uuid(), vesselId: uuid(), name: name.trim(), family }))}
      >
        {say('makeDraft')}
      </Key>
    </div>
  )
}

function Copied({ methods, shut, onDraft }: Props & { methods: readonly Method[] }) {
  const [name, setName] = useState('')
  const [of, setOf] = useState(methods[0]?.id ?? '')
  const method = methods.find(({ id }) => id === of)
  const copy = () => method && onDraft({ ...method, id: uuid(), version: 1, name: name.trim() })
  return (
    <div className={styles.begun}>
      <SelectField
        label={say('copyOf')}
        options={methods.map(({ id, name: words }) => ({ value: id, words }))}
        chosen={of}
        onChoose={setOf}
      />
      <Field label={say('nameOfCopy')} value={name} max={80} onValue={setName} />
      <Key look="primary" why={shut || ((name.trim() === '' || !method) && say('nameFirst'))} onClick={copy}>
        {say('makeDraft')}
      </Key>
    </div>
  )
}
