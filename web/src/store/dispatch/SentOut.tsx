import { useState } from 'react'
import { celsiusOf, dayOf, dispatchesOf, type ItemState } from '@logged-thermal/core'
import { clock, dayName, degrees, dispatchMessages, measureWords, type Reader } from '@logged-thermal/wording'
import { clsx } from 'clsx'
import { useEnter } from '../../app/enter'
import { useHand, useLine } from '../../app/kitchen'
import { shutUnless } from '../../app/shut'
import { Key } from '../../kit/Key'
import { NumberPad } from '../../kit/NumberPad'
import { Sheet } from '../../kit/Sheet'
import { speaks } from '../../kit/language'
import styles from '../item.module.css'

const say = speaks(dispatchMessages)

/** What of an item left the kitchen: to whom, how cold, in what, and how it arrived. */
export function SentOut({ item, reader }: { item: ItemState; reader: Reader }) {
  const enter = useEnter()
  const { open, instrument } = useHand(useLine())
  const [asking, setAsking] = useState<string | null>(null)
  const all = dispatchesOf(item)
  if (all.length === 0) return null
  const day = (at: number) => dayName(dayOf(at, reader.zone), reader)
  return (
    <section className={styles.apart} aria-label={say('sentOut')}>
      <h2 className={clsx('title', styles.head)}>{say('sentOut')}</h2>
      <ul>
        {all.map(({ out, arrived }) => (
          <li key={out.entry} className={styles.note}>
            {say('sentRow', {
              amount: measureWords(out.value.measure, reader),
              name: out.value.name,
              time: clock(out.at, reader),
              day: day(out.at),
              hasTyped: out.value.typed !== null,
              degrees: out.value.typed ? degrees(celsiusOf(out.value.typed), reader, 'under') : '',
              box: out.value.box,
            })}
            {'. '}
            {arrived ? (
              <strong className={clsx(arrived.value.warm && 'urgent')}>
                {arrived.value.warm
                  ? say('arrivedWarm', { degrees: degrees(celsiusOf(arrived.value.typed), reader, 'under') })
                  : say('arrivedRow', {
                      degrees: degrees(celsiusOf(arrived.value.typed), reader, 'under'),
                      time: clock(arrived.at, reader),
                      day: day(arrived.at),
                    })}
              </strong>
            ) : (
              <>
                {say('notArrived')}{' '}
                <Key look="outlined" why={shutUnless(open)} onClick={() => setAsking(out.entry)}>
                  {say('howArrived')}
                </Key>
              </>
            )}
          </li>
        ))}
      </ul>
      {asking && (
        <Sheet open onClose={() => setAsking(null)} title={say('arrivedAtHowWarm')}>
          <NumberPad
            name={say('itsCore')}
            unit={`°${reader.scale}`}
            decimals={1}
            signed
            take={say('logIt')}
            onTake={(value) => {
              const typed = { value, unit: reader.scale }
              // Core finds whether that is over its limit.
              enter('item-arrived', item.id, { target: asking, typed, instrument: instrument?.id ?? null, warm: false })
              setAsking(null)
            }}
          />
        </Sheet>
      )}
    </section>
  )
}
