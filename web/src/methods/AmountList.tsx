import { ingredientOf, type Method, type Problem } from '@logged-thermal/core'
import { grams, stepName, type Reader, methodFormsMessages } from '@logged-thermal/wording'
import type { Edit } from './editing'
import { ProblemNote } from './ProblemNote'
import { RowKey } from '../kit/RowKey'
import { clsx } from 'clsx'
import styles from './methods.module.css'
import { speaks } from '../kit/language'

const say = speaks(methodFormsMessages)

/** What goes in, how much, at which step; allergens beside it as they will stand on the label. */
export function AmountList({
  method,
  problems,
  reader,
  chosen,
  editable,
  onChoose,
  onEdit,
}: {
  method: Method
  problems: Problem[]
  reader: Reader
  chosen: string | null
  editable: boolean
  onChoose: (key: string) => void
  onEdit: (edit: Edit) => void
}) {
  const rows = [
    ...method.amounts.map((amount) => {
      const ingredient = ingredientOf(amount, method)
      const state = amount.state === 'as it is' ? '' : `, ${amount.state}`
      return { ...amount, name: `${ingredient?.name ?? amount.ingredient}${state}`, marks: ingredient?.allergens ?? [] }
    }),
    ...method.components.map((component) => ({ ...component, count: null, said: undefined, marks: [] })),
  ]
  const stepOf = (key: string) => method.steps.find((step) => step.key === key)?.kind
  return (
    <ul className={styles.amounts} aria-label={say('whatGoes')}>
      {rows.map(({ key, name, grams: mass, count, said, step, marks }) => {
        const kind = stepOf(step)
        return (
          <li key={key} className={clsx(key === chosen && styles.chosen)}>
            <RowKey aria-pressed={key === chosen} disabled={!editable} onClick={() => onChoose(key)}>
              <span>
                {name}
                <small>{kind ? stepName(kind, reader).toLowerCase() : ''}</small>
              </span>
              <b>
                {mass === null ? '?' : grams(mass)}
                {said !== undefined ? (
                  <small>{said}</small>
                ) : (
                  count !== null && <small>{say('piecesCount', { count })}</small>
                )}
              </b>
              <span className={styles.amountMarks}>
                {marks.map((mark) => (
                  <i key={mark}>{mark}</i>
                ))}
              </span>
            </RowKey>
            {problems
              .filter(({ amount, code }) => amount === key && (code === 'no amount' || code === 'unknown ingredient'))
              .map((problem) => (
                <ProblemNote
                  key={problem.id}
                  problem={problem}
                  method={method}
                  reader={reader}
                  editable={editable}
                  onEdit={onEdit}
                />
              ))}
          </li>
        )
      })}
    </ul>
  )
}
