import type { ReactNode } from 'react'
import { catalogue, dayOf, mayUse, type EggRule } from '@logged-thermal/core'
import { dayName, eggsMessages } from '@logged-thermal/wording'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { Key } from '../kit/Key'
import { eggPackage } from './eggPackage'
import { lotShutWord, type LotOfEgg } from './eggLots'
import styles from './eggs.module.css'
import { speaks } from '../kit/language'

const say = speaks(eggsMessages)

interface Props {
  lots: readonly LotOfEgg[]
  rule: EggRule
  chosen: string | null
  onChoose: (id: string) => void
  children?: ReactNode
}

/** The lots that are there. One that may not go in is shut, and says why. */
export function LotKeys({ lots, rule, chosen, onChoose, children }: Props) {
  const line = useLine()
  const { reader } = useHand(line)
  const now = useNow(60_000)
  const today = dayOf(now, reader.zone)
  return (
    <div className={styles.lotKeys} role="group" aria-label={say('whichLot')}>
      {lots.map((lot) => {
        const { id, code, ingredient, form, useBy } = lot
        const shut =
          lotShutWord(lot, today, reader) ??
          (mayUse(rule, form) ? line && eggPackage(line, id, reader, now).shut : say('notPasteurizedNotHere'))
        return (
          <Key
            key={id}
            look={id === chosen ? 'primary' : 'plain'}
            why={shut}
            aria-pressed={id === chosen}
            onClick={() => onChoose(id)}
          >
            {code}
            <small>
              {form === 'shell'
                ? say('shellEggs')
                : say('pasteurizedCatalogue', { catalogue: catalogue[ingredient]!.name.toLowerCase() })}
              {shut ? `, ${shut}` : useBy === null ? '' : say('useBy', { day: dayName(useBy, reader) })}
            </small>
          </Key>
        )
      })}
      {children}
    </div>
  )
}
