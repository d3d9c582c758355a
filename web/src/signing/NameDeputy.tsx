import { useState } from 'react'
import { dayOf, MINUTE, nextAt, type Id, type Instant } from '@logged-thermal/core'
import { dayName, signingMessages, timeOfDay } from '@logged-thermal/wording'
import { useHand } from '../app/kitchen'
import { logsHere, type LineData, type PersonOnList } from '../app/lineData'
import { useNow } from '../app/now'
import { FieldRow } from '../kit/FieldRow'
import { Halves } from '../kit/Halves'
import { Key } from '../kit/Key'
import { NameKeys } from '../kit/NameKeys'
import { PinPad } from '../kit/PinPad'
import { Sheet } from '../kit/Sheet'
import { TimeField } from '../kit/TimeField'
import { speaks } from '../kit/language'
import { useLeadSigns } from '../login/useLeadSigns'

const say = speaks(signingMessages)

interface Props {
  line: LineData
  /** Whose PIN it takes. */
  lead: PersonOnList
  /** The hours that are asked about; `from` null: from now. */
  from: Instant | null
  until: Instant
  onClose: () => void
}

/** Who decides for the lead in some hours, or that nobody does. */
export function NameDeputy({ line, lead, from, until, onClose }: Props) {
  const now = useNow(10_000)
  const { reader } = useHand(line)
  const onClock = (at: Instant) => timeOfDay(at, { ...reader, hours: 24 })
  /** null: nobody; undefined: not said yet. */
  const [to, setTo] = useState<Id | null | undefined>(undefined)
  const [chosen, setChosen] = useState({ from, until })
  const { sign, busy, refusal } = useLeadSigns('delegated', onClose)
  const begins = chosen.from ?? now
  const ends = chosen.until > begins ? chosen.until : nextAt(onClock(chosen.until), begins, reader.zone)
  const times = { begins: timeOfDay(begins, reader), ends: timeOfDay(ends, reader) }
  const day = dayName(dayOf(ends, reader.zone), reader)
  return (
    <Sheet open onClose={onClose} title={say('whoDecides')}>
      <Halves>
        <section aria-label={say('whoStandsIn')}>
          <NameKeys>
            {line.people.filter(logsHere).map(({ id, name, job }) => (
              <Key key={id} look={id === to ? 'primary' : 'plain'} aria-pressed={id === to} onClick={() => setTo(id)}>
                {name}
                <small>{job}</small>
              </Key>
            ))}
            <Key look={to === null ? 'primary' : 'plain'} aria-pressed={to === null} onClick={() => setTo(null)}>
              {say('nobodyStaysHeld')}
            </Key>
          </NameKeys>
          <FieldRow>
            <TimeField
              label={say('from')}
              value={onClock(begins)}
              onValue={(time) => time && setChosen({ ...chosen, from: nextAt(time, now - MINUTE, reader.zone) })}
              hours={reader.hours}
            />
            <TimeField
              label={say('until')}
              value={onClock(ends)}
              onValue={(time) => time && setChosen({ ...chosen, until: nextAt(time, begins, reader.zone) })}
              hours={reader.hours}
            />
          </FieldRow>
          {to !== undefined && (
            <p className="muted">
              {to === null ? say('nobodyStandsIn') : say('standsIn')}{' '}
              {say('fromUntilOn', { from: times.begins, until: times.ends, day })}
            </p>
          )}
        </section>
        {to === undefined ? (
          <p className="muted">{say('tapWhoStandsIn')}</p>
        ) : (
          <PinPad
            of={lead}
            busy={busy}
            sentence={refusal}
            onPin={(pin) =>
              void sign(pin, line.kitchen.id, {
                to,
                from: Math.round(begins),
                until: Math.round(ends),
                earlier: 'stays',
              })
            }
          />
        )}
      </Halves>
    </Sheet>
  )
}
