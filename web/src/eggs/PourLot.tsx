import { useState } from 'react'
import {
  catalogue,
  isMoreThanLeft,
  itemLeft,
  type BatchState,
  type EggUse,
  type EggsTaken,
  type ItemState,
} from '@logged-thermal/core'
import { grams, measureWords, partWord } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { Key } from '../kit/Key'
import type { LotOfEgg } from './eggLots'
import { NumberPad } from '../kit/NumberPad'
import styles from './eggs.module.css'

interface Props {
  lot: LotOfEgg
  /** The package it comes out of; null: none is held. */
  item: ItemState | null
  step: string
  uses: readonly EggUse[]
  batch: BatchState
  mayWrite: boolean
  onTaken: () => void
}

/** From a carton: what the method takes with one tap, or what the scale says. */
export function PourLot({ lot, item, step, uses, batch, mayWrite, onTaken }: Props) {
  const enter = useEnter()
  const part = catalogue[lot.ingredient]?.egg ?? 'whole'
  const wanted = uses.filter((use) => use.part === part).reduce((sum, use) => sum + use.grams, 0)
  const [asking, setAsking] = useState<EggsTaken | null>(null)
  const log = (taken: EggsTaken) => {
    enter('eggs-taken', batch.id, taken)
    onTaken()
  }
  const take = (mass: number) => {
    const taken: EggsTaken = {
      step,
      lot: lot.id,
      form: lot.form,
      as: part,
      cracked: null,
      rejected: 0,
      grams: { [part]: mass },
      size: lot.size ?? 'US L',
      item: item?.id ?? null,
    }
    if (item && isMoreThanLeft(item, taken)) setAsking(taken)
    else log(taken)
  }
  if (item && asking) {
    return (
      <div className={styles.tally}>
        <p className={styles.tallyWanted}>
          Only {measureWords(itemLeft(item))} are written to be left in {item.code}. Is that the carton in your hand?
        </p>
        <Key look="primary" disabled={!mayWrite} onClick={() => log({ ...asking, inHand: true })}>
          Yes, log {grams(asking.grams[part] ?? 0)}
        </Key>
        <Key look="outlined" onClick={() => setAsking(null)}>
          No, another one
        </Key>
      </div>
    )
  }
  return (
    <div className={styles.tally}>
      <p className={styles.tallyWanted}>
        Lot {lot.code}, {partWord[part]}
        {item ? `, ${measureWords(itemLeft(item))} left in ${item.code}` : ''}
      </p>
      {wanted > 0 && (
        <Key look="primary" disabled={!mayWrite} onClick={() => take(wanted)}>
          {grams(wanted)}, as the method says
        </Key>
      )}
      <NumberPad name="Or weighed" unit="g" decimals={1} take="Log it" disabled={!mayWrite} onTake={take} />
    </div>
  )
}
