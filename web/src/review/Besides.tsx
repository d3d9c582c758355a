import { Link, useNavigate } from 'react-router'
import { instrumentStanding, type Day, type LoggedBatch } from '@logged-thermal/core'
import { clock, mattersMessages, type Reader } from '@logged-thermal/wording'
import { useLogQuery } from '../app/api'
import type { LineData } from '../app/lineData'
import { pageOf } from '../app/pageOf'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import { periodOf } from '../log/asked'
import { MatterMark } from './MatterMark'
import styles from './review.module.css'

const say = speaks(mattersMessages)

interface Props {
  day: Day
  line: LineData
  reader: Reader
  now: number
}

/**
 * What opens no matter of its own and is looked at before a day is signed: entries that wait for the lead, instruments that are
 * overdue, what was done otherwise than the method says. Each with the way to where it is settled.
 */
export function Besides({ day, line, reader, now }: Props) {
  const navigate = useNavigate()
  const { from, to } = periodOf({ day, days: '1' }, reader.zone)
  const { data } = useLogQuery({ query: `from=${from}&to=${to}`, seq: line.seq })
  const batches = data?.batches ?? []
  const waiting = batches.filter((batch) => batch.waiting > 0)
  const overdue = line.instruments
    .filter(({ gone }) => gone === null)
    .map((each) => ({ ...each, backing: instrumentStanding(each, now).backing }))
    .filter(({ backing }) => LATE.includes(backing))
  const otherwise = batches.flatMap((batch) =>
    batch.otherwise.filter(({ at }) => at >= from && at <= to).map((told) => ({ ...told, batch })),
  )
  return (
    <>
      {waiting.length > 0 && (
        <li className={styles.matter}>
          <MatterMark of="late" />
          <div>
            <strong>{say('lateTitle', { count: waiting.reduce((sum, batch) => sum + batch.waiting, 0) })}</strong>
            <p>{say('lateSays', { names: waiting.map(nameOf).join(', ') })}</p>
          </div>
          <div className={styles.keys}>
            <Key look="primary" onClick={() => void navigate(`/log/changes?day=${day}`)}>
              {say('judgeThem')}
            </Key>
          </div>
        </li>
      )}
      {overdue.map(({ id, code, backing }) => (
        <li key={id} className={styles.matter}>
          <MatterMark of="instrument" />
          <div>
            <strong>{say('overdueTitle', { code })}</strong>
            <p>{say('overdueSays', { backing })}</p>
          </div>
          <div className={styles.keys}>
            <Key look="primary" onClick={() => void navigate(`/instruments/${id}/check`)}>
              {say('checkIt')}
              <span className="visually-hidden"> {code}</span>
            </Key>
          </div>
        </li>
      ))}
      {otherwise.length > 0 && (
        <li className={styles.matter}>
          <MatterMark of="otherwise" />
          <div>
            <strong>{say('otherwiseTitle', { count: otherwise.length })}</strong>
            <ul className={styles.follows}>
              {otherwise.map(({ at, by, said, batch }) => (
                <li key={`${batch.id} ${at} ${said}`}>
                  <span>
                    <Link to={pageOf({ type: 'batch', id: batch.id })}>{nameOf(batch)}</Link>
                    <br />
                    {say('otherwiseSaid', {
                      time: clock(at, { ...reader, today: day }),
                      name: line.people.find((person) => person.id === by)?.name ?? '',
                      said,
                    })}
                  </span>
                </li>
              ))}
            </ul>
          </div>
        </li>
      )}
    </>
  )
}

const LATE: readonly string[] = ['overdue', 'lapsed', 'unchecked']

function nameOf({ name, code }: LoggedBatch): string {
  return `${name} ${code}`
}
