import { limitFormsMessages } from '@logged-thermal/wording'
import { limitSetOf, ruleSets, type LimitSet } from '@logged-thermal/core'
import { Key } from '../kit/Key'
import { clsx } from 'clsx'
import styles from './limits.module.css'
import { speaks } from '../kit/language'

const say = speaks(limitFormsMessages)

/** The rule set, the unit that decides, and the guard of the next version. Lines of the house's stay where their limit does. */
export function ChangeSet({
  draft,
  onChange,
  onClose,
}: {
  draft: LimitSet
  onChange: (draft: LimitSet) => void
  onClose: () => void
}) {
  const take = (key: string) => {
    const fresh = limitSetOf(ruleSets[key]!, {
      id: draft.id,
      version: draft.version,
      from: draft.from,
      guard: draft.guard,
      practice: draft.practice,
    })
    onChange({
      ...fresh,
      lines: fresh.lines.map((line) => {
        const own = draft.lines.find((each) => each.key === line.key)
        return own?.house ? { ...line, house: own.house, variance: own.variance } : line
      }),
    })
  }
  return (
    <section className={styles.panel} aria-label={say('ruleSetUnit')}>
      <header>
        <h2 className="title">{say('ruleSetUnit')}</h2>
        <Key look="outlined" onClick={onClose}>
          {say('close')}
        </Key>
      </header>
      <div className={styles.setKeys}>
        {Object.values(ruleSets).map(({ key, name, prints }) => (
          <Key key={key} look={key === draft.ruleSet.key ? 'primary' : 'plain'} onClick={() => take(key)}>
            {name}
            <small>{prints === 'both' ? say('printsCF') : say('printsC')}</small>
          </Key>
        ))}
      </div>
      <h3 className="title">{say('whichPrintedFigureDecides')}</h3>
      <div className={clsx(styles.setKeys, styles.three)}>
        {(['C', 'F', 'stricter'] as const).map((scale) => (
          <Key
            key={scale}
            look={scale === draft.unit ? 'primary' : 'plain'}
            onClick={() => onChange({ ...draft, unit: scale })}
          >
            {scale === 'stricter' ? say('stricterTwo') : `°${scale}`}
          </Key>
        ))}
      </div>
      <h3 className="title">{say('toleranceThermometer')}</h3>
      <div className={styles.setKeys}>
        {(['none', 'tolerance'] as const).map((guard) => (
          <Key
            key={guard}
            look={guard === draft.guard ? 'primary' : 'plain'}
            onClick={() => onChange({ ...draft, guard })}
          >
            {guard === 'none' ? say('asRead') : say('takenOffAgainstUs')}
          </Key>
        ))}
      </div>
    </section>
  )
}
