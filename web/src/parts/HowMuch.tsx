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

/** What it is an amount of: an ingredient, something made here, which is weighed, or nothing yet. */
export type Measured = Ingredient | 'weighed' | null

interface Props {
  typed: TypedAmount
  of: Measured
  system: MeasureSystem
  reader: Reader
  onType: (typed: TypedAmount) => void
}

/** How much, in whatever measure it is written; beneath it what that comes to, what was assumed, and which of two it is. */
export function HowMuch({ typed, of, system, reader, onType }: Props) {
  const { text, which } = typed
  const written = text.trim() !== ''
  const reading = written && of !== null ? readAmount(text, foodOf(of), system) : null
  const taken = takenFrom(typed, of, system)
  const assumed = taken ? assumedWords(taken.assumed, reader) : ''
  const quantity = amountAhead(text, system)?.quantity.from ?? 1
  return (
    <div className={styles.howMuch}>
      <Field
        label={say('howMuch')}
        value={text}
        max={60}
        placeholder={of !== null && foodOf(of).egg ? say('asEggs') : say('asCups')}
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
export function takenFrom({ text, which }: TypedAmount, of: Measured, system: MeasureSystem): AmountInGrams | null {
  if (of === null) return null
  const reading = readAmount(text, foodOf(of), system)
  if (reading.kind === 'read') return reading
  return reading.kind === 'either' && which !== null ? (reading.readings[which] ?? null) : null
}

function foodOf(of: Ingredient | 'weighed'): Ingredient {
  return of === 'weighed' ? WEIGHED : of
}

/** How heavy a cup of what another method makes is nobody knows. */
const WEIGHED: Ingredient = { ...catalogue.water!, key: '', name: '', synonyms: [], density: null }
