import { useNavigate } from 'react-router'
import { clock, type Reader } from '@logged-thermal/wording'
import type { LineData } from '../app/lineData'
import { Key } from '../kit/Key'
import styles from './line.module.css'

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
    <section className={styles.handedOver} aria-label="Handover">
      <p>
        {stands
          ? `${asked ? `${asked.name} is asked` : 'Nobody is here'} from ${clock(stands.from, reader)} until ${clock(stands.until, reader)}.`
          : 'Nobody has handed over.'}
      </p>
      {open && (
        <Key look="outlined" onClick={() => void navigate('/handover')}>
          Hand over
        </Key>
      )}
    </section>
  )
}
