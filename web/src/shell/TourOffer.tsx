import { tourMessages } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { useAppDispatch, useAppSelector } from '../app/store'
import { tablet } from '../app/tablet'
import styles from './tour.module.css'
import { speaks } from '../kit/language'

const say = speaks(tourMessages)

/** Offers the tour on a tablet that never had it. */
export function TourOffer() {
  const dispatch = useAppDispatch()
  const offered = useAppSelector(({ tablet: { tour: step } }) => step === 'offered')
  if (!offered) return null
  return (
    <aside className={styles.offer}>
      <p>{say('offer')}</p>
      <Key look="outlined" onClick={() => dispatch(tablet.actions.tourAt('left'))}>
        {say('notNow')}
      </Key>
      <Key onClick={() => dispatch(tablet.actions.tourAsked())}>{say('start')}</Key>
    </aside>
  )
}
