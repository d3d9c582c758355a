import { useState } from 'react'
import { eggGrams, eggOf, itemLeft, type ItemState, type Measure } from '@logged-thermal/core'
import { leftInEggs, measureWords, partWord, itemMessages } from '@logged-thermal/wording'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { Key } from '../kit/Key'
import { NumberPad } from '../kit/NumberPad'
import styles from './store.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(itemMessages)

interface Props {
  item: ItemState
  /** All of it may be taken. */
  whole: boolean
  /** All of it is what is rarely meant. */
  seldomAll?: boolean
  onTake: (measure: Measure) => void
}

/** Some of an item: all that is left in one tap, or a number; parts of the egg by the scale or by the egg. */
export function AmountOf({ item, whole, seldomAll = false, onTake }: Props) {
  const left = itemLeft(item)
  const part = left.unit === 'g' ? eggOf(item) : null
  const [by, setBy] = useState<'weight' | 'count'>('weight')
  const [wrong, setWrong] = useState<string | null>(null)
  const take = (value: number) => {
    if (value <= 0 || value > left.value || (!whole && value === left.value))
      setWrong(say('moreThanNothingAt', { whole, leftInEggs: leftInEggs(item, left, spoken) }))
    else onTake({ value, unit: left.unit })
  }
  const of = leftInEggs(item, left, spoken)
  return (
    <div className={styles.amountOf}>
      {whole && (
        <Key look={seldomAll ? 'outlined' : 'primary'} onClick={() => onTake(left)}>
          {say('allOfIt', { amount: measureWords(left, spoken) })}
        </Key>
      )}
      {part && (
        <ChoiceKeys
          name={say('weighedOrCounted')}
          options={['weight', 'count'] as const}
          chosen={by}
          words={(each) =>
            each === 'weight' ? say('weighedG') : say('byEggGEach', { eggGrams: Math.round(eggGrams(part)) })
          }
          onChoose={setBy}
        />
      )}
      {part && by === 'count' ? (
        <NumberPad
          key="count"
          name={say('howManyEggs', { partWord: partWord(part, spoken), of })}
          unit={say('eggs')}
          take={say('logIt')}
          onTake={(count) => take(Math.round(count * eggGrams(part) * 10) / 10)}
        />
      ) : (
        <NumberPad
          key="weight"
          name={say('howMuch', { of })}
          unit={left.unit}
          decimals={left.unit === 'portion' || left.unit === 'piece' ? 0 : 1}
          take={say('logIt')}
          onTake={take}
        />
      )}
      {wrong && <p role="alert">{wrong}</p>}
    </div>
  )
}
