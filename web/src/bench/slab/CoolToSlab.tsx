import type { CoolTarget } from '@logged-thermal/core'
import { clock, largeSpan, limitDegrees, stepName, slabMessages } from '@logged-thermal/wording'
import { Also } from './Also'
import { AsItGoes } from './AsItGoes'
import type { SlabProps } from './slabProps'
import styles from '../../board/slab.module.css'
import { speaks, spoken } from '../../kit/language'

const say = speaks(slabMessages)

/** It cools to where the method goes on from: how long yet, and what comes then. The limits' clocks run on beside it. */
export function CoolToSlab(props: SlabProps & { target: CoolTarget }) {
  const { target, one, guide, now, reader } = props
  const { forecast } = one
  const to = limitDegrees(target.to, 'C', reader, 'under')
  const from = limitDegrees(target.from, 'C', reader, 'reach')
  const step = target.then === null ? null : stepName(target.then, spoken)
  const at = forecast?.told ? (forecast.target?.passing.median ?? null) : null
  const count = at !== null && at > now ? largeSpan(at - now, reader) : null
  const title = step === null ? say('coolTo', { to }) : say('coolToThen', { to, step: step.toLowerCase() })
  return (
    <section className={styles.slab} aria-label={say('doNow')}>
      <p className={styles.do} aria-live="polite">
        {at !== null && at <= now ? say('mayBeThereRead', { to }) : title}
      </p>
      {count && (
        <p className={styles.count}>
          <span className={styles.about}>{say('about')}</span>
          {count[0]}
          <small>{say('unitToTarget', { unit: count[1], to })}</small>
        </p>
      )}
      <p className={styles.why}>
        {step !== null && say('doItBetween', { step, from, to })}
        {one.asks.kind === 'read' &&
          one.asks.at <= now - 60_000 &&
          say('itWasDue', { time: clock(one.asks.at, reader) })}
      </p>
      <AsItGoes batch={one.batch} forecast={forecast} now={now} reader={reader} />
      <Also {...props} todos={guide.todos} />
    </section>
  )
}
