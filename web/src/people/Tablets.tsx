import { useState } from 'react'
import { dayOf } from '@logged-thermal/core'
import { timeOfDay, dayName, type Reader, peopleMessages } from '@logged-thermal/wording'
import {
  sentenceOf,
  useEnrolTabletMutation,
  useForgetTabletMutation,
  useTabletsQuery,
  type TabletsAnswer,
} from '../app/api'
import { useHand, useLine } from '../app/kitchen'
import type { PersonOnList } from '../app/lineData'
import { PinPad } from '../kit/PinPad'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import styles from './people.module.css'
import { shutUnless } from '../app/shut'
import { speaks } from '../kit/language'

const say = speaks(peopleMessages)

type Tablet = TabletsAnswer['tablets'][number]
type Asked = { act: 'enrol' } | { act: 'forget'; tablet: Tablet }

/** The tablets that belong to the kitchen, and whose name was locked lately. */
export function Tablets({ signer, open }: { signer: PersonOnList | null; open: boolean }) {
  const { reader } = useHand(useLine())
  const { data, error } = useTabletsQuery()
  const [asked, setAsked] = useState<Asked | null>(null)
  if (!data) return <p className="muted">{error ? sentenceOf(error) : say('lookingForTablets')}</p>
  const { tablets, lockOuts } = data
  const here = tablets.some((tablet) => tablet.here)
  return (
    <section aria-label={say('tablets')}>
      <h2>{say('tabletsKitchen')}</h2>
      <p className="muted">{say('tabletEnrolledStaysKnown')}</p>
      <ul className={styles.tablets}>
        {tablets.map((tablet) => (
          <li key={tablet.id}>
            <span>
              <strong>{tablet.name}</strong>
              {tablet.here && say('thisOne')}
              <small>
                {tablet.seenAt === null ? say('notSeenYet') : say('seenWhen', { when: when(tablet.seenAt, reader) })}
              </small>
            </span>
            <Key
              look="outlined"
              why={shutUnless(open, signer !== null)}
              aria-label={say('forgetTablet', { tablet: tablet.name })}
              onClick={() => setAsked({ act: 'forget', tablet })}
            >
              {say('forget')}
            </Key>
          </li>
        ))}
        {tablets.length === 0 && <li className="muted">{say('noneEnrolledYet')}</li>}
      </ul>
      {!here && (
        <Key look="primary" why={shutUnless(open, signer !== null)} onClick={() => setAsked({ act: 'enrol' })}>
          {say('enrolTablet')}
        </Key>
      )}
      <h2>{say('lockedAfterWrongPins')}</h2>
      <ul className={styles.tablets}>
        {lockOuts.map(({ at, person, tablet, wrong }) => (
          <li key={`${at} ${person}`}>
            <span>
              <strong>{person}</strong>
              <small>
                {say('wrongPinsOnOn', { wrong, tablet, hasTablet: tablet !== null, when: when(at, reader) })}
              </small>
            </span>
          </li>
        ))}
        {lockOuts.length === 0 && <li className="muted">{say('nobodyLast30Days')}</li>}
      </ul>
      {asked && signer && <SignSheet asked={asked} signer={signer} onClose={() => setAsked(null)} />}
    </section>
  )
}

function when(at: number, reader: Reader): string {
  return `${dayName(dayOf(at, reader.zone), reader)} ${timeOfDay(at, reader)}`
}

/** Signed with a PIN; a tablet gets a name first. */
function SignSheet({ asked, signer, onClose }: { asked: Asked; signer: PersonOnList; onClose: () => void }) {
  const [name, setName] = useState('')
  const [enrol, enrolling] = useEnrolTabletMutation()
  const [forget, forgetting] = useForgetTabletMutation()
  const { error } = asked.act === 'enrol' ? enrolling : forgetting
  const sign = async (pin: string) => {
    const signed = { signer: signer.id, pin }
    const result =
      asked.act === 'enrol'
        ? await enrol({ ...signed, name: name.trim() })
        : await forget({ ...signed, id: asked.tablet.id })
    if (!result.error) onClose()
  }
  const title = asked.act === 'enrol' ? say('enrolTablet') : say('forgetTablet', { tablet: asked.tablet.name })
  return (
    <Sheet open onClose={onClose} title={title}>
      {asked.act === 'enrol' ? (
        <Field label={say('whatCalled')} value={name} max={40} placeholder={say('sauceBench')} onValue={setName} />
      ) : (
        <p className="sentence">{say('whoeverHandOpenShift')}</p>
      )}
      {asked.act === 'enrol' && name.trim() === '' ? (
        <p className="muted">{say('signsOnceNamed', { signer: signer.name })}</p>
      ) : (
        <PinPad
          of={signer}
          busy={enrolling.isLoading || forgetting.isLoading}
          sentence={error ? sentenceOf(error) : null}
          onPin={(pin) => void sign(pin)}
        />
      )}
    </Sheet>
  )
}
