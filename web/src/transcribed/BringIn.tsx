import { useMemo, useState } from 'react'
import { transcribedStanding, type TranscribedCooling } from '@logged-thermal/core'
import { standingWord, transcribedMessages } from '@logged-thermal/wording'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { FileKey } from '../kit/FileKey'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { DataTable } from '../kit/table/DataTable'
import type { Column } from '../kit/table/column'
import { speaks, spoken } from '../kit/language'
import { ColumnRoles } from './ColumnRoles'
import { missingIn, rolesIn, type Role } from './columns'
import { HowAsked } from './HowAsked'
import { howRead, type Choice } from './howRead'
import { LeftOutLines } from './LeftOutLines'
import { readLogFile, type LogFile } from './readFile'
import { beganWords, readingsWords } from './rowWords'
import { SignThem } from './SignThem'
import styles from './transcribed.module.css'
import { understood } from './understood'

const say = speaks(transcribedMessages)

/** As many lines tell whether it is understood. */
const SHOWN = 200

const NOTHING = { rows: [], left: [] }

/** A file is chosen, its columns are named, what is understood and what is not is looked at, and the lead signs. */
export function BringIn({ onDone }: { onDone: () => void }) {
  const [file, setFile] = useState<LogFile | null>(null)
  const [wrong, setWrong] = useState<string | null>(null)
  const take = async (chosen: File) => {
    const read = await readLogFile(chosen)
    setWrong(read === 'too large' ? say('tooLarge') : read === 'no table' ? say('noTable') : null)
    setFile(typeof read === 'string' ? null : read)
  }
  return (
    <section className={styles.bringIn} aria-label={say('bringIn')}>
      <KeyRow>
        <Key look="outlined" onClick={onDone}>
          {say('back')}
        </Key>
        <FileKey label={say('file')} accept=".csv,.tsv,.txt,text/csv" onFile={(chosen) => void take(chosen)}>
          {say('takeFile')}
        </FileKey>
      </KeyRow>
      {wrong && <p role="alert">{wrong}</p>}
      {file && <Mapped key={file.sha256} file={file} onDone={onDone} />}
    </section>
  )
}

function Mapped({ file: { source, sha256, table }, onDone }: { file: LogFile; onDone: () => void }) {
  const { reader } = useHand(useLine())
  const now = useNow(60_000)
  const [roles, setRoles] = useState<Role[]>(() => rolesIn(table))
  const [choice, setChoice] = useState<Choice>({ order: null, unit: null })
  const how = useMemo(() => howRead(table, roles, choice), [table, roles, choice])
  const missing = missingIn(roles)
  const { zone } = reader
  const found = useMemo(() => {
    const { order, units } = how
    if (missing !== null || order === 'either' || units === null) return NOTHING
    return understood(table, { roles, order, units, zone, now })
  }, [table, roles, how, missing, zone, now])
  const tooSlow = useTooSlow(found.rows)
  const isAsked = missing !== null || how.order === 'either' || how.units === null
  return (
    <>
      <ColumnRoles table={table} roles={roles} onRoles={setRoles} />
      {missing && <p role="alert">{say('missing', { what: missing })}</p>}
      <HowAsked how={how} choice={choice} onChoice={setChoice} />
      {!isAsked && (
        <>
          <p role="status">
            <strong>
              {found.rows.length === 0
                ? say('nothingToBring')
                : say('understoodOf', { count: found.rows.length, missed: tooSlow.size, left: found.left.length })}
            </strong>
          </p>
          {found.rows.length > 0 && <Preview rows={found.rows} tooSlow={tooSlow} />}
          <LeftOutLines left={found.left} />
          {found.rows.length > 0 && <SignThem file={{ source, sha256 }} rows={found.rows} onDone={onDone} />}
        </>
      )}
    </>
  )
}

/** Which of them are too slow by what is read in them, under the limits of their day. */
function useTooSlow(rows: readonly TranscribedCooling[]): ReadonlySet<TranscribedCooling> {
  const line = useLine()
  const versions = line?.limits?.versions
  const zone = line?.kitchen.zone ?? 'UTC'
  return useMemo(() => {
    const isTooSlow = (row: TranscribedCooling) => transcribedStanding(row, versions ?? [], zone) === 'missed'
    return new Set(rows.filter(isTooSlow))
  }, [rows, versions, zone])
}

function Preview({ rows, tooSlow }: { rows: readonly TranscribedCooling[]; tooSlow: ReadonlySet<TranscribedCooling> }) {
  const { reader } = useHand(useLine())
  const standing = (row: TranscribedCooling) => standingWord(tooSlow.has(row) ? 'missed' : 'unproven', spoken)
  const columns: Column<TranscribedCooling>[] = [
    { key: 'line', title: say('line'), cell: ({ line }) => line },
    { key: 'when', title: say('when'), cell: (row) => beganWords(row, reader) },
    { key: 'what', title: say('dish'), names: true, cell: ({ what }) => what },
    { key: 'read', title: say('read'), cell: (row) => readingsWords(row, reader) },
    { key: 'stands', title: say('stands'), cell: standing },
    { key: 'note', title: say('note'), cell: ({ note }) => note },
  ]
  return (
    <>
      <h2 className="title">{say('preview')}</h2>
      <DataTable
        caption={say('preview')}
        columns={columns}
        rows={rows.slice(0, SHOWN)}
        rowKey={({ line }) => String(line)}
        isChosen={(row) => tooSlow.has(row)}
      />
    </>
  )
}
