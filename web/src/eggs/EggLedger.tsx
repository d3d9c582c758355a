import { eggLedger, isPooled, lotTallies, type BatchState, type LotState } from '@logged-thermal/core'
import { grams, partWord, POOLED } from '@logged-thermal/wording'

/** What came out of which lot, and where it went: taken, used, kept or binned, left. */
export function EggLedger({ batch, lots }: { batch: BatchState; lots: readonly LotState[] }) {
  const tallies = lotTallies(batch)
  const lines = eggLedger(batch)
  if (tallies.length === 0) return null
  return (
    <div className="egg-ledger">
      <ul aria-label="Lots">
        {tallies.map(({ lot, form, cracked, rejected }) => (
          <li key={lot}>
            <strong>{lots.find(({ id }) => id === lot)?.code ?? 'a lot'}</strong>{' '}
            {form === 'pasteurized' ? 'pasteurized' : `${cracked} good, ${rejected} rejected`}
          </li>
        ))}
      </ul>
      <table>
        <thead>
          <tr>
            <th scope="col">Part</th>
            <th scope="col">Taken</th>
            <th scope="col">Used</th>
            <th scope="col">Kept, binned</th>
            <th scope="col">Left</th>
          </tr>
        </thead>
        <tbody>
          {lines.map(({ part, taken, used, settled, left }) => (
            <tr key={part}>
              <th scope="row">{partWord[part]}</th>
              <td>{grams(taken)}</td>
              <td>{grams(Math.min(used, taken))}</td>
              <td>{grams(settled)}</td>
              <td>
                <strong>{grams(left)}</strong>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {isPooled(batch) && <p className="eggs-pooled">{POOLED}</p>}
    </div>
  )
}
