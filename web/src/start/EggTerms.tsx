import type { Terms } from '@logged-thermal/core'
import { advisory, eggRuleSentence, startMessages } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import styles from './start.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(startMessages)

interface Props {
  terms: Terms
  forSusceptible: boolean
  onSusceptible: (susceptible: boolean) => void
}

/** Which eggs may go in, before anything is begun; and whether this order is for highly susceptible people. */
export function EggTerms({ terms: { eggs, susceptible }, forSusceptible, onSusceptible }: Props) {
  if (eggs.uses.length === 0) return null
  const unheated = eggs.uses.some(({ heated }) => !heated)
  const rule = unheated ? eggs.unheated : eggs.heated
  return (
    <div className={styles.eggTerms}>
      <p>
        <strong>{say('eggs')}</strong> {eggRuleSentence(rule, susceptible, !unheated, spoken)}
      </p>
      {unheated && rule === 'shell with advisory' && <p className={styles.advisory}>{advisory(spoken)}</p>}
      <Key
        look={susceptible ? 'primary' : 'outlined'}
        aria-pressed={susceptible}
        // The kitchen's own practice is not for one order to undo.
        disabled={susceptible && !forSusceptible}
        onClick={() => onSusceptible(!forSusceptible)}
      >
        {say('forHighlySusceptiblePeople')}
        {susceptible && !forSusceptible && <small>{say('kitchenServesThem')}</small>}
      </Key>
    </div>
  )
}
