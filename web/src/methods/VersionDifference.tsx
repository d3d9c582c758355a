import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import { useState } from 'react'
import { dayOf, differences, type MethodState } from '@logged-thermal/core'
import { timeOfDay, dayName, differenceWords, type Reader, methodsMessages } from '@logged-thermal/wording'
import type { PersonOnList } from '../app/lineData'
import { Sheet } from '../kit/Sheet'
import { SelectField } from '../kit/SelectField'
import styles from './methods.module.css'
import { speaks } from '../kit/language'

const say = speaks(methodsMessages)

/** Two versions side by side: what was, and what is instead. */
export function VersionDifference({
  state,
  people,
  reader,
  onClose,
}: {
  state: MethodState
  people: PersonOnList[]
  reader: Reader
  onClose: () => void
}) {
  const [index, setIndex] = useState(state.versions.length - 1)
  const [before, after] = [state.versions[index - 1], state.versions[index]]
  const saved = state.saved[index]
  const found = before && after ? differences(before, after) : []
  return (
    <Sheet open onClose={onClose} title={say('whatChanged')}>
      <SelectField
        className={styles.versionPick}
        label={say('version')}
        options={state.versions.slice(1).map(({ version }, i) => ({
          value: String(i + 1),
          words: say('versionVersion2', { version: version - 1, version2: version }),
        }))}
        chosen={String(index)}
        onChoose={(chosen) => setIndex(Number(chosen))}
      />
      {saved && (
        <p className="muted">
          {say('savedBy', {
            people: people.find(({ id }) => id === saved.by)?.name ?? say('somebody'),
            day: dayName(dayOf(saved.at, reader.zone), reader),
            time: timeOfDay(saved.at, reader),
          })}
        </p>
      )}
      <Table>
        <TableHead>
          <TableRow>
            <TableCell scope="col">{say('what')}</TableCell>
            <TableCell scope="col">
              {say('version')} {before?.version}
            </TableCell>
            <TableCell scope="col">
              {say('version')} {after?.version}
            </TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {found.map((difference) => (
            <TableRow key={`${difference.what} ${difference.key ?? ''}`}>
              <TableCell component="th" scope="row">
                {differenceWords(difference, reader)}
              </TableCell>
              <TableCell>{said(difference.before)}</TableCell>
              <TableCell>{said(difference.after)}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {found.length === 0 && <p>{say('nothingButNumber')}</p>}
    </Sheet>
  )
}

/** Any value of a method as a short text. */
function said(value: unknown): string {
  if (value === null || value === undefined) return '–'
  if (Array.isArray(value)) return value.map(said).join(', ')
  if (typeof value === 'object')
    return Object.entries(value)
      .filter(([name, each]) => each !== null && each !== '' && name !== 'key')
      .map(([name, each]) => `${name} ${said(each)}`)
      .join(', ')
  return typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean' ? String(value) : ''
}
