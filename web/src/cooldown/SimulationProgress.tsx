import { Key } from '../kit/Key'
import type { Trials } from './useTrials'
import styles from './cooldown.module.css'

/** How far the simulation is, and the way to end it. */
export function SimulationProgress({ trials: { progress, cancel }, known }: { trials: Trials; known: boolean }) {
  if (!known)
    return <p className={styles.onGlassWords}>The amounts or the vessels of this kitchen do not say how it stands.</p>
  return (
    <div className={styles.onGlassWords} role="status">
      <p>Simulating {Math.round(progress * 100)} %</p>
      <progress max={1} value={progress} aria-label="Simulating" />
      {progress < 1 && (
        <Key look="outlined" onClick={cancel}>
          Cancel
        </Key>
      )}
    </div>
  )
}
