import type { Finding } from '@logged-thermal/core'
import {
  checkTitle,
  findingSentence,
  forceWord,
  logMessages,
  sourceOf,
  standingWord,
  type Reader,
} from '@logged-thermal/wording'
import { RowKey } from '../kit/RowKey'
import { speaks } from '../kit/language'
import { Glyph } from '../parts/Glyph'
import styles from './batch.module.css'

const say = speaks(logMessages)

interface Props {
  findings: readonly Finding[]
  /** Key of the check whose readings are ringed; null: those of all. */
  picked: string | null
  onPick: (key: string | null) => void
  reader: Reader
}

/** Each limit that it is held to, how it stands, and which readings say so: a tap rings those alone. */
export function RestsOn({ findings, picked, onPick, reader }: Props) {
  return (
    <section aria-label={say('whatProves')}>
      <h2 className="title">
        {say('whatProves')} <small>{say('ringed')}</small>
      </h2>
      <ul className={styles.rests}>
        {findings.map((finding) => {
          const { check, standing } = finding
          const chosen = check.key === picked
          return (
            <li key={check.key}>
              <RowKey className={styles.rest} aria-pressed={chosen} onClick={() => onPick(chosen ? null : check.key)}>
                <Glyph standing={standing} />
                <span>
                  <strong>
                    {checkTitle(finding, reader)}
                    <span className="visually-hidden">: {standingWord(standing, reader)}</span>
                  </strong>
                  <span>{findingSentence(finding, reader)}</span>
                  <small>
                    {forceWord(check.limit.force, reader)} · {sourceOf(check.limit)}
                  </small>
                </span>
              </RowKey>
            </li>
          )
        })}
      </ul>
    </section>
  )
}
