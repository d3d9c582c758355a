import type { Alike } from '@logged-thermal/core'
import { minutesSpan, trendsMessages } from '@logged-thermal/wording'
import { speaks, spoken } from '../kit/language'
import styles from './trends.module.css'

const say = speaks(trendsMessages)
/** Those that were cooled most often. */
const SHOWN = 6

/** What coolings alike say of how often to read: advice for the house, evidence of nothing. */
export function AlikeList({ alike }: { alike: readonly Alike[] }) {
  return (
    <section aria-label={say('alike')}>
      <h2 className="title">{say('alike')}</h2>
      {alike.length === 0 && <p className="muted">{say('noneAlike')}</p>}
      <ul className={styles.alike}>
        {alike
          .slice(0, SHOWN)
          .map(({ method, name, vessel, coolings, proven, passes, read, decided, decidedAfter }) => (
            <li key={`${method} ${vessel}`}>
              <b>{say('alikeOf', { name, vessel })}</b>
              <span>
                {passes === null
                  ? say('alikeFew', { coolings, proven })
                  : say('alikePasses', { coolings, proven, share: Math.floor(passes * 100) })}{' '}
                {read !== null && decided !== null && say('alikeRead', { read, decided })}{' '}
                {decidedAfter.length > 0 &&
                  say('alikeAfter', {
                    after: decidedAfter.map((minutes) => minutesSpan(minutes, spoken)).join(', '),
                  })}
              </span>
            </li>
          ))}
      </ul>
      <p className="muted">{say('alikeSays')}</p>
    </section>
  )
}
