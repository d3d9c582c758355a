import { useState } from 'react'
import {
  catalogue,
  ourFood,
  type Id,
  type Ingredient,
  type ItemState,
  type ListedIngredient,
  type OwnKept,
} from '@logged-thermal/core'
import { oursMessages } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import type { LineData } from '../app/lineData'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { IngredientField } from '../parts/IngredientField'
import { OwnForm } from './OwnForm'
import styles from './ours.module.css'

const say = speaks(oursMessages)

/** The kitchen's own ingredients: the lead puts one right, says that it is another one, or that it is taken no longer. */
export function OwnList({ line, mayChange, onClose }: { line: LineData; mayChange: boolean; onClose: () => void }) {
  const change = useChange(line)
  const [open, setOpen] = useState<Id | null>(null)
  const kept = line.ingredients
  return (
    <Sheet open onClose={onClose} title={say('ownIngredients')}>
      <p className="muted">{kept.length === 0 ? say('noneYet') : say('whatTheyAre')}</p>
      <ul className={styles.list}>
        {kept.map((own) => (
          <li key={own.key}>
            <strong>{own.name}</strong>
            <small>{saidOf(own, kept)}</small>
            {mayChange && open !== own.key && (
              <KeyRow>
                <Key
                  look="outlined"
                  aria-label={say('putRightOne', { name: own.name })}
                  onClick={() => setOpen(own.key)}
                >
                  {say('putRight')}
                </Key>
                <Key look="quiet" onClick={() => change(own, { gone: !own.gone })}>
                  {own.gone ? say('takeAgain') : say('retire')}
                </Key>
              </KeyRow>
            )}
            {open === own.key && (
              <PutRight
                own={own}
                line={line}
                onChange={(more) => {
                  change(own, more)
                  setOpen(null)
                }}
                onClose={() => setOpen(null)}
              />
            )}
          </li>
        ))}
      </ul>
      {!mayChange && <p className="muted">{say('leadOnly')}</p>}
    </Sheet>
  )
}

function PutRight({
  own,
  line,
  onChange,
  onClose,
}: {
  own: OwnKept
  line: LineData
  onChange: (more: Partial<OwnKept>) => void
  onClose: () => void
}) {
  const [same, setSame] = useState<Ingredient | null>(own.into === null ? null : foodOf(own.into, line.ingredients))
  const held = heldWith(own, line)
  const others = line.ingredients.filter(({ key, into, gone }) => key !== own.key && into === null && !gone)
  return (
    <OwnForm
      first={{ name: own.name, like: foodOf(own.like, []), allergens: own.allergens ? [...own.allergens] : null }}
      done={say('saveIt')}
      onDone={(said) => onChange({ ...said, into: same?.key ?? null })}
      onClose={onClose}
    >
      <IngredientField
        label={say('sameAsWhich')}
        beside={others.flatMap(({ key }) => foodOf(key, line.ingredients) ?? [])}
        chosen={same}
        onChoose={setSame}
      />
      <p className="muted">{say('byItself')}</p>
      {held.length > 0 && <p role="status">{say('heldWith', { count: held.length })}</p>}
    </OwnForm>
  )
}

/** Enters what the lead says of one now, with all that is held and has it in. */
function useChange(line: LineData) {
  const enter = useEnter()
  const nothing = { allergens: [], unknown: [] }
  return (own: OwnKept, more: Partial<OwnKept>) => {
    const next = { ...own, ...more }
    const allergens = next.allergens ? [...next.allergens] : null
    const items = heldWith(own, line).map(({ id }) => id)
    const lacks = { contains: nothing, mayContain: nothing, claims: [] }
    enter('ingredient-changed', line.kitchen.id, { ...next, allergens, items, lacks, read: null })
  }
}

/** What is held and has it in, by the name it had; of what was made before lists were kept nobody can say that it has not. */
function heldWith(own: OwnKept, { items, ingredients }: LineData): ItemState[] {
  const names = [own.name, ourFood(own.key, ingredients)?.name ?? own.name].map((name) => name.toLowerCase())
  const isIt = ({ name, of }: ListedIngredient): boolean =>
    names.includes(name.toLowerCase()) || (of ?? []).some((part) => names.includes(part.name.toLowerCase()))
  return items.filter(
    ({ what, facts }) =>
      (facts.ingredients ?? []).some(isIt) ||
      facts.unknown.some((name) => names.includes(name.toLowerCase())) ||
      (facts.ingredients === undefined && what === 'portion'),
  )
}

function saidOf(own: OwnKept, kept: readonly OwnKept[]): string {
  const allergens = own.allergens === null ? 'unread' : own.allergens.join(', ') || 'none'
  return [
    own.into === null
      ? say('likeWhat', { like: catalogue[own.like]!.name.toLowerCase() })
      : say('sameAs', { other: foodOf(own.into, kept)?.name ?? '' }),
    say('allergensOf', { allergens }),
    ...(own.gone ? [say('takenNoLonger')] : []),
  ].join(' · ')
}

function foodOf(key: string, kept: readonly OwnKept[]): Ingredient | null {
  return catalogue[key] ?? ourFood(key, kept)
}
