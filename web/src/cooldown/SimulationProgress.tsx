import { cooldownMessages } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import type { Trials } from './useTrials'
import styles from './cooldown.module.css'
import { speaks } from '../kit/language'

const say = speaks(cooldownMessages)

/** How far the simulation is, and the way to end it. */
export function SimulationProgress({ trials: { progress, cancel }, known }: { trials: Trials; known: boolean }) {
  if (!known) return <p className={styles.onGlassWords}>{say('amountsOrVesselsKitchen')}</p>
  return (
    <div className={styles.onGlassWords} role="status">
      <p>{say('simulatingProgress', { progress: Math.round(progress * 100) })}</p>
      <progress max={1} value={progress} aria-label={say('simulating')} />
      {progress < 1 && (
        <Key look="outlined" onClick={cancel}>
          {say('cancel')}
        </Key>
      )}
    </div>
  )
}
