import { useState } from 'react'
import { administers } from '@logged-thermal/core'
import { clock, dayName, hoursWritten, noticesMessages, type Reader } from '@logged-thermal/wording'
import { useHand } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { shutUnless } from '../app/shut'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { speaks } from '../kit/language'
import { SetNotices } from './SetNotices'
import { TryNotices } from './TryNotices'
import styles from './settings.module.css'
import { useNoticesQuery, type NoticesAnswer } from './noticesApi'

const say = speaks(noticesMessages)

/** While something waits to be sent it is looked at again after so long, ms. */
const AGAIN = 3000

/** Who is told by e-mail of what waits, what went out, and what could not. */
export function Notices({ line }: { line: LineData }) {
  const { person, open, reader } = useHand(line)
  const [asked, setAsked] = useState<'set' | 'try' | null>(null)
  const [waits, setWaits] = useState(false)
  const { data } = useNoticesQuery(undefined, {
    refetchOnMountOrArgChange: true,
    pollingInterval: waits ? AGAIN : 0,
  })
  if (!data) return null
  const { canSend, on, wish, sent, jobs } = data
  const pending = jobs.some(({ state }) => state !== 'failed')
  if (pending !== waits) setWaits(pending)
  const mine = person && administers(line.people, person.id) ? person : null
  return (
    <section aria-label={say('notices')} className={styles.notices}>
      <h2 className="title">{say('notices')}</h2>
      {!canSend && <p>{say('noServer')}</p>}
      <p>{stands(on, wish)}</p>
      {wish?.quiet && (
        <p>
          {say('quietFrom', {
            from: hoursWritten(wish.quiet.from, reader),
            until: hoursWritten(wish.quiet.until, reader),
          })}
        </p>
      )}
      {jobs.length > 0 && (
        <>
          <h3>{say('waiting')}</h3>
          <ul>
            {jobs.map((job) => (
              <li key={job.name}>
                {letterName(job.name, reader)} {jobWords(job, reader)}
              </li>
            ))}
          </ul>
        </>
      )}
      {mine && on && (
        <p className="muted">
          {say('lastSent')}:{' '}
          {sent.length === 0
            ? say('noneSent')
            : sent.map(({ name, at }) => `${letterName(name, reader)}, ${clock(at, reader)}`).join('; ')}
        </p>
      )}
      <KeyRow>
        <Key
          look="outlined"
          why={shutUnless(open, mine !== null) ?? (canSend ? null : say('noServer'))}
          onClick={() => setAsked('set')}
        >
          {say('change')}
        </Key>
        {wish && canSend && (
          <Key look="outlined" why={shutUnless(open, mine !== null)} onClick={() => setAsked('try')}>
            {say('tryIt')}
          </Key>
        )}
      </KeyRow>
      {asked === 'set' && mine && <SetNotices of={wish} signer={mine} reader={reader} onClose={() => setAsked(null)} />}
      {asked === 'try' && mine && wish && <TryNotices to={wish.to} signer={mine} onClose={() => setAsked(null)} />}
    </section>
  )
}

function stands(on: boolean, wish: NoticesAnswer['wish']): string {
  if (!on) return say('off')
  if (!wish) return say('onToSomebody')
  const { to, urgent, digest } = wish
  return say('onTo', { to, urgent, digest, both: urgent && digest })
}

/** What a letter is about, by its name: 'all that waited on Tue 9 Mar'. */
function letterName(name: string, reader: Reader): string {
  const [of, day = ''] = name.split(' ')
  if (of === 'digest') return say('sent_digest', { day: dayName(day, reader) })
  return of === 'urgent' ? say('sent_urgent') : say('sent_try')
}

function jobWords({ state, at, said }: NoticesAnswer['jobs'][number], reader: Reader): string {
  const told = { time: clock(at, reader), said: said ?? '' }
  switch (state) {
    case 'created':
      return say('state_created')
    case 'active':
      return say('state_active')
    case 'retry':
      return say('state_retry', { time: told.time, said: told.said })
    case 'failed':
      return say('state_failed', { time: told.time, said: told.said })
  }
}
