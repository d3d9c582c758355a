import { useState, type ReactNode } from 'react'
import { ALLERGENS, type Allergen, type Ingredient, type OwnIngredient } from '@logged-thermal/core'
import { amountMessages } from '@logged-thermal/wording'
import { CheckField } from '../kit/CheckField'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { speaks } from '../kit/language'
import { IngredientField } from '../parts/IngredientField'
import styles from './ours.module.css'

const say = speaks(amountMessages)

/** What an ingredient of the kitchen's own is: its name, what it is most like, its allergens, or that nobody read them. */
export function OwnForm({
  first,
  done,
  children,
  onDone,
  onClose,
}: {
  first: { name: string; like: Ingredient | null; allergens: OwnIngredient['allergens'] }
  /** What is written on the key that takes it. */
  done: string
  children?: ReactNode
  onDone: (own: Omit<OwnIngredient, 'key'>) => void
  onClose: () => void
}) {
  const [name, setName] = useState(first.name)
  const [like, setLike] = useState(first.like)
  const [read, setRead] = useState<'not known' | 'read'>(first.allergens ? 'read' : 'not known')
  const [allergens, setAllergens] = useState<readonly Allergen[]>(first.allergens ?? [])
  const ready = name.trim() !== '' && like !== null
  return (
    <section className={styles.own} aria-label={say('ownIngredient')}>
      <Field label={say('name')} value={name} max={80} onValue={setName} />
      <IngredientField label={say('mostLike')} placeholder={say('asButter')} chosen={like} onChoose={setLike} />
      <p className="muted">{say('mostLikeMeans')}</p>
      <ChoiceKeys
        name={say('itsAllergens')}
        options={['not known', 'read'] as const}
        chosen={read}
        words={(each) => say(each === 'read' ? 'allergensRead' : 'allergensNotKnown')}
        onChoose={setRead}
      />
      {read === 'read' ? (
        <div className={styles.allergens}>
          {ALLERGENS.map((each) => (
            <CheckField
              key={each}
              label={each}
              checked={allergens.includes(each)}
              onCheck={(checked) =>
                setAllergens((all) => (checked ? [...all, each] : all.filter((other) => other !== each)))
              }
            />
          ))}
        </div>
      ) : (
        <p className="muted">{say('notKnownMeans')}</p>
      )}
      {children}
      <KeyRow>
        <Key
          look="primary"
          why={!ready && say('nameAndLike')}
          onClick={() =>
            like && onDone({ name: name.trim(), like: like.key, allergens: read === 'read' ? [...allergens] : null })
          }
        >
          {done}
        </Key>
        <Key look="outlined" onClick={onClose}>
          {say('notNow')}
        </Key>
      </KeyRow>
    </section>
  )
}
