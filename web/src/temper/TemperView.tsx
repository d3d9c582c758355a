import { temperMessages } from '@logged-thermal/wording'
import { useState } from 'react'
import {
  catalogue,
  heatRows,
  limitsAt,
  mixed,
  type EggPart,
  type HoldRow,
  type TemperParts,
} from '@logged-thermal/core'
import { View } from '../app/View'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { TemperCalculator } from './TemperCalculator'
import { Field } from '../kit/Field'
import styles from './temper.module.css'
import { speaks } from '../kit/language'

const say = speaks(temperMessages)

const FIRST = { yolk: 300, egg: 0, white: 0, sugar: 250, milk: 1500, 'cream-36': 500 }
type Key = keyof typeof FIRST
const BASE: Key[] = ['yolk', 'egg', 'white', 'sugar']
const HOT: Key[] = ['milk', 'cream-36']

/** Tempering without a batch: so much of each, and what the ladles do. */
export function TemperView() {
  const line = useLine()
  const now = useNow(60_000)
  const { reader } = useHand(line)
  const [typed, setTyped] = useState<Record<Key, string>>(
    () => Object.fromEntries(Object.entries(FIRST).map(([key, mass]) => [key, String(mass)])) as Record<Key, string>,
  )
  const limits = limitsAt(line?.limits?.versions ?? [], now)
  const rows: HoldRow[] = limits ? heatRows(limits.ruleSet.key, 'egg', limits.unit) : []
  const parts = partsOf(typed)
  const field = (key: Key) => (
    <Field
      key={key}
      label={`${catalogue[key]!.name}, g`}
      value={typed[key]}
      mode="decimal"
      onValue={(value) => setTyped({ ...typed, [key]: value })}
    />
  )
  return (
    <View
      place="temper"
      sentence={
        <>
          <strong>{say('howMuchAtOnce')}</strong> {say('whatEachLadleDoes')}
        </>
      }
    >
      <div className={styles.view}>
        <div className={styles.masses}>
          {BASE.map(field)}
          {HOT.map(field)}
        </div>
        {parts ? (
          <TemperCalculator parts={parts} hotCelsius={null} rows={rows} reader={reader} />
        ) : (
          <p role="alert">{say('writeDownHowMany')}</p>
        )}
      </div>
    </View>
  )
}

function partsOf(typed: Record<Key, string>): TemperParts | null {
  const side = (keys: Key[]) => {
    const parts = keys.map((key) => ({
      key,
      grams: Number(typed[key].replace(',', '.')),
      composition: catalogue[key]!.composition,
    }))
    if (parts.some(({ grams }) => !(grams >= 0 && grams < 1e6))) return null
    const composition = mixed(parts)
    const grams = parts.reduce((sum, part) => sum + part.grams, 0)
    const eggs = parts.flatMap((part): EggPart[] => {
      const egg = catalogue[part.key]!.egg
      return egg && part.grams > 0 ? [egg] : []
    })
    return composition ? { kg: grams / 1000, composition, eggs } : null
  }
  const base = side(BASE)
  const hot = side(HOT)
  return base && hot && base.eggs.length ? { base, hot } : null
}
