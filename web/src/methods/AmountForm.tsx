import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import {
  catalogue,
  findIngredients,
  gelatineFor,
  usualStep,
  ingredientOf,
  LEAVES,
  leavesFor,
  type Amount,
  type Ingredient,
  type MeasureSystem,
  type LeafGrade,
  type Method,
} from '@logged-thermal/core'
import { stepName, methodFormsMessages, type Reader } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import type { Edit } from './editing'
import { OwnIngredient } from '../ours/OwnIngredient'
import { SelectField } from '../kit/SelectField'
import { SearchField } from '../kit/SearchField'
import { FieldRow } from '../kit/FieldRow'
import { KeyRow } from '../kit/KeyRow'
import styles from './methods.module.css'
import { OFFERED } from '../parts/IngredientField'
import { useOurs } from '../ours/useOurs'
import { HowMuch, takenFrom, type TypedAmount } from '../parts/HowMuch'
import { speaks, spoken } from '../kit/language'

const say = speaks(methodFormsMessages)

/** Written in grams, it needs no keeping of how it was written. */
const PLAIN_GRAMS = /^\s*(\d+([.,]\d+)?\s*g?)?\s*$/

type Choice = { kind: 'ingredient'; ingredient: Ingredient } | { kind: 'method'; id: string; name: string }

/** One amount: what, found by any of its names, how much in any measure, at which step, and in what state. */
export function AmountForm({
  method,
  others,
  amountKey,
  measures,
  reader,
  onEdit,
  onNext,
  onClose,
}: {
  method: Method
  /** Methods that can go in as components. */
  others: Method[]
  amountKey: string | null
  /** Whose cups and spoons are meant here. */
  measures: MeasureSystem
  reader: Reader
  onEdit: (edit: Edit) => void
  /** One is in: the next is asked for. */
  onNext: () => void
  onClose: () => void
}) {
  const known = method.amounts.find(({ key }) => key === amountKey) ?? null
  const part = method.components.find(({ key }) => key === amountKey) ?? null
  const [choice, setChoice] = useState<Choice | null>(() => {
    const ingredient = known && ingredientOf(known, method)
    if (ingredient) return { kind: 'ingredient', ingredient }
    return part ? { kind: 'method', id: part.method, name: part.name } : null
  })
  const [typed, setTyped] = useState<TypedAmount>(() => ({ text: asWritten(known ?? part), which: null }))
  const [picked, setPicked] = useState(known?.step ?? part?.step ?? null)
  const [making, setMaking] = useState(false)
  const ours = useOurs()
  const [wanted, setWanted] = useState('')
  const [state, setState] = useState<Amount['state']>(known?.state ?? 'as it is')
  const ingredient = choice?.kind === 'ingredient' ? choice.ingredient : null
  const of = choice?.kind === 'method' ? 'weighed' : ingredient
  // Where it usually goes in, until somebody says otherwise.
  const step = picked ?? usualStep(method, ingredient) ?? ''
  // What stands there as it was saved means what it meant then.
  const kept = known !== null && typed.text === asWritten(known) && known.ingredient === ingredient?.key
  const taken = kept ? known : takenFrom(typed, of, measures)
  const grams = taken?.grams ?? null
  const open = typed.text.trim() !== '' && taken === null
  // What this method has of its own, and what the kitchen has.
  const own = [...method.own.filter(({ key }) => !ours.some((each) => each.key === key)), ...ours]
  const choices: Choice[] = [
    ...findIngredients('', own).map((each): Choice => ({ kind: 'ingredient', ingredient: each })),
    ...others.map(({ id, name }): Choice => ({ kind: 'method', id, name })),
  ]
  const done = () => {
    const key = amountKey ?? uuid()
    if (choice?.kind === 'method')
      onEdit({ kind: 'put component', component: { key, method: choice.id, name: choice.name, grams, step } })
    if (ingredient && !(ingredient.key in catalogue)) onEdit({ kind: 'put own', ingredient })
    if (ingredient)
      onEdit({
        kind: 'put amount',
        amount: {
          key,
          ingredient: ingredient.key,
          grams,
          count: ingredient.egg ? (taken?.count ?? null) : null,
          step,
          state,
          ...(PLAIN_GRAMS.test(typed.text) ? {} : { said: typed.text.trim() }),
        },
      })
    if (amountKey) onClose()
    else onNext()
  }
  if (making)
    return (
      <OwnIngredient
        called={wanted}
        onDone={(own) => {
          setChoice({ kind: 'ingredient', ingredient: own })
          setMaking(false)
        }}
        onClose={() => setMaking(false)}
      />
    )
  return (
    <section className={styles.methodForm} aria-label={say('whatGoes')}>
      <SearchField
        label={say('whatByAnyIts')}
        first={!amountKey}
        placeholder={say('cornstarchHeavyCreamYolk')}
        options={choices}
        value={choice}
        getOptionLabel={(option) => (option.kind === 'ingredient' ? option.ingredient.name : option.name)}
        getOptionKey={(option) => (option.kind === 'ingredient' ? option.ingredient.key : option.id)}
        isOptionEqualToValue={(a, b) => JSON.stringify(a) === JSON.stringify(b)}
        filterOptions={(options, { inputValue }) => {
          // The nearest name first; a method of the house before what it is called like.
          const wanted = inputValue.trim().toLowerCase()
          const found = new Map(findIngredients(inputValue, own).map(({ key }, i) => [key, i + 1]))
          const rank = (option: Choice) => {
            if (option.kind === 'method') return option.name.toLowerCase().includes(wanted) ? 1.5 : undefined
            return found.get(option.ingredient.key)
          }
          return options
            .filter((option) => rank(option) !== undefined)
            .sort((a, b) => rank(a)! - rank(b)!)
            .slice(0, OFFERED)
        }}
        onInputChange={(_, text, why) => why === 'input' && setWanted(text)}
        onChange={(_, next) => {
          setChoice(next)
          setState(next?.kind === 'ingredient' && next.ingredient.comesFrozen ? 'frozen' : 'as it is')
        }}
      />
      <FieldRow>
        <HowMuch typed={typed} of={of} system={measures} reader={reader} onType={setTyped} />
        <SelectField
          label={say('atStep')}
          options={method.steps.map(({ key, kind }, i) => ({
            value: key,
            words: `${i + 1} ${stepName(kind, spoken)}`,
          }))}
          chosen={step}
          onChoose={setPicked}
        />
        {ingredient && (
          <SelectField
            label={say('state')}
            options={(['as it is', 'pasteurized lot', 'frozen', 'treated'] as const).map((each) => ({
              value: each,
              words: say(`state_${each}`),
            }))}
            chosen={state}
            onChoose={setState}
          />
        )}
      </FieldRow>
      {ingredient && ingredient.bloom > 0 && grams !== null && grams > 0 && (
        <Gelatine grams={grams} bloom={ingredient.bloom} />
      )}
      {!amountKey && method.amounts.length > 0 && <p className="muted">{say('inItNow', { names: namesIn(method) })}</p>}
      <KeyRow>
        <Key look="primary" why={(!choice || open || step === '') && say('whatHowMuchStep')} onClick={done}>
          {amountKey ? say('changeIt') : say('putItIn')}
        </Key>
        {amountKey && (
          <Key
            look="outlined"
            onClick={() => {
              onEdit({ kind: 'remove amount', key: amountKey })
              onClose()
            }}
          >
            {say('takeOut')}
          </Key>
        )}
        {!amountKey && (
          <Key look="outlined" onClick={() => setMaking(true)}>
            {say('notOnTheList')}
          </Key>
        )}
        <Key look="outlined" onClick={onClose}>
          {say(amountKey ? 'notNow' : 'thatIsAll')}
        </Key>
      </KeyRow>
    </section>
  )
}

/** The same set with other gelatines: leaves of each grade, and powder. */
function Gelatine({ grams, bloom }: { grams: number; bloom: number }) {
  const leaves = (Object.keys(LEAVES) as LeafGrade[]).map((grade) => `${leavesFor(grams, bloom, grade)} ${grade}`)
  return (
    <p className="muted">
      {say('setsAsLeavesOr', {
        leaves: leaves.join(', '),
        gelatineFor: Math.round(gelatineFor(grams, bloom, 225) * 10) / 10,
      })}
    </p>
  )
}

/** An amount as it stands in the field: as somebody wrote it, else counted, else in grams. */
function asWritten(amount: { grams: number | null; count?: number | null; said?: string } | null): string {
  if (!amount) return ''
  if (amount.said !== undefined) return amount.said
  return amount.count ? String(amount.count) : amount.grams === null ? '' : `${amount.grams} g`
}

function namesIn(method: Method): string {
  return method.amounts.map((amount) => ingredientOf(amount, method)?.name ?? amount.ingredient).join(', ')
}
