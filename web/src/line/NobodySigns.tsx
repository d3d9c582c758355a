import { useNavigate } from 'react-router'
import { lineMessages, timeOfDay, type Reader } from '@logged-thermal/wording'
import { useHand, type JudgedBatch } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { decidesNow, isMatter } from '../decide/matter'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import { nobodyUntil } from '../signing/opening'
import styles from './line.module.css'

const say = speaks(lineMessages)

interface Props {
  line: LineData
  judged: readonly JudgedBatch[]
  now: number
  reader: Reader
}

/** What waits for a lead while nobody is there to sign: it stays held, and this says until when. */
export function NobodySigns({ line, judged, now, reader }: Props) {
  const navigate = useNavigate()
  const { person } = useHand(line)
  const count = judged.filter(isMatter).length
  const until = nobodyUntil(line, now)
  if (count === 0 || until === null || decidesNow(line, person, now)) return null
  return (
    <section className={styles.handedOver} aria-label={say('nobodySigns')}>
      <p>
        {until === 'closed'
          ? say('waitForOpening', { count })
          : say('waitForLead', { count, time: timeOfDay(until, reader) })}
      </p>
      <Key look="outlined" onClick={() => void navigate('/people')}>
        {say('whoCanSign')}
      </Key>
    </section>
  )
}
