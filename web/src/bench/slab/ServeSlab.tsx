import { useState } from 'react'
import { clock, serveBySentence, slabMessages } from '@logged-thermal/wording'
import { useEnter } from '../../app/enter'
import { Key } from '../../kit/Key'
import type { SlabProps } from './slabProps'
import styles from '../../board/slab.module.css'
import { speaks } from '../../kit/language'
import { shutUnless } from '../../app/shut'

const say = speaks(slabMessages)

const LEFT = [0, 1, 2, 3, 4, 6, 8, 12]

/** Out of the heat and to be served: until when, and what goes to discard. It is never cooled and kept. */
export function ServeSlab({ one: { batch }, now, reader, open, by }: SlabProps & { by: number }) {
  const enter = useEnter()
  const [asking, setAsking] = useState(false)
  const left = Math.max(0, by - now)
  return (
    <section className={styles.slab} aria-label={say('doNow')}>
      <p className={styles.do} aria-live="polite">
        {say('serveBy', { time: clock(by, reader) })}
      </p>
      <p className={styles.count}>
        {Math.ceil(left / 60_000)}
        <small>{say('minLeft')}</small>
      </p>
      <p className={styles.why}>{asking ? say('howManyPortionsLeft') : serveBySentence(by, reader)}</p>
      <div className={styles.keys}>
        {asking ? (
          LEFT.map((discarded) => (
            <Key key={discarded} className={styles.number} onClick={() => enter('served', batch.id, { discarded })}>
              {discarded}
            </Key>
          ))
        ) : (
          <Key look="primary" why={shutUnless(open)} onClick={() => setAsking(true)}>
            {say('allServed')}
          </Key>
        )}
      </div>
    </section>
  )
}
