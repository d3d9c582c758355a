import { useState } from 'react'
import {
  eggsFor,
  itemLeft,
  usesMissing,
  type BatchState,
  type EggPart,
  type EggUse,
  type ItemState,
} from '@logged-thermal/core'
import { grams, measureWords, eggsMessages } from '@logged-thermal/wording'
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
  /** The package they come out of; null: none is held. */
  item: ItemState | null
  step: string
  uses: readonly EggUse[]
  batch: BatchState
  mayWrite: boolean
  onTaken: () => void
}

/** Crack and reject, one tap an egg or a tray at a time; then whole or separated, counted or weighed. */
export function CrackTally({ lot, item, step, uses, batch, mayWrite, onTaken }: Props) {
  const enter = useEnter()
  // What is in already is not asked for again; of what is missing the part decides whether they are separated.
  const missing = usesMissing(batch, step)
  const parts = (missing.length > 0 ? missing : uses).map(({ part }) => part)
  const [separated, setSeparated] = useState(!parts.includes('whole') && parts.length > 0)
  const [good, setGood] = useState(0)
  const [rejected, setRejected] = useState(0)
  const [weighed, setWeighed] = useState<Partial<Record<EggPart, number>>>({})
  const [weighing, setWeighing] = useState<EggPart | null>(null)
  const size = lot.size ?? 'US L'
  const wanted = eggsFor(missing, size)
  const take = (cracked: number) => {
    enter('eggs-taken', batch.id, {
      step,
      lot: lot.id,
      form: lot.form,
      as: separated ? 'separated' : 'whole',
      cracked,
      rejected,
      grams: weighed,
      size,
      item: item?.id ?? null,
    })
    onTaken()
  }
  if (weighing) {
    return (
      <NumberPad
        name={
          weighing === 'whole' ? say('wholeEggWeighed') : say('yolksWhitesWeighed', { isYolk: weighing === 'yolk' })
        }
        unit="g"
        decimals={1}
        take={say('thatIsIt')}
        onTake={(mass) => {
          setWeighed({ ...weighed, [weighing]: mass })
          setWeighing(null)
        }}
      />
    )
  }
  const kept: EggPart[] = separated ? ['yolk', 'white'] : ['whole']
  return (
    <div className={styles.tally}>
      <p className={styles.tallyWanted}>
        {say('aboutEggsLotLeft', {
          wanted,
          hasWanted: wanted > 0,
          code: lot.code,
          amount: item && measureWords(itemLeft(item), spoken),
          code2: item && item.code,
          hasItem: Boolean(item),
        })}
      </p>
      {wanted > 0 && good + rejected === 0 && Object.keys(weighed).length === 0 && (
        <Key look="primary" why={shutUnless(mayWrite)} onClick={() => take(wanted)}>
          {say('goodAsMethodSays', { wanted })}
        </Key>
      )}
      <div className={styles.tallyCount}>
        <output aria-label={say('goodEggs')}>{good}</output>
        <Key className={styles.tallyGood} why={shutUnless(mayWrite)} onClick={() => setGood(good + 1)}>
          {say('good')}
        </Key>
        <Key why={shutUnless(mayWrite)} onClick={() => setGood(good + 6)}>
          + 6
        </Key>
        <Key look="outlined" disabled={good === 0} aria-label={say('oneGoodEggLess')} onClick={() => setGood(good - 1)}>
          − 1
        </Key>
      </div>
      <div className={styles.tallyCount}>
        <output aria-label={say('rejectedEggs')}>{rejected}</output>
        <Key why={shutUnless(mayWrite)} onClick={() => setRejected(rejected + 1)}>
          {say('rejected')}
        </Key>
        <Key
          look="outlined"
          disabled={rejected === 0}
          aria-label={say('oneRejectedEggLess')}
          onClick={() => setRejected(rejected - 1)}
        >
          − 1
        </Key>
      </div>
      <div className={styles.tallyAs} role="group" aria-label={say('wholeOrSeparated')}>
        <Key look={separated ? 'outlined' : 'primary'} onClick={() => setSeparated(false)}>
          {say('whole')}
        </Key>
        <Key look={separated ? 'primary' : 'outlined'} onClick={() => setSeparated(true)}>
          {say('separated')}
        </Key>
        {kept.map((part) => (
          <Key key={part} look="outlined" onClick={() => setWeighing(part)}>
            {weighed[part] === undefined
              ? say('weighValue', { value: { whole: 'it', yolk: 'yolks', white: 'whites' }[part] })
              : `${grams(weighed[part])} ${{ whole: 'egg', yolk: 'yolks', white: 'whites' }[part]}`}
          </Key>
        ))}
      </div>
      <Key look="primary" disabled={!mayWrite || good + rejected === 0} onClick={() => take(good)}>
        {good + rejected === 0 ? say('countThemFirst') : say('logGoodRejected', { good, rejected })}
      </Key>
    </div>
  )
}
