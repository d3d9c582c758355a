import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import {
  eggGrams,
  findIngredients,
  gelatineFor,
  ingredientOf,
  LEAVES,
  leavesFor,
  type Amount,
  type Ingredient,
  type LeafGrade,
  type Method,
} from '@logged-thermal/core'
import { stepName, methodFormsMessages } from '@logged-thermal/wording'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import type { Edit } from './editing'
import { SelectField } from '../kit/SelectField'
import { SearchField } from '../kit/SearchField'
import { FieldRow } from '../kit/FieldRow'
import { KeyRow } from '../kit/KeyRow'
import styles from './methods.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(methodFormsMessages)

type Choice = { kind: 'ingredient'; ingredient: Ingredient } | { kind: 'method'; id: string; name: string }

/** One amount: what, found by any of its names, grams or pieces, at which step, and in what state. */
export function AmountForm({
  method,
  others,
  amountKey,
  onEdit,
  onClose,
}: {
  method: Method
  /** Methods that can go in as components. */
  others: Method[]
  amountKey: string | null
  onEdit: (edit: Edit) => void
  onClose: () => void
}) {
  const known = method.amounts.find(({ key }) => key === amountKey) ?? null
  const part = method.components.find(({ key }) => key === amountKey) ?? null
  const [choice, setChoice] = useState<Choice | null>(() => {
    const ingredient = known && ingredientOf(known, method)
    if (ingredient) return { kind: 'ingredient', ingredient }
    return part ? { kind: 'method', id: part.method, name: part.name } : null
  })
  const [mass, setMass] = useState(String(known?.grams ?? part?.grams ?? ''))
  const [count, setCount] = useState(known?.count == null ? '' : String(known.count))
  const [step, setStep] = useState(known?.step ?? part?.step ?? method.steps[0]?.key ?? '')
  const [state, setState] = useState<Amount['state']>(known?.state ?? 'as it is')
  const ingredient = choice?.kind === 'ingredient' ? choice.ingredient : null
  const number = (text: string) => (text.trim() === '' ? null : Number(text.replace(',', '.')))
  const grams = number(mass)
  const wrong = (grams !== null && !(grams > 0)) || (count !== '' && !(number(count)! > 0))
  const choices: Choice[] = [
    ...findIngredients('').map((each): Choice => ({ kind: 'ingredient', ingredient: each })),
    ...others.map(({ id, name }): Choice => ({ kind: 'method', id, name })),
  ]
  const done = () => {
    const key = amountKey ?? uuid()
    if (choice?.kind === 'method')
      onEdit({ kind: 'put component', component: { key, method: choice.id, name: choice.name, grams, step } })
    if (ingredient)
      onEdit({
        kind: 'put amount',
        amount: { key, ingredient: ingredient.key, grams, count: number(count), step, state },
      })
    onClose()
  }
  return (
    <section className={styles.methodForm} aria-label={say('whatGoes')}>
      <SearchField
        label={say('whatByAnyIts')}
        placeholder={say('cornstarchHeavyCreamYolk')}
        options={choices}
        value={choice}
        getOptionLabel={(option) => (option.kind === 'ingredient' ? option.ingredient.name : option.name)}
        getOptionKey={(option) => (option.kind === 'ingredient' ? option.ingredient.key : option.id)}
        isOptionEqualToValue={(a, b) => JSON.stringify(a) === JSON.stringify(b)}
        filterOptions={(options, { inputValue }) => {
          const wanted = inputValue.trim().toLowerCase()
          const found = new Set(findIngredients(inputValue).map(({ key }) => key))
          return options.filter((option) =>
            option.kind === 'ingredient'
              ? found.has(option.ingredient.key)
              : option.name.toLowerCase().includes(wanted),
          )
        }}
        onChange={(_, next) => setChoice(next)}
      />
      <FieldRow>
        <Field label={say('grams')} value={mass} mode="decimal" onValue={setMass} />
        {ingredient?.egg && (
          <Field
            label={say('pieces')}
            value={count}
            mode="numeric"
            onValue={(typed) => {
              setCount(typed)
              const pieces = number(typed)
              if (pieces && pieces > 0) setMass(String(Math.round(pieces * eggGrams(ingredient.egg!) * 10) / 10))
            }}
          />
        )}
        <SelectField
          label={say('atStep')}
          options={method.steps.map(({ key, kind }, i) => ({
            value: key,
            words: `${i + 1} ${stepName(kind, spoken)}`,
          }))}
          chosen={step}
          onChoose={setStep}
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
      {wrong && <p role="alert">{say('quantityNumberAbove0')}</p>}
      <KeyRow>
        <Key look="primary" why={(!choice || wrong || step === '') && say('whatHowMuchStep')} onClick={done}>
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
        <Key look="outlined" onClick={onClose}>
          {say('notNow')}
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
