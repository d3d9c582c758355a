import { useState } from 'react'
import { catalogue, readAmount, type Ingredient, type MeasureSystem } from '@logged-thermal/core'
import { grams, pastedMessages, type Reader } from '@logged-thermal/wording'
import { clsx } from 'clsx'
import { Key } from '../../kit/Key'
import { KeyRow } from '../../kit/KeyRow'
import { RowKey } from '../../kit/RowKey'
import { speaks } from '../../kit/language'
import type { Settled } from '../../app/begun'
import { useOurs } from '../../ours/useOurs'
import { HowMuch, takenFrom, type TypedAmount } from '../../parts/HowMuch'
import { IngredientField } from '../../parts/IngredientField'
import { OwnIngredient } from '../../ours/OwnIngredient'
import styles from './pasted.module.css'

const say = speaks(pastedMessages)

interface Props {
  material: Settled
  measures: MeasureSystem
  reader: Reader
  open: boolean
  onOpen: (open: boolean) => void
  onChange: (material: Settled) => void
}

/** One line of what goes in: what was understood, beside the words that were written; a tap puts it right. */
export function PastedRow({ material, measures, reader, open, onOpen, onChange }: Props) {
  const { ingredient, own, out, understood } = material
  const food = own ?? (ingredient === null ? null : (catalogue[ingredient] ?? null))
  const mark = out ? 'out' : understood
  return (
    <li className={clsx(styles.row, styles[mark])}>
      <RowKey aria-expanded={open} onClick={() => onOpen(!open)}>
        <i>{say(`mark_${mark}`)}</i>
        <span>
          {food?.name ?? material.name}
          <small>{say('asWritten', { line: material.line })}</small>
        </span>
        <b>{out ? '' : material.grams === null ? '?' : grams(material.grams)}</b>
      </RowKey>
      {open && (
        <Settling
          material={material}
          food={food}
          measures={measures}
          reader={reader}
          onSettle={(next) => {
            onChange(next)
            onOpen(false)
          }}
        />
      )}
    </li>
  )
}

function Settling({
  material,
  food,
  measures,
  reader,
  onSettle,
}: Omit<Props, 'open' | 'onOpen' | 'onChange'> & { food: Ingredient | null; onSettle: (material: Settled) => void }) {
  const [chosen, setChosen] = useState(food)
  const [typed, setTyped] = useState<TypedAmount>(() => ({ text: writtenOf(material, food, measures), which: null }))
  const [making, setMaking] = useState(false)
  const ours = useOurs()
  const taken = takenFrom(typed, chosen, measures)
  const open = typed.text.trim() !== '' && taken === null
  const settle = (as: Ingredient) =>
    onSettle({
      ...material,
      ingredient: as.key,
      own: as.key in catalogue ? null : as,
      grams: taken?.grams ?? null,
      count: as.egg ? (taken?.count ?? null) : null,
      said: typed.text.trim() || null,
      understood: 'understood',
      out: false,
    })
  if (making)
    return (
      <OwnIngredient
        called={material.name}
        onDone={(own) => {
          setChosen(own)
          setMaking(false)
        }}
        onClose={() => setMaking(false)}
      />
    )
  return (
    <div className={styles.settling}>
      <IngredientField label={say('whichIngredient')} beside={ours} chosen={chosen} onChoose={setChosen} />
      <HowMuch typed={typed} of={chosen} system={measures} reader={reader} onType={setTyped} />
      <KeyRow>
        <Key look="primary" why={(!chosen || open) && say('whichAndHowMuch')} onClick={() => chosen && settle(chosen)}>
          {say('thatIsIt')}
        </Key>
        <Key look="outlined" onClick={() => setMaking(true)}>
          {say('notOnTheList')}
        </Key>
        <Key look="outlined" onClick={() => onSettle({ ...material, out: true })}>
          {say('leaveOut')}
        </Key>
      </KeyRow>
    </div>
  )
}

/** The amount as it was written where it can be read so, else in grams. */
function writtenOf({ said, grams: mass }: Settled, food: Ingredient | null, measures: MeasureSystem): string {
  const inGrams = mass === null ? null : `${mass} g`
  if (said === null) return inGrams ?? ''
  return food && readAmount(said, food, measures).kind === 'unread' ? (inGrams ?? said) : said
}
