import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { INCIDENTS, type Complaint, type Hash, type Id, type IncidentWhat } from '@logged-thermal/core'
import { incidentWord, mattersMessages } from '@logged-thermal/wording'
import { useEnter } from './enter'
import { useHand, useLine } from './kitchen'
import type { LineData } from './lineData'
import { useNow } from './now'
import { PhotoField } from './PhotoField'
import { shutUnless } from './shut'
import { CheckField } from '../kit/CheckField'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { NameKeys } from '../kit/NameKeys'
import { Sheet } from '../kit/Sheet'
import { WhenFields } from '../kit/WhenFields'
import { speaks, spoken } from '../kit/language'
import styles from './incident.module.css'

const say = speaks(mattersMessages)

/** What is complained about, known already: the thing, with the batch that it came from. */
export interface AboutIncident {
  name: string
  batches: Id[]
  items: Id[]
}

interface Props {
  /** A complaint about it; null: whatever happened. */
  of?: AboutIncident | null
  onClose: () => void
}

/** Something happened that no reading tells: what, in a few words, and to what; a complaint also when it was eaten. */
export function IncidentSheet({ of = null, onClose }: Props) {
  const line = useLine()
  const now = useNow(60_000)
  const { open } = useHand(line)
  const enter = useEnter()
  const [what, setWhat] = useState<IncidentWhat | null>(of && 'complaint')
  const [note, setNote] = useState('')
  const [about, setAbout] = useState<About>({ batches: of?.batches ?? [], items: of?.items ?? [] })
  const [photo, setPhoto] = useState<Hash | null>(null)
  const [complaint, setComplaint] = useState<Complaint>(() => ({ eaten: now, onset: null, people: 1 }))
  if (!line) return null
  const isComplaint = what === 'complaint'
  const wrong = isComplaint && complaint.onset !== null && complaint.onset < complaint.eaten
  const tell = () => {
    if (!what) return
    const { eaten, onset, people } = complaint
    const told = { eaten: Math.round(eaten), onset: onset && Math.round(onset), people }
    const things = { items: [...about.items], batches: [...about.batches] }
    enter('incident-told', uuid(), {
      what,
      note: note.trim(),
      ...things,
      ...(photo && { photo }),
      ...(isComplaint && { complaint: told }),
    })
    onClose()
  }
  const title = what ? incidentWord(what, spoken) : say('whatHappened')
  return (
    <Sheet open onClose={onClose} title={of ? `${title}: ${of.name}` : title}>
      {what === null ? (
        <NameKeys>
          {INCIDENTS.map((each) => (
            <Key key={each} why={shutUnless(open)} onClick={() => setWhat(each)}>
              {incidentWord(each, spoken)}
            </Key>
          ))}
        </NameKeys>
      ) : (
        <div className={styles.incident}>
          <Field label={say('inWords')} rows={2} max={500} first value={note} onValue={setNote} />
          {isComplaint && <AboutComplaint of={complaint} line={line} onComplaint={setComplaint} />}
          {of ? (
            <p className="muted">{say('restKeptApart')}</p>
          ) : (
            <ToWhat line={line} about={about} onAbout={setAbout} />
          )}
          <PhotoField photo={photo} onPhoto={setPhoto} />
          {wrong && <p role="alert">{say('illBeforeEaten')}</p>}
          <Key
            look="primary"
            disabled={note.trim() === '' || wrong || (isComplaint && complaint.people === 0)}
            onClick={tell}
          >
            {say('tellIt')}
          </Key>
        </div>
      )}
    </Sheet>
  )
}

interface ComplaintProps {
  of: Complaint
  line: LineData
  onComplaint: (complaint: Complaint) => void
}

/** When it was eaten, by how many, and since when somebody is ill. */
function AboutComplaint({ of, line, onComplaint }: ComplaintProps) {
  const { reader } = useHand(line)
  const { eaten, onset, people } = of
  return (
    <>
      <WhenFields
        label={say('eaten')}
        time={say('time')}
        at={eaten}
        reader={reader}
        onAt={(at) => onComplaint({ ...of, eaten: at })}
      />
      <CheckField
        label={say('fellIll')}
        checked={onset !== null}
        onCheck={(ill) => onComplaint({ ...of, onset: ill ? eaten : null })}
      />
      {onset !== null && (
        <WhenFields
          label={say('illSince')}
          time={say('time')}
          at={onset}
          reader={reader}
          onAt={(at) => onComplaint({ ...of, onset: at })}
        />
      )}
      <Field
        label={say('howManyPeople')}
        mode="numeric"
        max={4}
        value={people === 0 ? '' : String(people)}
        onValue={(typed) => onComplaint({ ...of, people: Number(typed.replace(/\D/g, '')) })}
      />
      <p className="muted">{say('noNames')}</p>
    </>
  )
}

interface About {
  batches: readonly Id[]
  items: readonly Id[]
}

interface ToWhatProps {
  line: LineData
  about: About
  onAbout: (about: About) => void
}

/** All that it happened to, of what is there. */
function ToWhat({ line, about: { batches, items }, onAbout }: ToWhatProps) {
  return (
    <>
      <h3 className="title">{say('toWhat')}</h3>
      <p className="muted">{say('keptApart')}</p>
      <NameKeys>
        {line.batches.map(({ id, method, code }) => (
          <Key
            key={id}
            look={batches.includes(id) ? 'primary' : 'outlined'}
            aria-pressed={batches.includes(id)}
            onClick={() => onAbout({ batches: toggled(batches, id), items })}
          >
            {method.name}
            <small>{code}</small>
          </Key>
        ))}
        {line.items.map(({ id, name, code }) => (
          <Key
            key={id}
            look={items.includes(id) ? 'primary' : 'outlined'}
            aria-pressed={items.includes(id)}
            onClick={() => onAbout({ batches, items: toggled(items, id) })}
          >
            {name}
            <small>{code}</small>
          </Key>
        ))}
      </NameKeys>
    </>
  )
}

function toggled(ids: readonly Id[], id: Id): Id[] {
  return ids.includes(id) ? ids.filter((each) => each !== id) : [...ids, id]
}
