import { decideMessages } from '@logged-thermal/wording'
import type { Decision } from '@logged-thermal/core'
import { RowKey } from '../kit/RowKey'
import { clsx } from 'clsx'
import styles from './decide.module.css'
import { speaks } from '../kit/language'

const say = speaks(decideMessages)

/** What becomes of a batch, as a shape: onward, between two posts, back, into the tray. Shut is a broken outline. */
export function Silhouette({
  decision,
  chosen,
  shut,
  onChoose,
}: {
  decision: Decision
  chosen: boolean
  shut: boolean
  onChoose: () => void
}) {
  return (
    <RowKey
      className={clsx(styles.silhouette, chosen ? styles.chosen : shut && styles.shut)}
      aria-pressed={chosen}
      onClick={onChoose}
    >
      <svg viewBox="0 0 196 72" aria-hidden="true">
        <path d={SHAPES[decision]} />
        {decision === 'hold' && <path className={styles.posts} d="M0 0h10v72h-10ZM186 0h10v72h-10Z" />}
        {decision === 'discard' && <path className={styles.bar} d="M30 58h136v4h-136Z" />}
      </svg>
      <span>
        {NAMES[decision]}
        {shut && <i className="visually-hidden">{say('shut')}</i>}
      </span>
    </RowKey>
  )
}

const NAMES: Record<Decision, string> = {
  release: say('release'),
  hold: say('hold'),
  rework: say('rework'),
  discard: say('discard'),
}

const SHAPES: Record<Decision, string> = {
  release: 'M2 2H160L194 36L160 70H2Z',
  hold: 'M18 2H178V70H18Z',
  rework: 'M194 2H36L2 36L36 70H194Z',
  discard: 'M2 2H194V48L172 70H24L2 48Z',
}
