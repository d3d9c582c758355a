import { useState } from 'react'
import { Link } from 'react-router'
import { settingsMessages } from '@logged-thermal/wording'
import { limitsAt } from '@logged-thermal/core'
import { useHand, useLine } from '../app/kitchen'
import { logsHere, type LineData } from '../app/lineData'
import { useNow } from '../app/now'
import { shutUnless } from '../app/shut'
import { View } from '../app/View'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import { NameKitchen } from './NameKitchen'
import { Notices } from './Notices'
import styles from './settings.module.css'

const say = speaks(settingsMessages)

/** All that is set for this kitchen, as it stands, and where each of it is changed. */
export function SettingsView() {
  const line = useLine()
  const { person, open } = useHand(line)
  const [naming, setNaming] = useState(false)
  if (!line) return null
  const { kitchen } = line
  const lead = person?.role === 'lead' ? person : line.people.find(({ role }) => role === 'lead')
  return (
    <View
      place="settings"
      sentence={
        <>
          <strong>{kitchen.name}.</strong> {say('asItStands')}
        </>
      }
      keys={
        <Key why={shutUnless(open, lead !== undefined)} onClick={() => setNaming(true)}>
          {say('change')}
        </Key>
      }
    >
      <div className={styles.settings}>
        <div>
          <section aria-label={say('thisKitchen')}>
            <h2 className="title">{say('thisKitchen')}</h2>
            <dl>
              <Said name={say('name')} value={kitchen.name} />
              <Said name={say('address')} value={kitchen.address ?? say('notSaid')} />
              <Said name={say('degrees')} value={`°${kitchen.unit}`} />
              <Said name={say('zone')} value={`${kitchen.zone.replaceAll('_', ' ')}. ${say('zoneStays')}`} />
            </dl>
          </section>
          <Notices line={line} />
        </div>
        <Elsewhere line={line} />
      </div>
      {naming && lead && <NameKitchen kitchen={kitchen} lead={lead} onClose={() => setNaming(false)} />}
    </View>
  )
}

function Said({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>{value}</dd>
    </div>
  )
}

/** What has a view of its own, with how it stands there now. */
function Elsewhere({ line }: { line: LineData }) {
  const now = useNow(60_000)
  const limits = limitsAt(line.limits?.versions ?? [], now)
  const openDays = line.week?.filter((day) => day !== null).length ?? 0
  const idle = limits?.practice.idleMinutes
  const rows: { path: string; name: string; stands: string }[] = [
    {
      path: '/limits',
      name: say('rulesAndClock'),
      stands: limits
        ? say('rulesStand', {
            set: limits.ruleSet.name,
            hours: limits.practice.clock ?? 24,
            measures: limits.practice.measures ?? 'metric',
          })
        : '',
    },
    {
      path: '/people',
      name: say('people'),
      stands: say('peopleStand', { count: line.people.filter(logsHere).length }),
    },
    { path: '/hours', name: say('hours'), stands: line.week ? say('hoursStand', { days: openDays }) : say('notSaid') },
    {
      path: '/lists',
      name: say('lists'),
      stands: say('listsStand', { count: line.lists.filter(({ until }) => until === null).length }),
    },
    { path: '/limits', name: say('lock'), stands: idle === undefined ? say('neverLocks') : say('locks', { idle }) },
    {
      path: '/instruments',
      name: say('instruments'),
      stands: say('instrumentsStand', { count: line.instruments.filter(({ gone }) => !gone).length }),
    },
    {
      path: '/cooldown',
      name: say('unitsVessels'),
      stands: say('unitsStand', { units: line.units.length, vessels: line.vessels.length }),
    },
    { path: '/methods', name: say('methods'), stands: say('methodsStand', { count: line.methods.length }) },
  ]
  return (
    <section aria-label={say('elsewhere')}>
      <h2 className="title">{say('elsewhere')}</h2>
      <ul>
        {rows.map(({ path, name, stands }) => (
          <li key={name}>
            <Link to={path}>
              <strong>{name}</strong>
              <span>{stands}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}
