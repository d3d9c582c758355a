import { useState } from 'react'
import type { Method, Problem } from '@logged-thermal/core'
import { problemSentence, type Reader } from '@logged-thermal/wording'
import { Key } from '../parts/Key'
import { mends, type Edit } from './editing'

/** What is wrong, beside what it is wrong with: mended with a tap, or kept with a reason in writing. */
export function ProblemNote({
  problem,
  method,
  reader,
  editable,
  onEdit,
}: {
  problem: Problem
  method: Method
  reader: Reader
  editable: boolean
  onEdit: (edit: Edit) => void
}) {
  const [writing, setWriting] = useState<string | null>(null)
  const kept = method.justified.find((each) => each.problem === problem.id)
  const blocks = problem.weight === 'blocks'
  return (
    <div className={`problem ${blocks && !kept ? 'blocks' : 'asks'}`} role="note" data-problem={problem.code}>
      <p>
        {problemSentence(problem, reader)}
        {kept && <b> Kept: {kept.reason}</b>}
      </p>
      {editable && (
        <div className="problem-keys">
          {!kept &&
            mends(problem, method).map(({ words, edit }) => (
              <Key key={words} look="primary" onClick={() => onEdit(edit)}>
                {words}
              </Key>
            ))}
          {!kept && writing === null && (
            <Key
              look="outlined"
              onClick={() =>
                blocks ? setWriting('') : onEdit({ kind: 'justify', problem: problem.id, reason: 'Meant so' })
              }
            >
              {blocks ? 'Keep it, with a reason' : 'It is meant so'}
            </Key>
          )}
          {kept && (
            <Key look="outlined" onClick={() => onEdit({ kind: 'justify', problem: problem.id, reason: '' })}>
              Take the reason back
            </Key>
          )}
          {writing !== null && !kept && (
            <>
              <label className="form-field">
                Why it may stay
                <input value={writing} maxLength={300} onChange={({ target }) => setWriting(target.value)} />
              </label>
              <Key
                look="primary"
                disabled={writing.trim().length < 10}
                onClick={() => onEdit({ kind: 'justify', problem: problem.id, reason: writing.trim() })}
              >
                Keep it so
              </Key>
            </>
          )}
        </div>
      )}
    </div>
  )
}
