import { useState } from 'react'
import { CORE_VERSION, SIGNED_AT_ONCE, standAt, type Day } from '@logged-thermal/core'
import { clock, dayName, mattersMessages, type Reader } from '@logged-thermal/wording'
import { useLogQuery } from '../app/api'
import type { LineData } from '../app/lineData'
import { shutUnless } from '../app/shut'
import { useHand } from '../app/kitchen'
import { Key } from '../kit/Key'
import { PinPad } from '../kit/PinPad'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { periodOf } from './../log/asked'
import { useLeadSigns } from '../login/useLeadSigns'
import styles from './review.module.css'

const say = speaks(mattersMessages)

interface Props {
  day: Day
  line: LineData
  reader: Reader
  now: number
  /** Matters of that day that are open. */
  stillOpen: number
}

/** What a signature over a day says, and the key that signs it; shut while something of the day is open. */
export function SignDay({ day, line, reader, now, stillOpen }: Props) {
  const { open } = useHand(line)
  const [signing, setSigning] = useState(false)
  const { from, to } = periodOf({ day, days: '1' }, reader.zone)
  const { data } = useLogQuery({ query: `from=${from}&to=${to}`, seq: line.seq })
  const { lead, sign, busy, refusal } = useLeadSigns('day-signed', () => setSigning(false))
  if (!data) return null
  const stands = data.batches.map((batch) => ({ batch, stand: standAt(batch.stands, now) }))
  const count = (standing: string) => stands.filter(({ stand }) => stand.standing === standing).length
  const sum = (of: 'waiting' | 'corrected') => data.batches.reduce((all, batch) => all + batch[of], 0)
  const own = data.batches.flatMap(({ ownAccepted }) => ownAccepted).filter(({ at }) => at >= from && at <= to).length
  const signed = line.signedDays.find((each) => each.day === day)
  const many = data.more || data.batches.length > SIGNED_AT_ONCE
  const shut = shutUnless(open) || (many ? say('shutMany') : stillOpen > 0 && say('shutOpen', { count: stillOpen }))
  const rows: [string, number][] = [
    [say('proven'), count('proven')],
    [say('unproven'), count('unproven')],
    [say('missed'), count('missed')],
    [say('open'), count('open')],
    [say('lateWaiting'), sum('waiting')],
    [say('corrected'), sum('corrected')],
    [say('entries'), line.seq],
  ]
  return (
    <section aria-label={say('signatureOver', { day: dayName(day, reader) })}>
      <h2 className="title">{say('signatureOver', { day: dayName(day, reader) })}</h2>
      <dl className={styles.sums}>
        {rows.map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      <p>{say('foundBy', { core: CORE_VERSION })}</p>
      {own > 0 && <p className={styles.own}>{say('ownAccepted', { count: own })}</p>}
      {signed && (
        <p>
          <b>
            {say('signedBy', {
              time: clock(signed.at, reader),
              name: line.people.find(({ id }) => id === signed.by)?.name ?? '',
            })}
          </b>
        </p>
      )}
      {shut && <p className={styles.shut}>{shut}</p>}
      <Key className={styles.sign} look="primary" why={shut} onClick={() => setSigning(true)}>
        {signed ? say('signAgain') : say('sign')}
      </Key>
      {signing && lead && (
        <Sheet open onClose={() => setSigning(false)} title={say('signTitle', { day: dayName(day, reader) })}>
          <PinPad
            of={lead}
            busy={busy}
            sentence={refusal}
            onPin={(pin) =>
              void sign(pin, line.kitchen.id, {
                day,
                batches: stands.map(({ batch, stand }) => ({ id: batch.id, standing: stand.standing })),
                core: CORE_VERSION,
              })
            }
          />
        </Sheet>
      )}
    </section>
  )
}
