import { useState } from 'react'
import {
  findIngredients,
  foodIn,
  ingredientOf,
  isFrozenFruit,
  isTreatedLot,
  reopens,
  type Amount,
  type BatchState,
  type Ingredient,
} from '@logged-thermal/core'
import { grams, benchSheetsMessages } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useLine } from '../app/kitchen'
import { LotKeys } from '../eggs/LotKeys'
import { eggLots } from '../eggs/eggLots'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { NumberPad } from '../kit/NumberPad'
import { Sheet } from '../kit/Sheet'
import { useOurs } from '../ours/useOurs'
import { useMethodOf } from '../app/instructions'
import { OwnIngredient } from '../ours/OwnIngredient'
import styles from './addSheet.module.css'
import { speaks } from '../kit/language'

const say = speaks(benchSheetsMessages)

/** What often goes in after the heat, beside what the method names. */
const OFTEN = ['butter', 'spirit', 'spice', 'berry-puree', 'cream-36', 'lemon-juice', 'yolk', 'egg']

/** So many at most: more is no quicker than another letter. */
const OFFERED = 10

interface Props {
  batch: BatchState
  /** The step it goes in at. */
  step: string
  open: boolean
  onClose: () => void
}

/** Something goes in, on the heat or after it: what, how much, from which lot. Raw egg and untreated fruit reopen the floor. */
export function AddSheet({ batch, step, open, onClose }: Props) {
  const enter = useEnter()
  const line = useLine()
  const method = useMethodOf(batch)
  const ours = useOurs()
  const [wanted, setWanted] = useState('')
  const [picked, setPicked] = useState<Ingredient | null>(null)
  const [making, setMaking] = useState(false)
  const chosen = picked?.key ?? null
  const [state, setState] = useState<Amount['state']>('as it is')
  const [lot, setLot] = useState('')
  const here = method?.amounts.filter((amount) => amount.step === step) ?? []
  const foods = wanted
    ? findIngredients(wanted, [
        ...(method?.own ?? []).filter(({ key }) => !ours.some((each) => each.key === key)),
        ...ours,
      ])
    : [
        ...here.flatMap((amount) => (method && ingredientOf(amount, method)) ?? []),
        ...OFTEN.flatMap((ingredient) => foodIn({ ingredient }) ?? []),
      ]
  // What was just made of its own stays in sight.
  const all = picked && !foods.some(({ key }) => key === picked.key) ? [picked, ...foods] : foods
  const offered = [...new Map(all.map((food) => [food.key, food])).values()].slice(0, OFFERED)
  const amount = method?.amounts.find((each) => each.step === step && each.ingredient === chosen)
  const states: Amount['state'][] = picked?.egg ? ['as it is', 'pasteurized lot'] : ['as it is', 'frozen', 'treated']
  const pasteurized = eggLots(line?.lots ?? [])
    .map((each) => each.lot)
    .filter(({ form, ingredient }) => form === 'pasteurized' && ingredient === chosen)
  const treated = (line?.lots ?? []).filter((each) => chosen !== null && isTreatedLot(each, chosen))
  const close = () => {
    setPicked(null)
    setMaking(false)
    setState('as it is')
    setLot('')
    setWanted('')
    onClose()
  }
  const add = (mass: number | null) => {
    if (!picked) return
    enter('added', batch.id, {
      step,
      ingredient: picked.key,
      ...(foodIn({ ingredient: picked.key }) ? {} : { own: picked }),
      grams: mass,
      state,
      lot: lot.trim() === '' ? null : lot.trim(),
    })
    close()
  }
  return (
    <Sheet open={open} onClose={close} title={say('whatGoesNow')}>
      <div className={styles.addSheet}>
        <section aria-label={say('what')}>
          <Field
            label={say('findIngredient')}
            quietly
            value={wanted}
            mode="search"
            placeholder={say('findAnother')}
            onValue={setWanted}
          />
          <div className={styles.addWhat} role="group" aria-label={say('ingredients')}>
            {offered.map((food) => (
              <Key
                key={food.key}
                look={food.key === chosen ? 'primary' : 'plain'}
                aria-pressed={food.key === chosen}
                onClick={() => {
                  setPicked(food)
                  setState(food.comesFrozen ? 'frozen' : 'as it is')
                  setLot('')
                }}
              >
                {food.name}
              </Key>
            ))}
            <Key onClick={() => setMaking(true)}>{say('notOnTheList')}</Key>
          </div>
          {making && (
            <OwnIngredient
              called={wanted}
              onDone={(own) => {
                setPicked(own)
                setMaking(false)
              }}
              onClose={() => setMaking(false)}
            />
          )}
          {chosen && (
            <>
              <div className={styles.addWhat} role="group" aria-label={say('whatState')}>
                {states.map((each) => (
                  <Key
                    key={each}
                    look={each === state ? 'primary' : 'outlined'}
                    aria-pressed={each === state}
                    onClick={() => {
                      setState(each)
                      setLot('')
                    }}
                  >
                    {each}
                  </Key>
                ))}
              </div>
              {state === 'pasteurized lot' ? (
                <LotKeys lots={pasteurized} rule="pasteurized" chosen={lot} onChoose={setLot} />
              ) : state === 'treated' && isFrozenFruit(chosen) ? (
                <>
                  <div className={styles.addWhat} role="group" aria-label={say('whichTreatedLot')}>
                    {treated.map(({ id, code, treatment }) => (
                      <Key
                        key={id}
                        look={id === lot ? 'primary' : 'plain'}
                        aria-pressed={id === lot}
                        onClick={() => setLot(id)}
                      >
                        {code}
                        <small>{treatment}</small>
                      </Key>
                    ))}
                  </div>
                  {lot === '' && <p role="status">{say('withoutItsReceivedLot')}</p>}
                </>
              ) : (
                <Field label={say('lotAsWrittenOn')} value={lot} max={40} onValue={setLot} />
              )}
              {reopens({ ingredient: chosen, ...(picked ? { own: picked } : {}), state }) && (
                <p className={styles.addReopens} role="status">
                  {say('untreatedFrozenFruitRaw', { isFrozen: picked !== null && !picked.egg })}
                </p>
              )}
            </>
          )}
        </section>
        {chosen && (
          <section aria-label={say('howMuch')}>
            {amount?.grams != null && (
              <Key look="primary" onClick={() => add(Math.round(amount.grams! * batch.factor * 10) / 10)}>
                {say('asMethodSays', { grams: grams(amount.grams * batch.factor) })}
              </Key>
            )}
            <NumberPad
              name={say('howMuch')}
              unit="g"
              decimals={1}
              take={say('itIsIn')}
              onTake={(mass) => add(mass > 0 ? mass : null)}
            />
            <Key look="outlined" onClick={() => add(null)}>
              {say('notWeighed')}
            </Key>
          </section>
        )}
      </div>
    </Sheet>
  )
}
