import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { ALLERGENS, ownIngredient, type Allergen, type Ingredient } from '@logged-thermal/core'
import { amountMessages } from '@logged-thermal/wording'
import { CheckField } from '../kit/CheckField'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { speaks } from '../kit/language'
import { IngredientField } from './IngredientField'
import styles from './ownIngredient.module.css'

const say = speaks(amountMessages)

/** Something that no list has: its name, what it is most like, and its allergens, or that nobody has read them. */
export function OwnIngredient({
  called,
  onDone,
  onClose,
}: {
  called: string
  onDone: (ingredient: Ingredient) => void
  onClose: () => void
}) {
  const [name, setName] = useState(called)
  const [like, setLike] = useState<Ingredient | null>(null)
  const [read, setRead] = useState<'not known' | 'read'>('not known')
  const [allergens, setAllergens] = useState<readonly Allergen[]>([])
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
      <KeyRow>
        <Key
          look="primary"
          why={!ready && say('nameAndLike')}
          onClick={() =>
            like && onDone(ownIngredient(uuid(), name.trim(), like.key, read === 'read' ? allergens : null))
          }
        >
          {say('makeIngredient')}
        </Key>
        <Key look="outlined" onClick={onClose}>
          {say('notNow')}
        </Key>
      </KeyRow>
    </section>
  )
}
