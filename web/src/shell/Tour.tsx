import { tourMessages, TOUR } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { Sheet } from '../kit/Sheet'
import { useAppDispatch, useAppSelector } from '../app/store'
import { tablet } from '../app/tablet'
import styles from './tour.module.css'
import { speaks } from '../kit/language'

const say = speaks(tourMessages)

/** The first shift, step by step: offered once on a tablet, left at any step, and found again under Help. */
export function Tour() {
  const dispatch = useAppDispatch()
  const at = useAppSelector(({ tablet: { tour: step } }) => step)
  const go = (step: number | 'left') => dispatch(tablet.actions.tourAt(step))
  const key = typeof at === 'number' ? TOUR[at] : undefined
  if (typeof at !== 'number' || !key) return null
  const last = at === TOUR.length - 1
  return (
    <Sheet open onClose={() => go('left')} title={say('title')}>
      <section className={styles.step} aria-live="polite">
        <p className="muted">{say('step', { step: at + 1, steps: TOUR.length })}</p>
        <h3 className="title">{say(key)}</h3>
        <p className={styles.says}>{say(`${key}Says`)}</p>
        <KeyRow>
          <Key look="outlined" disabled={at === 0} onClick={() => go(at - 1)}>
            {say('back')}
          </Key>
          <Key look="primary" onClick={() => go(last ? 'left' : at + 1)}>
            {last ? say('done') : say('next')}
          </Key>
        </KeyRow>
      </section>
    </Sheet>
  )
}
