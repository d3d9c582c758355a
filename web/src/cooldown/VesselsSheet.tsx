import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { v7 as uuid } from 'uuid'
import {
  HOLDING_KINDS,
  WALLS,
  type Inside,
  type RegisteredVessel,
  type HoldingKind,
  type ToolState,
  type UnitState,
  type VesselState,
  type Wall,
} from '@logged-thermal/core'
import { holdingWord, cooldownMessages } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { FormField, judgedBy } from '../kit/FormField'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { Stepper } from '../kit/Stepper'
import { Sheet } from '../kit/Sheet'
import styles from './cooldown.module.css'
import { ToolRegister } from './ToolRegister'
import { useEnteredHere } from '../app/useEnteredHere'
import { speaks, spoken } from '../kit/language'

const say = speaks(cooldownMessages)

interface Props {
  vessels: readonly VesselState[]
  units: readonly UnitState[]
  tools: readonly ToolState[]
  mayWrite: boolean
  onClose: () => void
}

/** The kitchen's vessels with their inside dimensions and ratings, its cold units with their power, and its tools. */
export function VesselsSheet({ vessels, units, tools, mayWrite, onClose }: Props) {
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
                  {insideWords(inside)}, {say(`wall_${wall}`)}. {food ? '' : say('notRatedForFood')}
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
        <ToolRegister tools={tools} mayWrite={mayWrite} />
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

const NO_VESSEL = { name: '', first: '', second: '', third: '' }
const SIDES = ['first', 'second', 'third'] as const

function VesselForm() {
  const enter = useEnter()
  const [round, setRound] = useState(true)
  const [wall, setWall] = useState<Wall>('steel')
  const [food, setFood] = useState(true)
  const [hotFill, setHotFill] = useState(true)
  const labels = round ? [say('acrossCm'), say('highCm')] : [say('longCm'), say('wideCm'), say('highCm')]
  const sides = SIDES.slice(0, labels.length)
  const { control, handleSubmit, reset } = useForm({
    defaultValues: NO_VESSEL,
    resolver: judgedBy<typeof NO_VESSEL>((written) => ({
      name: written.name.trim() === '' ? say('giveNameStandsOn') : null,
      ...Object.fromEntries(
        sides.map((side, i) => [
          side,
          metresOf(written[side]) === null ? say('lengthInside', { side: labels[i] }) : null,
        ]),
      ),
    })),
  })
  const register = handleSubmit(({ name, ...written }) => {
    const [a, b, c] = sides.map((side) => metresOf(written[side])!)
    const inside: Inside = round
      ? { kind: 'round', diameter: a!, height: b! }
      : { kind: 'rectangular', length: a!, width: b!, height: c! }
    const vessel: RegisteredVessel = { name: name.trim(), inside, wall, food, hotFill }
    enter('vessel-registered', uuid(), vessel)
    reset()
  })
  return (
    <form className={styles.registerForm} onSubmit={(event) => void register(event)}>
      <FormField control={control} name="name" label={say('newVessel')} />
      <KeyRow label={say('shape')}>
        <Key look={round ? 'primary' : 'outlined'} aria-pressed={round} onClick={() => setRound(true)}>
          {say('round')}
        </Key>
        <Key look={round ? 'outlined' : 'primary'} aria-pressed={!round} onClick={() => setRound(false)}>
          {say('rectangular')}
        </Key>
      </KeyRow>
      <div className={styles.registerSizes}>
        {sides.map((side, i) => (
          <FormField key={side} control={control} name={side} label={labels[i]} mode="decimal" />
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
      <Key look="primary" type="submit">
        {say('registerVessel')}
      </Key>
    </form>
  )
}

const NO_UNIT = { name: '', litres: '', watts: '' }

function UnitForm() {
  const enter = useEnter()
  const [kind, setKind] = useState<HoldingKind>('refrigerator')
  const [shelves, setShelves] = useState(3)
  const { control, handleSubmit, reset } = useForm({
    defaultValues: NO_UNIT,
    resolver: judgedBy<typeof NO_UNIT>(({ name, litres, watts }) => ({
      name: name.trim() === '' ? say('giveNameStandsOnIts') : null,
      litres: isBetween(litres, 1, 100_000) ? null : say('whatHoldsLitresFrom'),
      watts: isBetween(watts, 20, 100_000) ? null : say('powerWattsAsStated'),
    })),
  })
  const register = handleSubmit(({ name, litres, watts }) => {
    const numberOf = (text: string) => (text.trim() === '' ? null : Number(text))
    enter('unit-registered', uuid(), {
      name: name.trim(),
      kind,
      watts: numberOf(watts),
      shelves,
      litres: numberOf(litres),
    })
    reset({ ...NO_UNIT, litres })
  })
  return (
    <form className={styles.registerForm} onSubmit={(event) => void register(event)}>
      <FormField control={control} name="name" label={say('newUnit')} />
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
        <FormField control={control} name="litres" label={say('holdsLitres')} mode="numeric" />
      </div>
      <FormField control={control} name="watts" label={say('powerW')} mode="numeric" />
      <Key look="primary" type="submit">
        {say('registerUnit')}
      </Key>
    </form>
  )
}

/** Nothing is written, or a number in these bounds. */
function isBetween(text: string, least: number, most: number): boolean {
  return text.trim() === '' || (Number(text) >= least && Number(text) <= most)
}
