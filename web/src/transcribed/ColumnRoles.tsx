import { transcribedMessages } from '@logged-thermal/wording'
import { SelectField } from '../kit/SelectField'
import { speaks } from '../kit/language'
import { ROLES, type Role, type Table } from './columns'
import styles from './transcribed.module.css'

const say = speaks(transcribedMessages)

interface Props {
  table: Table
  roles: readonly Role[]
  onRoles: (roles: Role[]) => void
}

/** What each column of the file is, with an example out of it. */
export function ColumnRoles({ table: { names, lines }, roles, onRoles }: Props) {
  const example = (i: number) => lines.find(({ cells }) => (cells[i] ?? '') !== '')?.cells[i]?.slice(0, 40)
  return (
    <section className={styles.roles} aria-label={say('whatColumns')}>
      <h2 className="title">{say('whatColumns')}</h2>
      <p className="muted">{say('namesLeftOut')}</p>
      <div className={styles.columns}>
        {names.map((name, i) => (
          <div key={`${i} ${name}`}>
            <SelectField
              label={say('column', { name })}
              options={ROLES.map((role) => ({ value: role, words: say('role', { role: role.replaceAll(' ', '') }) }))}
              chosen={roles[i] ?? 'nothing'}
              onChoose={(role) => onRoles(roles.map((each, of) => (of === i ? role : each)))}
            />
            {example(i) && <small className="muted">{say('example', { cell: example(i) ?? '' })}</small>}
          </div>
        ))}
      </div>
    </section>
  )
}
