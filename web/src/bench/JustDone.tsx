import type { AnyClaim, BatchState } from '@logged-thermal/core'
import { clockWithSeconds, doneWords, type Reader, benchMessages } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useNow } from '../app/now'
import { UNDO_MS } from '../app/undo'
import { Key } from '../kit/Key'
import styles from './bench.module.css'
import { speaks } from '../kit/language'

const say = speaks(benchMessages)

/** What was just tapped, with Undo for ten seconds: nobody's wet thumb ends a cooking by mistake. */
export function JustDone({ claim, batch, reader }: { claim: AnyClaim; batch: BatchState; reader: Reader }) {
  const enter = useEnter()
  const now = useNow(250)
  const left = claim.madeAt + UNDO_MS - now
  const words = doneWords(claim, batch, reader)
  if (left <= 0 || words === null) return null
  const item = claim.kind === 'eggs-taken' ? claim.body.item : null
  return (
    <div className={styles.logged} role="status">
      <p>
        <strong>{words}</strong>
        {clockWithSeconds(claim.at, reader)}
      </p>
      <Key onClick={() => enter('corrected', batch.id, { target: claim.id, reason: 'undo', now: 'void', item })}>
        {say('undo')}
        <small>{Math.max(0, Math.ceil(left / 1000))} s</small>
      </Key>
    </div>
  )
}
