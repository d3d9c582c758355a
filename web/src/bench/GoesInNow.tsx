import type { BatchState } from '@logged-thermal/core'
import { grams, benchMessages } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { speaks } from '../kit/language'
import { shutUnless } from '../app/shut'
import styles from './goesIn.module.css'
import { useGoesIn } from './useGoesIn'

const say = speaks(benchMessages)

/** What the method has go in at this step: how much, in its own words too, and from which lots. */
export function GoesInNow({
  batch,
  step,
  open,
  onLots,
}: {
  batch: BatchState
  step: string | null
  open: boolean
  onLots: () => void
}) {
  const { all, offered, name } = useGoesIn(batch, step)
  if (all.length === 0) return null
  return (
    <section className={styles.goesIn} aria-label={say('goesInNow')}>
      <h2 className="title">{say('goesInNow')}</h2>
      <ul>
        {all.map(({ amount, food, grams: mass, named }) => (
          <li key={amount.key}>
            <span>
              {food.name}
              {amount.said && batch.factor === 1 && <small> {amount.said}</small>}
            </span>
            <span className={styles.mass}>{mass === null ? '' : grams(mass)}</span>
            {named && <small className={styles.lot}>{say('lotCode', { code: named.code })}</small>}
          </li>
        ))}
      </ul>
      {all.some(({ lots }) => lots.length > 0) && (
        <KeyRow>
          {offered.length > 0 && (
            <Key why={shutUnless(open)} onClick={() => name(offered)}>
              {say('fromLots', { lots: [...new Set(offered.map(({ code }) => code))].join(', ') })}
            </Key>
          )}
          <Key look="outlined" why={shutUnless(open)} onClick={onLots}>
            {offered.length > 0 ? say('otherLots') : say('nameLots')}
          </Key>
        </KeyRow>
      )}
    </section>
  )
}
