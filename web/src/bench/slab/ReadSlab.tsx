import type { ReactNode } from 'react'
import { checkTitle, findingSentence, asksWords, slabMessages } from '@logged-thermal/wording'
import { Also } from './Also'
import { AsItGoes } from './AsItGoes'
import type { SlabProps } from './slabProps'
import styles from '../../board/slab.module.css'
import { speaks } from '../../kit/language'

const say = speaks(slabMessages)

/** A reading of a pot off the heat is due, now or at a time. */
export function ReadSlab(props: SlabProps & { markKey: ReactNode }) {
  const { now, reader, markKey } = props
  const { asks, batch, forecast } = props.one
  const { todos } = props.guide
  if (asks.kind !== 'read') return null
  const words = asksWords(asks, now, reader)!
  return (
    <section className={styles.slab} aria-label={say('doNow')}>
      <p className={styles.do} aria-live="polite">
        {words.action}. {checkTitle(asks.finding, reader)}
      </p>
      {words.number !== '0' && (
        <p className={styles.count}>
          {words.number}
          <small>
            {words.unit}
            {asks.at > now ? say('untilDue') : ''}
          </small>
        </p>
      )}
      <p className={styles.why}>{findingSentence(asks.finding, reader)}</p>
      <AsItGoes batch={batch} forecast={forecast} now={now} reader={reader} />
      {markKey && <div className={styles.keys}>{markKey}</div>}
      <Also {...props} todos={todos} />
    </section>
  )
}
