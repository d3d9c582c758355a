import { useState } from 'react'
import { backShut, unfitness } from '@logged-thermal/core'
import { fitnessMessages, fitnessShut, type Reader } from '@logged-thermal/wording'
import type { PersonOnList } from '../app/lineData'
import { useNow } from '../app/now'
import { CheckField } from '../kit/CheckField'
import { Field } from '../kit/Field'
import { Halves } from '../kit/Halves'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import type { UnfitPeople, UnfitPerson } from './fitnessApi'
import { Signed } from './Signed'
import type { Rules } from './UnfitCard'
import styles from './fitness.module.css'

const say = speaks(fitnessMessages)

interface Props {
  act: 'back' | 'forget'
  of: UnfitPerson
  name: string
  rules: Rules
  lead: PersonOnList
  reader: Reader
  onDone: (list: UnfitPeople) => void
  onClose: () => void
}

/** Somebody works with food again, once the rules allow it; or what is over is forgotten. */
export function ComeBack({ act, of, name, rules: { ruleSet, susceptible }, lead, reader, onDone, onClose }: Props) {
  const now = useNow(10_000)
  const [papers, setPapers] = useState('')
  const [covered, setCovered] = useState(false)
  const asked = unfitness(of, ruleSet, susceptible)
  const seen = { papers: papers.trim(), covered }
  const shut = act === 'back' ? backShut(asked, now, seen) : null
  return (
    <Sheet open onClose={onClose} title={act === 'back' ? say('backTitle', { name }) : say('forgetTitle', { name })}>
      <Halves>
        <div className={styles.form}>
          {act === 'forget' && <p>{say('forgetSays')}</p>}
          {act === 'back' && asked.papers.length > 0 && (
            <Field label={say('paperSeen')} value={papers} max={200} onValue={setPapers} />
          )}
          {act === 'back' && asked.covered && (
            <CheckField label={say('isCovered')} checked={covered} onCheck={setCovered} />
          )}
          {shut && <p>{fitnessShut(shut, reader)}</p>}
        </div>
        {!shut && (
          <Signed
            lead={lead}
            asked={act === 'back' ? { act, id: of.id, body: seen } : { act, id: of.id }}
            onDone={onDone}
          />
        )}
      </Halves>
    </Sheet>
  )
}
