import { instrumentCheckMessages } from '@logged-thermal/wording'
import { clsx } from 'clsx'
import { speaks } from '../kit/language'
import { Glyph } from '../parts/Glyph'
import type { Stage } from './useCheck'
import styles from './check.module.css'

const say = speaks(instrumentCheckMessages)

const STAGES: readonly Stage[] = ['prepare', 'settle', 'read', 'result']

/** Where a check is: what is done is ticked. */
export function Steps({ stage }: { stage: Stage }) {
  const at = STAGES.indexOf(stage)
  return (
    <ol className={styles.steps}>
      {STAGES.map((each, i) => (
        <li key={each} className={clsx(i === at && styles.here)} aria-current={i === at ? 'step' : undefined}>
          <Glyph standing={i < at ? 'proven' : 'open'} on={i === at ? 'ink' : 'glass'} size={20} />
          {say(`step_${each}`)}
        </li>
      ))}
    </ol>
  )
}
