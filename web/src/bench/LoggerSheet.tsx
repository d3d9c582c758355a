import { useMemo, useState } from 'react'
import {
  celsiusOf,
  measures,
  MOST_BROUGHT_IN,
  readByOf,
  thinned,
  timelineOf,
  type BatchState,
  type InstrumentState,
} from '@logged-thermal/core'
import { benchSheetsMessages, clock, degrees, type Reader } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { FileKey } from '../kit/FileKey'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { speaks } from '../kit/language'
import { SelectField } from '../kit/SelectField'
import { Sheet } from '../kit/Sheet'
import { ColumnRoles } from '../transcribed/ColumnRoles'
import { rolesIn, type Role } from '../transcribed/columns'
import { HowAsked } from '../transcribed/HowAsked'
import { howRead, type Choice } from '../transcribed/howRead'
import { LeftOutLines } from '../transcribed/LeftOutLines'
import { loggerReadings, type LoggerReading } from '../transcribed/loggerReadings'
import { readLogFile, type LogFile } from '../transcribed/readFile'
import styles from './loggerSheet.module.css'

const say = speaks(benchSheetsMessages)

/** No pan: before it was split, or all of it. */
const NONE = ''

interface Props {
  batch: BatchState
  onClose: () => void
  reader: Reader
}

/**
 * What a logger that lay in the pot wrote down: a file is chosen, its columns are named, and what falls into the time of this
 * batch is brought in. It waits for the lead, and until then only counts against the batch.
 */
export function LoggerSheet({ batch, onClose, reader }: Props) {
  const [file, setFile] = useState<LogFile | null>(null)
  const [wrong, setWrong] = useState<string | null>(null)
  const take = async (chosen: File) => {
    const read = await readLogFile(chosen)
    setWrong(read === 'too large' ? say('loggerTooLarge') : read === 'no table' ? say('loggerNoTable') : null)
    setFile(typeof read === 'string' ? null : read)
  }
  return (
    <Sheet open onClose={onClose} title={say('fromLogger', { code: batch.code })}>
      <div className={styles.logger}>
        <p className="muted">{say('loggerWaits')}</p>
        <KeyRow>
          <FileKey label={say('loggerFile')} accept=".csv,.tsv,.txt,text/csv" onFile={(chosen) => void take(chosen)}>
            {say('chooseFile')}
          </FileKey>
        </KeyRow>
        {wrong && <p role="alert">{wrong}</p>}
        {file && <Mapped key={file.sha256} file={file} batch={batch} reader={reader} onDone={onClose} />}
      </div>
    </Sheet>
  )
}

interface MappedProps {
  file: LogFile
  batch: BatchState
  reader: Reader
  onDone: () => void
}

function Mapped({ file: { source, sha256, table }, batch, reader, onDone }: MappedProps) {
  const line = useLine()
  const { instrument } = useHand(line)
  const now = useNow(60_000)
  const enter = useEnter()
  const probes = (line?.instruments ?? []).filter(({ kind, gone }) => !gone && measures[kind] === 'core')
  const { count: pans } = timelineOf(batch).pans
  const [readWith, setReadWith] = useState(probes.find(({ id }) => id === instrument?.id)?.id ?? probes[0]?.id ?? NONE)
  const [pan, setPan] = useState(NONE)
  const [roles, setRoles] = useState<Role[]>(() => rolesIn(table))
  const [choice, setChoice] = useState<Choice>({ order: null, unit: null })
  const how = useMemo(() => howRead(table, roles, choice), [table, roles, choice])
  const isTimed = roles.includes('day and time') || (roles.includes('day') && roles.includes('time'))
  const missing = !isTimed ? say('loggerWhen') : roles.includes('temperature') ? null : say('loggerTemperature')
  const { zone } = reader
  const found = useMemo(() => {
    const { order, units } = how
    return missing !== null || order === 'either' || units === null
      ? null
      : loggerReadings(table, { roles, order, units, zone, now })
  }, [table, roles, how, missing, zone, now])
  const own = useMemo(() => found?.readings.filter(({ at }) => at >= batch.startedAt), [found, batch.startedAt])
  const picked = useMemo(() => (own ? pick(own) : []), [own])
  const probe = probes.find(({ id }) => id === readWith)
  const bring = () => {
    if (!own || !probe) return
    enter('readings-brought-in', batch.id, {
      instrument: probe.id,
      ...(pan === NONE ? {} : { portion: pan }),
      file: { name: source, sha256 },
      of: own.length,
      readings: picked.map((reading) => ({ ...reading, readBy: behind(reading, probe) })),
    })
    onDone()
  }
  return (
    <>
      <SelectField
        label={say('whichLogger')}
        options={probes.map(({ id, code }) => ({ value: id, words: code }))}
        chosen={readWith}
        onChoose={setReadWith}
      />
      {pans > 1 && (
        <SelectField
          label={say('whichPan')}
          options={[
            { value: NONE, words: say('allOfIt') },
            ...Array.from({ length: pans }, (_, i) => ({ value: `${i + 1}`, words: `${i + 1}` })),
          ]}
          chosen={pan}
          onChoose={setPan}
        />
      )}
      <ColumnRoles table={table} roles={roles} onRoles={setRoles} />
      {missing && <p role="alert">{missing}</p>}
      {roles.filter((role) => role === 'temperature').length > 1 && (
        <p>{say('loggerSeveral', { column: table.names[roles.indexOf('temperature')]! })}</p>
      )}
      <HowAsked how={how} choice={choice} onChoice={setChoice} />
      {found && own && (
        <>
          <p role="status">
            <strong>
              {own.length === 0 ? say('loggerNone', { count: found.readings.length }) : toldOf(own, reader)}
            </strong>
          </p>
          {own.length > picked.length && <p>{say('loggerPicked', { picked: picked.length, of: own.length })}</p>}
          {own.length > 0 && (
            <Key look="primary" why={probe ? null : say('loggerNoProbe')} onClick={bring}>
              {say('bringIn', { count: own.length })}
            </Key>
          )}
          <LeftOutLines left={found.left} />
        </>
      )}
    </>
  )
}

/** The extremes, and what lies between: as many as one entry takes. */
function pick(readings: readonly LoggerReading[]): LoggerReading[] {
  return thinned(
    readings.map((reading) => ({ ...reading, celsius: celsiusOf(reading.typed) })),
    MOST_BROUGHT_IN,
  ).map(({ at, typed }) => ({ at, typed }))
}

function behind({ at, typed }: LoggerReading, probe: InstrumentState) {
  return readByOf(probe, at, celsiusOf(typed))
}

function toldOf(readings: readonly LoggerReading[], reader: Reader): string {
  const celsius = readings.map(({ typed }) => celsiusOf(typed))
  return say('loggerTold', {
    count: readings.length,
    from: clock(readings[0]!.at, reader),
    to: clock(readings.at(-1)!.at, reader),
    warmest: degrees(Math.max(...celsius), reader),
    coldest: degrees(Math.min(...celsius), reader),
  })
}
