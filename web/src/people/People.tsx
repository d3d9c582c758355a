import { accountMessages, peopleMessages } from '@logged-thermal/wording'
import { Suspense, useState } from 'react'
import { Link } from 'react-router'
import { administers, signsIn } from '@logged-thermal/core'
import { useHand, useLine } from '../app/kitchen'
import type { PersonOnList } from '../app/lineData'
import { shutUnless } from '../app/shut'
import { Key } from '../kit/Key'
import { later } from '../kit/later'
import { speaks } from '../kit/language'
import { AddPerson } from './AddPerson'
import { ChangePin } from './ChangePin'
import { GiveRole } from './GiveRole'
import { roleWord } from '../app/roles'
import styles from './people.module.css'

const say = speaks(peopleMessages)
const sayOfAccount = speaks(accountMessages)

type Asked = { act: 'add' } | { act: 'pin' | 'role' | 'password'; person: PersonOnList }

const SetPassword = later(() => import('../account/SetPassword'), 'SetPassword')

/** Who works here: their PINs, which everybody changes for themselves, and their roles, given by the lead or whoever looks after people. */
export function People({ people, open }: { people: readonly PersonOnList[]; open: boolean }) {
  const { person: here } = useHand(useLine())
  const [asked, setAsked] = useState<Asked | null>(null)
  const [said, setSaid] = useState<string | null>(null)
  const working = people.filter(({ role }) => role !== null)
  const lead = here?.role === 'lead' ? here : working.find(({ role }) => role === 'lead')
  const looksAfter = here && administers(people, here.id) ? here : undefined
  // Leads and those who look after people get what they may do from the lead, and nobody gives it to themselves.
  const signerFor = ({ id, role, administers: also }: PersonOnList) =>
    looksAfter && role !== 'lead' && !also && id !== looksAfter.id ? looksAfter : lead
  const roleSigner = asked?.act === 'role' ? signerFor(asked.person) : undefined
  const adds = looksAfter ?? lead
  const ask = (next: Asked) => {
    setSaid(null)
    setAsked(next)
  }
  const sheet = {
    onDone: (words: string) => {
      setSaid(words)
      setAsked(null)
    },
    onClose: () => setAsked(null),
  }
  return (
    <section aria-label={say('people')}>
      <h2>{say('people')}</h2>
      <p className="muted">{say('everybodyChangesTheirOwn', { lead: lead && lead.name, hasLead: Boolean(lead) })}</p>
      <ul className={styles.working}>
        {working.map((person) => (
          <li key={person.id}>
            <span>
              <Link to={`/people/${person.id}`}>{person.name}</Link>
              <small>{jobAndRole(person)}</small>
            </span>
            <span className={styles.keys}>
              <Key
                look="outlined"
                why={shutUnless(open)}
                aria-label={say('pinOf', { name: person.name })}
                onClick={() => ask({ act: 'pin', person })}
              >
                {say('pin')}
              </Key>
              {signsIn(people, person.id) && (
                <Key
                  look="outlined"
                  why={shutUnless(open)}
                  aria-label={sayOfAccount('passwordOf', { name: person.name })}
                  onClick={() => ask({ act: 'password', person })}
                >
                  {sayOfAccount('passwordKey')}
                </Key>
              )}
              <Key
                look="outlined"
                why={shutUnless(open, lead !== undefined)}
                aria-label={say('roleOf', { name: person.name })}
                onClick={() => ask({ act: 'role', person })}
              >
                {say('role')}
              </Key>
            </span>
          </li>
        ))}
      </ul>
      <p role="status">{said}</p>
      <Key look="primary" why={shutUnless(open, lead !== undefined)} onClick={() => ask({ act: 'add' })}>
        {say('addPerson')}
      </Key>
      {asked?.act === 'pin' && (
        <ChangePin person={asked.person} signer={here?.role === 'lead' ? here : asked.person} {...sheet} />
      )}
      <Suspense>
        {asked?.act === 'password' && (
          <SetPassword person={asked.person} signer={looksAfter ?? asked.person} {...sheet} />
        )}
      </Suspense>
      {asked?.act === 'role' && roleSigner && <GiveRole person={asked.person} signer={roleSigner} {...sheet} />}
      {asked?.act === 'add' && adds && <AddPerson signer={adds} {...sheet} />}
    </section>
  )
}

/** A job that says no more than the role is said once. */
function jobAndRole({ job, role, administers: also }: PersonOnList): string {
  const may = role === null ? '' : roleWord(role)
  const said = job.toLowerCase().includes(may.toLowerCase()) ? job : `${job} · ${may}`
  return also ? `${said} · ${say('administersShort')}` : said
}
