import { useState } from 'react'
import { useForm } from 'react-hook-form'
import {
  MEASURE_SYSTEMS,
  ruleSets,
  type ClockHours,
  type MeasureSystem,
  type TemperatureScale,
} from '@logged-thermal/core'
import { setUpMessages } from '@logged-thermal/wording'
import { fieldOf, sentenceOf, useSetUpMutation } from '../app/api'
import { useAppDispatch, useAppSelector } from '../app/store'
import { tablet } from '../app/tablet'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { FormField, judgedBy } from '../kit/FormField'
import { Key } from '../kit/Key'
import { SelectField } from '../kit/SelectField'
import { speaks } from '../kit/language'
import { NewPin } from '../people/NewPin'
import { Cautions } from './Cautions'
import styles from './setUp.module.css'

const say = speaks(setUpMessages)

const NOTHING = { code: '', name: '', address: '', lead: '' }
const FIELDS = ['code', 'name', 'address', 'lead'] as const
const HERE = Intl.DateTimeFormat().resolvedOptions().timeZone
/** The browser's own may go by another name than those of the list. */
const ZONES = [...new Set([HERE, 'UTC', ...Intl.supportedValuesOf('timeZone')])]
  .sort()
  .map((zone) => ({ value: zone, words: zone.replaceAll('_', ' ') }))
const SETS = Object.values(ruleSets).map(({ key, name }) => ({ value: key, words: name }))

/** A new installation: the kitchen, the rules it begins with, and its food-safety lead. */
export function SetUp() {
  const [zone, setZone] = useState(HERE)
  const [rules, setRules] = useState('')
  const [unit, setUnit] = useState<TemperatureScale | null>(null)
  const [clock, setClock] = useState<ClockHours | null>(null)
  const [measures, setMeasures] = useState<MeasureSystem | null>(null)
  const [offered, setOffered] = useState(false)
  const [written, setWritten] = useState<typeof NOTHING | null>(null)
  const [missing, setMissing] = useState(false)
  const [found, { isLoading, error }] = useSetUpMutation()
  const device = useAppSelector(({ tablet: { device: id } }) => id)
  const dispatch = useAppDispatch()
  const { control, handleSubmit, setError } = useForm({
    defaultValues: NOTHING,
    resolver: judgedBy<typeof NOTHING>(({ code, name, lead }) => ({
      code: code.replace(/[^a-z0-9]/gi, '').length === 8 ? null : say('codeHasEight'),
      name: name.trim() === '' ? say('nameTheKitchen') : null,
      lead: lead.trim() === '' ? say('whoIsLead') : null,
    })),
  })
  const set = ruleSets[rules]
  const shown = unit ?? set?.unit ?? 'C'
  // Where °F is printed, the clock has twelve hours, unless somebody says otherwise.
  const hours = clock ?? (set?.unit === 'F' ? 12 : 24)
  const measuredBy = measures ?? set?.measures ?? 'metric'
  const ask = handleSubmit((form) => {
    setMissing(!set)
    if (set) setWritten(form)
  })
  const signedUp = async (pin: string) => {
    if (!written) return
    const takesOffers = offered && set !== undefined && set.offers.length > 0
    const { address, ...named } = written
    const said = address.trim() ? { ...named, address: address.trim() } : named
    const result = await found({
      ...said,
      zone,
      unit: shown,
      ruleSet: rules,
      hours,
      measures: measuredBy,
      takesOffers,
      pin,
      device,
    })
    if (!result.error) {
      dispatch(tablet.actions.loggingAs(result.data.shift?.person ?? null))
      // Another kitchen beside the one that was open here: anew from the ground.
      if (location.pathname !== '/') location.assign('/')
      return
    }
    const field = FIELDS.find((each) => each === fieldOf(result.error))
    if (!field) return
    setWritten(null)
    setError(field, { message: sentenceOf(result.error) })
  }
  return (
    <main className={styles.setUp}>
      <h1 className="title">
        {written ? say('nowThePin') : say('kitchenIsNew')}{' '}
        <span className="muted">{written ? written.name : say('fewAnswers')}</span>
      </h1>
      {written ? (
        <section className={styles.pin}>
          <NewPin
            name={written.lead}
            own
            isLead
            busy={isLoading}
            sentence={error ? sentenceOf(error) : null}
            onPin={(pin) => void signedUp(pin)}
          />
          <Key look="outlined" onClick={() => setWritten(null)}>
            {say('back')}
          </Key>
        </section>
      ) : (
        <form className={styles.form} onSubmit={(event) => void ask(event)}>
          <section>
            <FormField control={control} name="code" label={say('setUpCode')} max={12} hint={say('codeIsOn')} first />
            <FormField control={control} name="name" label={say('kitchenName')} max={60} />
            <FormField control={control} name="address" label={say('address')} max={120} hint={say('addressIs')} />
            <FormField control={control} name="lead" label={say('leadName')} max={60} hint={say('leadIsWho')} />
            <SelectField label={say('zone')} options={ZONES} chosen={zone} onChoose={setZone} hint={say('zoneStays')} />
          </section>
          <section>
            <SelectField label={say('rules')} options={SETS} chosen={rules} onChoose={setRules} />
            {missing && !set && <p role="alert">{say('chooseRules')}</p>}
            {set ? (
              <Cautions set={set} scale={shown} taken={offered} onTake={setOffered} />
            ) : (
              <p className="muted">{say('rulesSecond')}</p>
            )}
            <ChoiceKeys
              name={say('degrees')}
              options={['C', 'F'] as const}
              chosen={shown}
              words={(scale) => `°${scale}`}
              onChoose={setUnit}
            />
            <ChoiceKeys
              name={say('clock')}
              options={['24', '12'] as const}
              chosen={String(hours) as '12' | '24'}
              words={(each) => say(each === '24' ? 'clock24' : 'clock12')}
              onChoose={(each) => setClock(each === '24' ? 24 : 12)}
            />
            <ChoiceKeys
              name={say('measures')}
              options={MEASURE_SYSTEMS}
              chosen={measuredBy}
              words={(each) => say(`measures_${each}`)}
              onChoose={setMeasures}
            />
            <p className="muted">{say('nothingElse')}</p>
          </section>
          <Key look="primary" type="submit">
            {say('thenPin')}
          </Key>
        </form>
      )}
    </main>
  )
}
