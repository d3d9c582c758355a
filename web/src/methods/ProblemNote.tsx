import { useState } from 'react'
import type { Method, Problem } from '@logged-thermal/core'
import { problemSentence, type Reader, methodFormsMessages } from '@logged-thermal/wording'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { mends, type Edit } from './editing'
import { clsx } from 'clsx'
import styles from './methods.module.css'
import { speaks } from '../kit/language'

const say = speaks(methodFormsMessages)

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
    <div
      className={clsx(styles.problem, blocks && !kept ? styles.blocks : styles.asks)}
      role="note"
      data-problem={problem.code}
    >
      <p>
        {problemSentence(problem, reader)}
        {kept && <b> {say('keptReason', { reason: kept.reason })}</b>}
      </p>
      {editable && (
        <div className={styles.problemKeys}>
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
                blocks ? setWriting('') : onEdit({ kind: 'justify', problem: problem.id, reason: say('meantSo') })
              }
            >
              {blocks ? say('keepWithReason') : say('meantSo2')}
            </Key>
          )}
          {kept && (
            <Key look="outlined" onClick={() => onEdit({ kind: 'justify', problem: problem.id, reason: '' })}>
              {say('takeReasonBack')}
            </Key>
          )}
          {writing !== null && !kept && (
            <>
              <Field label={say('whyMayStay')} value={writing} max={300} onValue={setWriting} />
              <Key
                look="primary"
                why={writing.trim().length < 10 && say('sayWhyFirst')}
                onClick={() => onEdit({ kind: 'justify', problem: problem.id, reason: writing.trim() })}
              >
                {say('keepSo')}
              </Key>
            </>
          )}
        </div>
      )}
    </div>
  )
}
