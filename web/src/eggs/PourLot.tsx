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
import { grams, measureWords, partWord, eggsMessages } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { Key } from '../kit/Key'
import type { LotOfEgg } from './eggLots'
import { NumberPad } from '../kit/NumberPad'
import styles from './eggs.module.css'
import { speaks, spoken } from '../kit/language'
import { shutUnless } from '../app/shut'

const say = speaks(eggsMessages)

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
          {say('onlyWrittenLeftCarton', { amount: measureWords(itemLeft(item), spoken), code: item.code })}
        </p>
        <Key look="primary" why={shutUnless(mayWrite)} onClick={() => log({ ...asking, inHand: true })}>
          {say('yesLog', { grams: grams(asking.grams[part] ?? 0) })}
        </Key>
        <Key look="outlined" onClick={() => setAsking(null)}>
          {say('noAnotherOne')}
        </Key>
      </div>
    )
  }
  return (
    <div className={styles.tally}>
      <p className={styles.tallyWanted}>
        {say('lotLeft', {
          code: lot.code,
          partWord: partWord(part, spoken),
          amount: item && measureWords(itemLeft(item), spoken),
          code2: item && item.code,
          hasItem: Boolean(item),
        })}
      </p>
      {wanted > 0 && (
        <Key look="primary" why={shutUnless(mayWrite)} onClick={() => take(wanted)}>
          {say('asMethodSays', { grams: grams(wanted) })}
        </Key>
      )}
      <NumberPad name={say('orWeighed')} unit="g" decimals={1} take={say('logIt')} disabled={!mayWrite} onTake={take} />
    </div>
  )
}
