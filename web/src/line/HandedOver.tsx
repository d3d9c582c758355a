import { useNavigate } from 'react-router'
import { clock, type Reader, lineMessages } from '@logged-thermal/wording'
import type { LineData } from '../app/lineData'
import { Key } from '../kit/Key'
import styles from './line.module.css'
import { speaks } from '../kit/language'

const say = speaks(lineMessages)

interface Props {
  line: LineData
  now: number
  reader: Reader
  open: boolean
  running: boolean
}

/** Who is asked, where somebody handed over; and the way to hand over. */
export function HandedOver({ line: { handover, people }, now, reader, open, running }: Props) {
  const navigate = useNavigate()
  const stands = handover !== null && now < handover.until ? handover : null
  const asked = stands && people.find(({ id }) => id === stands.asked)
  if (!running && !stands) return null
  return (
    <section className={styles.handedOver} aria-label={say('handover')}>
      <p>
        {stands
          ? say('askedNobodyHereFrom', {
              asked: asked && asked.name,
              hasAsked: Boolean(asked),
              time: clock(stands.from, reader),
              time2: clock(stands.until, reader),
            })
          : say('nobodyHandedOver')}
      </p>
      {open && (
        <Key look="outlined" onClick={() => void navigate('/handover')}>
          {say('handOver')}
        </Key>
      )}
    </section>
  )
}
