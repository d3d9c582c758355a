import { helpMessages } from '@logged-thermal/wording'
import styles from './help.module.css'
import { speaks } from '../kit/language'

const say = speaks(helpMessages)

const KEYS = [
  ['/', 'keyFind'],
  ['?', 'keyHelp'],
  ['0–9', 'keyDigits'],
  ['Enter', 'keyEnter'],
  ['⌫', 'keyBack'],
  ['Esc', 'keyEscape'],
] as const

/** What a keyboard does, where there is one. */
export function Shortcuts() {
  return (
    <section aria-label={say('keyboard')}>
      <h3 className="title">{say('keyboard')}</h3>
      <dl className={styles.shortcuts}>
        {KEYS.map(([key, what]) => (
          <div key={key}>
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{say(what)}</dd>
          </div>
        ))}
      </dl>
    </section>
  )
}
