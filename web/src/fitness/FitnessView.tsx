import { useState } from 'react'
import { limitsAt } from '@logged-thermal/core'
import { fitnessMessages } from '@logged-thermal/wording'
import { useHand, useLine } from '../app/kitchen'
import type { LineData, PersonOnList } from '../app/lineData'
import { View } from '../app/View'
import { Halves } from '../kit/Halves'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { speaks } from '../kit/language'
import { ComeBack } from './ComeBack'
import type { UnfitPeople, UnfitPerson } from './fitnessApi'
import { Signed } from './Signed'
import { TellUnfit } from './TellUnfit'
import { UnfitCard } from './UnfitCard'
import styles from './fitness.module.css'

const say = speaks(fitnessMessages)

/** Who is not fit to work with food. Nothing of it is on the tablet before the lead's PIN, or after the page is left. */
export function FitnessView() {
  const line = useLine()
  const { person, open } = useHand(line)
  const [list, setList] = useState<UnfitPeople | null>(null)
  if (!line) return null
  const lead = person?.role === 'lead' ? person : line.people.find(({ role }) => role === 'lead')
  if (!lead || !open || person?.id !== lead.id || !list)
    return (
      <View place="fitness" sentence={<strong>{say('leadsAlone')}</strong>}>
        <Halves className={styles.shut}>
          <div>
            <p>{say('whyPin')}</p>
            <p className="muted">{say('localFirst')}</p>
          </div>
          {open && lead && person?.id === lead.id && <Signed lead={lead} asked={{ act: 'seen' }} onDone={setList} />}
        </Halves>
      </View>
    )
  return <Kept line={line} lead={lead} list={list} onList={setList} />
}

interface KeptProps {
  line: LineData
  lead: PersonOnList
  list: UnfitPeople
  onList: (list: UnfitPeople) => void
}

type Open = { act: 'tell'; of: UnfitPerson | null } | { act: 'back' | 'forget'; of: UnfitPerson }

function Kept({ line, lead, list: { now, people }, onList }: KeptProps) {
  const { reader } = useHand(line)
  const [asked, setAsked] = useState<Open | null>(null)
  const limits = limitsAt(line.limits?.versions ?? [], now)
  const rules = { ruleSet: limits?.ruleSet.key ?? '', susceptible: limits?.practice.susceptible ?? false }
  const kept = people.filter(({ back }) => back === null).length
  const sheet = {
    lead,
    reader,
    onClose: () => setAsked(null),
    onDone: (list: UnfitPeople) => {
      setAsked(null)
      onList(list)
    },
  }
  return (
    <View
      place="fitness"
      sentence={<strong>{kept === 0 ? say('nobodyKept') : say('keptCount', { count: kept })}</strong>}
    >
      <div className={styles.list}>
        <KeyRow>
          <Key look="primary" onClick={() => setAsked({ act: 'tell', of: null })}>
            {say('tellKey')}
          </Key>
        </KeyRow>
        {people.map((each) => (
          <UnfitCard
            key={each.id}
            of={each}
            name={nameOf(line, each)}
            rules={rules}
            reader={reader}
            onAct={(act) => setAsked({ act, of: each })}
          />
        ))}
        <p className="muted">{say('localFirst')}</p>
      </div>
      {asked?.act === 'tell' && <TellUnfit {...sheet} line={line} of={asked.of} />}
      {(asked?.act === 'back' || asked?.act === 'forget') && (
        <ComeBack {...sheet} act={asked.act} of={asked.of} name={nameOf(line, asked.of)} rules={rules} />
      )}
    </View>
  )
}

function nameOf({ people }: LineData, { person }: UnfitPerson): string {
  return people.find(({ id }) => id === person)?.name ?? say('notThere')
}
