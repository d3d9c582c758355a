import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableRow from '@mui/material/TableRow'
import { useParams } from 'react-router'
import { celsiusOf, dayOf, type InstrumentCheck, type InstrumentState } from '@logged-thermal/core'
import { degrees, difference, errorWords, instrumentsMessages, timeOfDay } from '@logged-thermal/wording'
import { useHand, useLine } from '../app/kitchen'
import { PrintedPage } from '../kit/PrintedPage'
import { Whole } from '../kit/Whole'
import { speaks } from '../kit/language'
import { againstWords } from './againstWords'
import { resultWords } from './resultWords'
import styles from './certificate.module.css'

const say = speaks(instrumentsMessages)

/** One check on one page, to print and file: black on white. */
export function Certificate() {
  const line = useLine()
  const { id, entry } = useParams()
  const { reader } = useHand(line)
  const instrument = line?.instruments.find((each) => each.id === id)
  const check = [...(instrument?.history ?? []), ...(instrument?.unfounded ?? [])].find((each) => each.entry === entry)
  if (!line || !instrument || !check) return <Whole>{say('noSuch')}</Whole>
  const { code, kind, place } = instrument
  const { against, reference, shown, error, passed, tolerance, at, by } = check
  const person = line.people.find((each) => each.id === by)?.name ?? ''
  const counts = !instrument.unfounded.includes(check)
  const hot = boilingBefore(instrument, check)
  const rows: [string, string][] = [
    [say('kind'), say(`kind_${kind}`)],
    [say('place'), place ?? say('noPlace')],
    [say('against'), againstWords(against, reference, line, reader)],
    [
      say('asShown'),
      against.kind === 'buffers'
        ? against.buffers.map(({ nominal, read }) => `${nominal}: ${read}`).join(', ')
        : shown.map((typed) => degrees(celsiusOf(typed), reader)).join(', '),
    ],
    [say('error'), errorWords(kind, error, reader)],
    [say('result'), resultWords(check, instrument, line)],
  ]
  return (
    <PrintedPage
      className={styles.certificate}
      label={say('certificateOf', { code })}
      back={{ to: `/instruments/${instrument.id}`, words: say('back') }}
      print={say('print')}
    >
      <header>
        <h1>{say('certificateOf', { code })}</h1>
        <p>
          {[line.kitchen.name, line.kitchen.address].filter(Boolean).join(', ')}.{' '}
          {say('madeBy', { name: person, time: `${dayOf(at, reader.zone)} ${timeOfDay(at, reader)}` })}
        </p>
        <p>{say('heldTo', { degrees: errorWords(kind, tolerance, reader, 'not told') })}</p>
      </header>
      <Table>
        <TableBody>
          {rows.map(([name, value]) => (
            <TableRow key={name}>
              <TableCell component="th" scope="row">
                {name}
              </TableCell>
              <TableCell>{value}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {passed && counts && kind !== 'ph' && <p>{say('takenOff', { degrees: errorWords(kind, error, reader) })}</p>}
      {hot && (
        <p>
          {say('twoPoint', {
            low: difference(hot.ice, reader, 'told'),
            high: difference(hot.boiling, reader, 'told'),
          })}
        </p>
      )}
      {against.kind === 'boiling' && <p>{say('sourceOfBoiling')}</p>}
      <p>{say(against.kind === 'certificate' ? 'paperIsKept' : 'doesNotReplace')}</p>
      <p className={styles.entry}>{check.entry}</p>
    </PrintedPage>
  )
}

/** Both ends of a two-point check, once there are two that passed. */
function boilingBefore({ history }: InstrumentState, check: InstrumentCheck): { ice: number; boiling: number } | null {
  const known = history.filter(({ passed, from }) => passed && from <= check.from)
  const boiling = known.findLast(({ against }) => against.kind === 'boiling')
  const ice = known.findLast(({ against }) => against.kind === 'ice')
  return boiling && ice ? { ice: ice.error, boiling: boiling.error } : null
}
