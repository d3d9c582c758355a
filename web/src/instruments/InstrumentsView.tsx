import { instrumentsMessages } from '@logged-thermal/wording'
import { measures } from '@logged-thermal/core'
import { useHand, useLine } from '../app/kitchen'
import { View } from '../app/View'
import { Halves } from '../kit/Halves'
import { speaks } from '../kit/language'
import { RegisterInstrument } from './RegisterInstrument'
import styles from './instruments.module.css'

const say = speaks(instrumentsMessages)

/** What the kitchen reads with, and where each can read. */
export function InstrumentsView() {
  const line = useLine()
  const { open } = useHand(line)
  if (!line) return null
  const { instruments } = line
  return (
    <View
      place="instruments"
      sentence={
        <>
          <strong>{instruments.length ? say('readWith', { count: instruments.length }) : say('nothingYet')}</strong>{' '}
          {instruments.some(({ kind }) => kind === 'probe') ? '' : say('withoutProbe')}
        </>
      }
    >
      <Halves className={styles.instruments}>
        <section aria-label={say('registered')}>
          <h2>{say('registered')}</h2>
          <ul>
            {instruments.map(({ id, code, kind }) => (
              <li key={id}>
                <strong>{code}</strong>
                <span>
                  {say(`kind_${kind}`)}
                  <small>{say('readsThe', { what: measures[kind] })}</small>
                </span>
              </li>
            ))}
            {instruments.length === 0 && <li className="muted">{say('noneYet')}</li>}
          </ul>
        </section>
        <RegisterInstrument known={instruments.map(({ code }) => code)} open={open} />
      </Halves>
    </View>
  )
}
