import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import {
  HOLDING_KINDS,
  WALLS,
  type Inside,
  type RegisteredVessel,
  type HoldingKind,
  type UnitState,
  type VesselState,
  type Wall,
} from '@logged-thermal/core'
import { holdingWord, cooldownMessages } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { Stepper } from '../kit/Stepper'
import { Sheet } from '../kit/Sheet'
import styles from './cooldown.module.css'
import { useEnteredHere } from '../app/useEnteredHere'
import { speaks, spoken } from '../kit/language'

const say = speaks(cooldownMessages)

interface Props {
  vessels: readonly VesselState[]
  units: readonly UnitState[]
  mayWrite: boolean
  onClose: () => void
}

/** The kitchen's vessels with their inside dimensions and ratings, and its cold units with their power. */
export function VesselsSheet({ vessels, units, mayWrite, onClose }: Props) {
  const entered = useEnteredHere()
  return (
    <Sheet saved={entered} open onClose={onClose} title={say('vesselsUnits')}>
      <div className={styles.register}>
        <section>
          <h3>{say('vessels')}</h3>
          <ul>
            {vessels.map(({ id, name, inside, wall, food, hotFill }) => (
              <li key={id}>
                <strong>{name}</strong>
                <small>
                  {insideWords(inside)}, {wall}. {food ? '' : say('notRatedForFood')}
                  {hotFill ? say('ratedForHotFood') : say('notRatedForHot')}
                </small>
              </li>
            ))}
          </ul>
          {mayWrite ? <VesselForm /> : <p className="muted">{say('chefOrLeadRegisters')}</p>}
        </section>
        <section>
          <h3>{say('coldUnits')}</h3>
          <ul>
            {units.map(({ id, name, kind, watts }) => (
              <li key={id}>
                <strong>{name}</strong>
                <small>
                  {holdingWord(kind, spoken)}, {watts === null ? say('powerNotKnown') : `${watts} W`}
                </small>
              </li>
            ))}
          </ul>
          {mayWrite && <UnitForm />}
        </section>
      </div>
    </Sheet>
  )
}

function insideWords(inside: Inside): string {
  const cm = (metres: number) => Math.round(metres * 1000) / 10
  return inside.kind === 'round'
    ? say('cmAcrossCmHigh', { cm: cm(inside.diameter), cm2: cm(inside.height) })
    : say('cmCmHighInside', { cm: cm(inside.length), cm2: cm(inside.width), cm3: cm(inside.height) })
}

/** A length as typed, cm; null unless it is one. */
function metresOf(text: string): number | null {
  const value = Number(text.replace(',', '.'))
  return text.trim() !== '' && value >= 1 && value <= 200 ? value / 100 : null
}

function VesselForm() {
  const enter = useEnter()
  const [name, setName] = useState('')
  const [round, setRound] = useState(true)
  const [sizes, setSizes] = useState(['', '', ''])
  const [wall, setWall] = useState<Wall>('steel')
  const [food, setFood] = useState(true)
  const [hotFill, setHotFill] = useState(true)
  const [wrong, setWrong] = useState<string | null>(null)
  const labels = round ? [say('acrossCm'), say('highCm')] : [say('longCm'), say('wideCm'), say('highCm')]
  const register = () => {
    const metres = labels.map((_, i) => metresOf(sizes[i] ?? ''))
    if (name.trim() === '') return setWrong(say('giveNameStandsOn'))
    const bad = metres.findIndex((each) => each === null)
    if (bad >= 0) return setWrong(say('lengthInside', { side: labels[bad] }))
    const [a, b, c] = metres as number[]
    const inside: Inside = round
      ? { kind: 'round', diameter: a!, height: b! }
      : { kind: 'rectangular', length: a!, width: b!, height: c! }
    const vessel: RegisteredVessel = { name: name.trim(), inside, wall, food, hotFill }
    enter('vessel-registered', uuid(), vessel)
    setName('')
    setSizes(['', '', ''])
    setWrong(null)
  }
  return (
    <form
      className={styles.registerForm}
      onSubmit={(event) => {
        event.preventDefault()
        register()
      }}
    >
      <Field label={say('newVessel')} value={name} onValue={setName} />
      <KeyRow label={say('shape')}>
        <Key look={round ? 'primary' : 'outlined'} aria-pressed={round} onClick={() => setRound(true)}>
          {say('round')}
        </Key>
        <Key look={round ? 'outlined' : 'primary'} aria-pressed={!round} onClick={() => setRound(false)}>
          {say('rectangular')}
        </Key>
      </KeyRow>
      <div className={styles.registerSizes}>
        {labels.map((said, i) => (
          <Field
            key={said}
            label={said}
            value={sizes[i] ?? ''}
            mode="decimal"
            onValue={(typed) => setSizes(sizes.map((each, at) => (at === i ? typed : each)))}
          />
        ))}
      </div>
      <ChoiceKeys
        name={say('material')}
        options={WALLS}
        chosen={wall}
        words={(each) => say(`wall_${each}`)}
        onChoose={setWall}
      />
      <KeyRow>
        <Key look={food ? 'primary' : 'outlined'} aria-pressed={food} onClick={() => setFood(!food)}>
          {say('ratedForFood')}
        </Key>
        <Key look={hotFill ? 'primary' : 'outlined'} aria-pressed={hotFill} onClick={() => setHotFill(!hotFill)}>
          {say('ratedForFillingHot')}
        </Key>
      </KeyRow>
      {wrong && <p role="alert">{wrong}</p>}
      <Key look="primary" type="submit">
        {say('registerVessel')}
      </Key>
    </form>
  )
}

function UnitForm() {
  const enter = useEnter()
  const [name, setName] = useState('')
  const [kind, setKind] = useState<HoldingKind>('refrigerator')
  const [shelves, setShelves] = useState(3)
  const [litres, setLitres] = useState('')
  const [watts, setWatts] = useState('')
  const [wrong, setWrong] = useState<string | null>(null)
  const register = () => {
    const power = watts.trim() === '' ? null : Number(watts)
    if (name.trim() === '') return setWrong(say('giveNameStandsOnIts'))
    if (power !== null && !(power >= 20 && power <= 100_000)) return setWrong(say('powerWattsAsStated'))
    const holds = litres.trim() === '' ? null : Number(litres)
    if (holds !== null && !(holds >= 1 && holds <= 100_000)) return setWrong(say('whatHoldsLitresFrom'))
    enter('unit-registered', uuid(), { name: name.trim(), kind, watts: power, shelves, litres: holds })
    setName('')
    setWatts('')
    setWrong(null)
  }
  return (
    <form
      className={styles.registerForm}
      onSubmit={(event) => {
        event.preventDefault()
        register()
      }}
    >
      <Field label={say('newUnit')} value={name} onValue={setName} />
      <ChoiceKeys
        name={say('kind')}
        options={HOLDING_KINDS}
        chosen={kind}
        words={(each) => holdingWord(each, spoken)}
        onChoose={setKind}
      />
      <div className={styles.registerSizes}>
        <Stepper
          name={say('shelves')}
          value={String(shelves)}
          onStep={(by) => setShelves(Math.min(40, Math.max(1, shelves + by)))}
        />
        <Field label={say('holdsLitres')} value={litres} mode="numeric" onValue={setLitres} />
      </div>
      <Field label={say('powerW')} value={watts} mode="numeric" onValue={setWatts} />
      {wrong && <p role="alert">{wrong}</p>}
      <Key look="primary" type="submit">
        {say('registerUnit')}
      </Key>
    </form>
  )
}
