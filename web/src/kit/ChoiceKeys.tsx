import { Key } from './Key'
import styles from './choiceKeys.module.css'

interface Props<T extends string> {
  name: string
  options: readonly T[]
  /** null: nothing yet. */
  chosen: T | null
  words: (option: T) => string
  onChoose: (option: T) => void
}

/** One of a few, a key each. */
export function ChoiceKeys<T extends string>({ name, options, chosen, words, onChoose }: Props<T>) {
  return (
    <div className={styles.keys} role="group" aria-label={name}>
      {options.map((option) => (
        <Key
          key={option}
          look={option === chosen ? 'primary' : 'outlined'}
          aria-pressed={option === chosen}
          onClick={() => onChoose(option)}
        >
          {words(option)}
        </Key>
      ))}
    </div>
  )
}
