import { useState } from 'react'
import { dayOf, differences, type MethodState } from '@logged-thermal/core'
import { clock, dayName, differenceWords, type Reader } from '@logged-thermal/wording'
import type { PersonOnList } from '../app/lineData'
import { Sheet } from '../parts/Sheet'

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
    <Sheet open onClose={onClose} title="What changed">
      <label className="form-field version-pick">
        Version
        <select value={index} onChange={({ target }) => setIndex(Number(target.value))}>
          {state.versions.slice(1).map(({ version }, i) => (
            <option key={version} value={i + 1}>
              {version - 1} to {version}
            </option>
          ))}
        </select>
      </label>
      {saved && (
        <p className="muted">
          Saved by {people.find(({ id }) => id === saved.by)?.name ?? 'somebody'},{' '}
          {dayName(dayOf(saved.at, reader.zone), reader)} {clock(saved.at, reader)}.
        </p>
      )}
      <table className="methods-table">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">Version {before?.version}</th>
            <th scope="col">Version {after?.version}</th>
          </tr>
        </thead>
        <tbody>
          {found.map((difference) => (
            <tr key={`${difference.what} ${difference.key ?? ''}`}>
              <th scope="row">{differenceWords(difference)}</th>
              <td>{said(difference.before)}</td>
              <td>{said(difference.after)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {found.length === 0 && <p>Nothing but the number.</p>}
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
