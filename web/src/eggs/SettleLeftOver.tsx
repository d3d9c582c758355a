import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import {
  datingOfLeftOver,
  leftOverOf,
  wallsOf,
  type BatchState,
  type LeftOver,
  type PartLine,
} from '@logged-thermal/core'
import { dayName, grams, partWord, eggsMessages } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'
import { Key } from '../kit/Key'
import { NumberPad } from '../kit/NumberPad'
import styles from './eggs.module.css'
import { speaks } from '../kit/language'
import { shutUnless } from '../app/shut'

const say = speaks(eggsMessages)

/** What the eggs left over: into a tub with its date, or into the bin. As reckoned, or as weighed. */
export function SettleLeftOver({
  batch,
  line: { part, left },
  mayWrite,
}: {
  batch: BatchState
  line: PartLine
  mayWrite: boolean
}) {
  const line = useLine()
  const { reader } = useHand(line)
  const enter = useEnter()
  const [weighed, setWeighed] = useState<number | null>(null)
  const [weighing, setWeighing] = useState(false)
  const mass = weighed ?? left
  const cold = line?.units.find(({ kind }) => kind === 'fan refrigerator' || kind === 'refrigerator')?.id ?? null
  const spot = cold === null ? null : { unit: cold, shelf: 1 }
  const kept = leftOverOf(batch, part, mass, 'kept', line?.lots ?? [], spot)
  if (!kept) return null
  const lastDay = wallsOf(datingOfLeftOver(kept), null, [], reader.zone)[0]?.lastDay
  const settle = (then: LeftOver['then']) => enter('left-over', uuid(), { ...kept, then })
  if (weighing)
    return (
      <NumberPad
        name={say('leftWeighed', { partWord: partWord(part, reader) })}
        unit="g"
        decimals={1}
        take={say('thatIsIt')}
        onTake={(value) => {
          setWeighed(value > 0 ? value : null)
          setWeighing(false)
        }}
      />
    )
  return (
    <div className={styles.settle}>
      <p>
        <strong>{say('leftGramsPartword', { grams: grams(mass), partWord: partWord(part, reader) })}</strong>{' '}
        {say('rawPasteurizedKeepsEnd', {
          isShell: kept.heat === 'shell',
          value: lastDay ? dayName(lastDay, reader) : say('today'),
        })}
      </p>
      <div>
        <Key why={shutUnless(mayWrite)} onClick={() => settle('kept')}>
          {say('keepDated')}
        </Key>
        <Key look="outlined" why={shutUnless(mayWrite)} onClick={() => settle('discarded')}>
          {say('intoBin')}
        </Key>
        <Key look="outlined" onClick={() => setWeighing(true)}>
          {say('weighIt')}
        </Key>
      </div>
    </div>
  )
}
