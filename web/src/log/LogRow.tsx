import { memo } from 'react'
import { Link } from 'react-router'
import { standAt, type LoggedBatch, type LoggedStand } from '@logged-thermal/core'
import { findingInShort, logMessages, span, standingWord, type Reader } from '@logged-thermal/wording'
import { clsx } from 'clsx'
import type { LineData } from '../app/lineData'
import { speaks } from '../kit/language'
import { Badge } from '../parts/Badge'
import type { Lens } from '../parts/lens'
import { LoggedRibbon } from './LoggedRibbon'
import styles from './log.module.css'

const say = speaks(logMessages)

interface Props {
  batch: LoggedBatch
  /** It does not fit what is looked for: a thread keeps its place. */
  thread: boolean
  large: boolean
  lens: Lens
  now: number
  line: LineData
  reader: Reader
}

/** A batch of the Log: a tap opens its page. */
export const LogRow = memo(function LogRow({ batch, thread, large, lens, now, line, reader }: Props) {
  const { id, code, name, startedBy, held, waiting } = batch
  const stand = standAt(batch.stands, now)
  const by = line.people.find((person) => person.id === startedBy)?.name
  const path = `/log/batch/${id}`
  if (thread)
    return (
      <div className={clsx(styles.row, styles.thread)} aria-hidden="true">
        <span />
        <div className={styles.lane}>
          <LoggedRibbon batch={batch} stand={stand} lens={lens} height={8} />
        </div>
        <span />
      </div>
    )
  return (
    <section
      className={clsx(styles.row, large && styles.large)}
      aria-label={say('row', { name, code, standing: standingWord(stand.standing, reader) })}
      data-batch={code}
    >
      <Link className={styles.name} to={path}>
        <span className={styles.dish}>{name}</span>
        <small>
          {held && <b className={styles.held}>{say('held')}</b>}
          {by ? `${code} · ${by}` : code}
        </small>
      </Link>
      <Link className={styles.lane} to={path} tabIndex={-1} aria-hidden="true">
        <LoggedRibbon batch={batch} stand={stand} lens={lens} height={large ? 74 : 43} />
      </Link>
      <div className={styles.standing}>
        <Badge standing={stand.standing} />
        <span className={styles.says}>
          {saysInShort(stand, reader)}
          {waiting > 0 && <b> {say('waits', { count: waiting })}</b>}
        </span>
      </div>
    </section>
  )
})

/** The least that was to spare, or why it does not stand. */
function saysInShort({ says }: LoggedStand, reader: Reader): string {
  if (!says) return ''
  const { because } = says
  return because.code === 'in time'
    ? say('spare', { span: span(because.spareMs, reader) })
    : findingInShort(says, reader)
}
