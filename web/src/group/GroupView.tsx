import { accountMessages } from '@logged-thermal/wording'
import { useNavigate } from 'react-router'
import { sentenceOf } from '../app/api'
import { Key } from '../kit/Key'
import { Whole } from '../kit/Whole'
import { speaks } from '../kit/language'
import { Compared } from './Compared'
import { useGroupQuery } from './groupApi'
import { KitchenLine } from './KitchenLine'
import styles from './group.module.css'

const say = speaks(accountMessages)

/** Looked at again so often, ms: here nobody stands at a pot. */
const AGAIN = 60_000

/** The kitchens that somebody leads or audits, side by side: what runs in each, and what came of the last 30 days. */
export function GroupView() {
  const navigate = useNavigate()
  const { data, error } = useGroupQuery(undefined, { pollingInterval: AGAIN })
  const back = (
    <Key look="outlined" onClick={() => void navigate('/sign-in')}>
      {say('account')}
    </Key>
  )
  if (!data)
    return (
      <Whole busy={!error}>
        {error ? sentenceOf(error) : say('loading')}
        {error && back}
      </Whole>
    )
  const { kitchens } = data
  return (
    <main className={styles.group}>
      <header>
        <h1 className="title">
          <strong>{say('group')}.</strong>{' '}
          {kitchens.length > 0 ? say('groupSays', { count: kitchens.length }) : say('noneLed')}
        </h1>
        {back}
      </header>
      <div className={styles.kitchens}>
        {kitchens.map(({ id, name }) => (
          <KitchenLine key={id} kitchen={id} name={name} every={AGAIN} />
        ))}
      </div>
      {kitchens.length > 0 && <Compared kitchens={kitchens} />}
    </main>
  )
}
