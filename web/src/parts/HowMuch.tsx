import {
  amountAhead,
  catalogue,
  readAmount,
  type AmountInGrams,
  type Ingredient,
  type MeasureSystem,
} from '@logged-thermal/core'
import { amountMessages, assumedWords, grams, readingWords, unreadSentence, type Reader } from '@logged-thermal/wording'
import { Field } from '../kit/Field'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { speaks } from '../kit/language'
import styles from './howMuch.module.css'

const say = speaks(amountMessages)

/** An amount as it is typed, and which of two readings was tapped; null: none yet. */
export interface TypedAmount {
  text: string
  which: number | null
}

interface Props {
  typed: TypedAmount
  /** null: something that is no ingredient, and is weighed. */
  ingredient: Ingredient | null
  system: MeasureSystem
  reader: Reader
  onType: (typed: TypedAmount) => void
}

/** How much, in whatever measure it is written; beneath it what that comes to, what was assumed, and which of two it is. */
export function HowMuch({ typed, ingredient, system, reader, onType }: Props) {
  const { text, which } = typed
  const written = text.trim() !== ''
  const reading = written ? readAmount(text, ingredient ?? WEIGHED, system) : null
  const taken = takenFrom(typed, ingredient, system)
  const assumed = taken ? assumedWords(taken.assumed, reader) : ''
  const quantity = amountAhead(text, system)?.quantity.from ?? 1
  return (
    <div className={styles.howMuch}>
      <Field
        label={say('howMuch')}
        value={text}
        max={60}
        placeholder={ingredient?.egg ? say('asEggs') : say('asCups')}
        error={reading?.kind === 'unread' ? unreadSentence(reading.why, reader) : null}
        hint={taken && say('comesTo', { grams: grams(taken.grams), assumed, hasAssumed: assumed !== '' })}
        onValue={(next) => onType({ text: next, which: null })}
      />
      {reading?.kind === 'either' && (
        <ChoiceKeys
          name={say('whichIsIt')}
          options={reading.readings.map((_, i) => String(i))}
          chosen={String(which)}
          words={(i) => readingWords(reading.readings[Number(i)]!, quantity, reader)}
          onChoose={(i) => onType({ text, which: Number(i) })}
        />
      )}
    </div>
  )
}

/** What a typed amount comes to; null while it is not read, or which of two it is was not tapped. */
export function takenFrom(
  { text, which }: TypedAmount,
  ingredient: Ingredient | null,
  system: MeasureSystem,
): AmountInGrams | null {
  const reading = readAmount(text, ingredient ?? WEIGHED, system)
  if (reading.kind === 'read') return reading
  return reading.kind === 'either' && which !== null ? (reading.readings[which] ?? null) : null
}

/** What is made by another method is weighed: how heavy a cup of it is nobody knows. */
const WEIGHED: Ingredient = { ...catalogue.water!, key: '', name: '', synonyms: [], density: null }
