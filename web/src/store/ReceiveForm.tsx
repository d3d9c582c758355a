import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { v7 as uuid } from 'uuid'
import {
  catalogue,
  dayOf,
  EGG_SIZES,
  isFrozenFruit,
  isLookedAt,
  limitsAt,
  packageOf,
  celsiusOf,
  readByOf,
  receivingOf,
  type EggSize,
  type LotReceived,
  type MeasureUnit,
  type Typed,
} from '@logged-thermal/core'
import { receivingSentence, storeInMessages } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { useOurs } from '../ours/useOurs'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { FormField, judgedBy, type Problems } from '../kit/FormField'
import { Key } from '../kit/Key'
import { LooksKeys, type Looks } from './LooksKeys'
import { numberIn } from './numberIn'
import { SelectField } from '../kit/SelectField'
import { foodMeant, NOT_LISTED, WhichFood } from './WhichFood'
import { DateField } from '../kit/DateField'
import { KeyRow } from '../kit/KeyRow'
import { clsx } from 'clsx'
import styles from './receive.module.css'
import { speaks } from '../kit/language'

const say = speaks(storeInMessages)

type How = 'shell' | 'bought' | 'heated here' | 'other'
const HOW_WORD: Record<How, string> = {
  shell: say('eggsShell'),
  bought: say('pasteurizedEgg'),
  'heated here': say('heatedHere'),
  other: say('anythingElse'),
}
const EGGS: How[] = ['shell', 'bought', 'heated here']
const HOLDS = ['egg', 'yolk', 'white']

/** What is written on a delivery, as it is typed. */
interface Written {
  code: string
  name: string
  supplier: string
  useBy: string
  certificate: string
  scheme: string
  treatment: string
  degrees: string
  amount: string
  cost: string
}
const NOTHING: Written = {
  code: '',
  name: '',
  supplier: '',
  useBy: '',
  certificate: '',
  scheme: '',
  treatment: '',
  degrees: '',
  amount: '',
  cost: '',
}

/** A lot at the door: what stands on it, how cold it is, how it looks. Core says whether it is taken, held or sent back. */
export function ReceiveForm({ only, onDone }: { only?: 'eggs'; onDone: (lot: string | null) => void }) {
  const enter = useEnter()
  const line = useLine()
  const { reader, instrument } = useHand(line)
  const now = useNow(10_000)
  const [how, setHow] = useState<How>('shell')
  const [holds, setHolds] = useState('egg')
  const [tapped, setTapped] = useState<string | null>(null)
  const [size, setSize] = useState<EggSize>('US L')
  const [looks, setLooks] = useState<Looks>(null)
  const [dateKind, setDateKind] = useState<NonNullable<LotReceived['dateKind']>>('use-by')
  const [unit, setUnit] = useState<string | null>(null)
  const ours = useOurs()
  const { control, handleSubmit, setValue, watch } = useForm({
    defaultValues: NOTHING,
    resolver: judgedBy<Written>((asWritten) => problemsOf(asWritten, how, foodMeant(asWritten.name, tapped, ours))),
  })
  const written = watch()
  const limits = limitsAt(line?.limits?.versions ?? [], now)
  if (!line || !limits) return null
  const meant = how === 'other' ? foodMeant(written.name, tapped, ours) : how === 'shell' ? 'egg' : holds
  // One of our own comes in as what it is most like.
  const own = ours.find(({ key }) => key === meant)
  const like = own && line.ingredients.find(({ key }) => key === own.key)?.like
  const ingredient = meant === NOT_LISTED ? null : (like ?? meant)
  const food = ingredient === null ? null : catalogue[ingredient]!
  const degrees = numberIn(written.degrees)
  const typed: Typed | null = degrees === null ? null : { value: degrees, unit: reader.scale }
  const looksAt = isLookedAt(ingredient)
  const lot = {
    code: written.code.trim(),
    ingredient,
    ...(own ? { own } : {}),
    name: how === 'other' ? written.name.trim() : food!.name,
    form: how === 'other' ? null : how === 'shell' ? ('shell' as const) : ('pasteurized' as const),
    size: how === 'shell' ? size : null,
    supplier: written.supplier.trim(),
    useBy: written.useBy === '' ? null : written.useBy,
    ...(dateKind === 'best-before' ? { dateKind } : {}),
    pasteurized: pasteurizedOf(how, written.certificate.trim(), line.limits?.id ?? ''),
    scheme: written.scheme.trim() || null,
    treatment: written.treatment.trim() || null,
    received: typed && {
      typed,
      instrument: instrument?.id ?? null,
      ...(instrument ? { readBy: readByOf(instrument, now, celsiusOf(typed)) } : {}),
    },
    condition: looksAt && looks ? { good: looks === 'good', why: null } : null,
  }
  const day = dayOf(now, reader.zone)
  const { verdict, reasons } = receivingOf(lot, limits, day, limits.practice.susceptible)
  const cold = line.units.filter(
    ({ kind }) => kind !== 'hot well' && (how === 'shell') === (kind === 'egg refrigerator'),
  )
  const place = unit ?? (cold[0] ?? line.units[0])?.id ?? null
  const measured: MeasureUnit = how === 'shell' ? 'piece' : 'g'

  const save = handleSubmit(() => {
    const amount = numberIn(written.amount)
    const [id, at] = [uuid(), Math.round(now)]
    const measure = { value: amount ?? 0, unit: measured }
    const cost = numberIn(written.cost)
    const held: LotReceived['held'] =
      verdict === 'refuse' || amount === null
        ? null
        : {
            item: uuid(),
            code: lot.code,
            measure,
            cost: cost === null ? null : Math.round(cost * 100),
            unit: place,
            shelf: place ? 1 : null,
            ...packageOf(lot, limits, day, at),
          }
    const why =
      verdict === 'accept'
        ? null
        : reasons
            .map((reason) => receivingSentence(reason, reader))
            .join(' ')
            .slice(0, 300)
    enter('lot-received', id, { ...lot, verdict, why, held }, { at })
    onDone(verdict === 'refuse' ? null : id)
  })

  const field = (name: keyof Written, label: string, more: { mode?: 'decimal' } = {}) => (
    <FormField control={control} name={name} label={label} mode={more.mode} max={120} />
  )
  return (
    <div className={styles.receive}>
      <ChoiceKeys
        name={say('howComes')}
        options={only === 'eggs' ? EGGS : [...EGGS, 'other']}
        chosen={how}
        words={(each) => HOW_WORD[each]}
        onChoose={setHow}
      />
      {how === 'heated here' && <p>{say('eggsHeatedKitchenCount')}</p>}
      <div className={styles.fields}>
        {how === 'other' && field('name', say('whatItIs'))}
        {field('code', say('lotAsWrittenOn'))}
        {field('supplier', say('from'))}
        <DateField
          label={dateKind === 'use-by' ? say('useBy') : say('bestBefore')}
          value={written.useBy}
          onValue={(useBy) => setValue('useBy', useBy)}
        />
        {field('degrees', say('readAtDoor', { scale: reader.scale }), { mode: 'decimal' })}
        {field('amount', how === 'shell' ? say('howManyEggs') : say('howMuchG'), { mode: 'decimal' })}
        {field('cost', say('costAllIfKnown'), { mode: 'decimal' })}
        {how === 'shell' && (
          <SelectField
            label={say('size')}
            options={(Object.keys(EGG_SIZES) as EggSize[]).map((each) => ({ value: each, words: each }))}
            chosen={size}
            onChoose={setSize}
          />
        )}
        {(how === 'bought' || how === 'heated here') && (
          <SelectField
            label={say('holds')}
            options={HOLDS.map((key) => ({ value: key, words: catalogue[key]!.name }))}
            chosen={holds}
            onChoose={setHolds}
          />
        )}
        {how === 'bought' && field('certificate', say('certificate'))}
        {how === 'shell' && field('scheme', say('assuranceScheme'))}
        {isFrozenFruit(ingredient) && field('treatment', say('treatedAgainstVirusesBy'))}
        <SelectField
          label={say('goesInto')}
          options={line.units.map(({ id, name: words }) => ({ value: id, words }))}
          chosen={place ?? ''}
          onChoose={setUnit}
        />
      </div>
      {how === 'other' && <WhichFood name={written.name} ours={ours} chosen={meant} onChoose={setTapped} />}
      <ChoiceKeys
        name={say('whichDateStandsOn')}
        options={['use-by', 'best-before'] as const}
        chosen={dateKind}
        words={(each) => DATE_WORD[each]}
        onChoose={setDateKind}
      />
      {looksAt && <LooksKeys looks={looks} onLooks={setLooks} />}
      <div className={clsx(styles.verdict, styles[verdict])} role="status">
        <strong>{VERDICT[verdict]}</strong>
        {reasons.map((reason) => (
          <p key={reason.code}>{receivingSentence(reason, reader)}</p>
        ))}
      </div>
      <KeyRow>
        <Key look="primary" onClick={() => void save()}>
          {TAKE[verdict]}
        </Key>
        <Key look="outlined" onClick={() => onDone(null)}>
          {say('notNow')}
        </Key>
      </KeyRow>
    </div>
  )
}

const DATE_WORD = { 'use-by': say('useByBinds'), 'best-before': say('bestBeforeNoted') }
const VERDICT = {
  accept: say('acceptEveryLimitAt'),
  hold: say('holdApartLeadDecides'),
  refuse: say('refuseGoesBack'),
}
const TAKE = { accept: say('acceptIt'), hold: say('holdForLead'), refuse: say('sendBack') }

function pasteurizedOf(how: How, certificate: string, limits: string): LotReceived['pasteurized'] {
  if (how === 'bought') return { by: 'maker', certificate }
  return how === 'heated here' ? { by: 'this kitchen', limits } : null
}

/** What a delivery cannot be entered without, field by field. */
function problemsOf(written: Written, how: How, meant: string | null): Problems<Written> {
  const { code, supplier, name, certificate, degrees, amount } = written
  const isMissing = (text: string) => text.trim() === ''
  return {
    code: isMissing(code) ? say('whichLotWriteDown') : null,
    supplier: isMissing(supplier) ? say('whoFrom') : null,
    name: how !== 'other' ? null : isMissing(name) ? say('whatIsIt') : meant === null ? say('tapWhich') : null,
    certificate: how === 'bought' && isMissing(certificate) ? say('pasteurizedLotNamesIts') : null,
    degrees: isMissing(degrees) || numberIn(degrees) !== null ? null : say('notTemperatureDigitsAs', { degrees }),
    amount:
      isMissing(amount) || (numberIn(amount) ?? 0) > 0
        ? null
        : say('notAmountDigitsAs', { amount, isShell: how === 'shell' }),
  }
}
