import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { INCIDENTS, type Id, type IncidentWhat } from '@logged-thermal/core'
import { incidentWord, mattersMessages } from '@logged-thermal/wording'
import { useEnter } from './enter'
import { useHand, useLine } from './kitchen'
import { shutUnless } from './shut'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { NameKeys } from '../kit/NameKeys'
import { Sheet } from '../kit/Sheet'
import { speaks, spoken } from '../kit/language'
import styles from './incident.module.css'

const say = speaks(mattersMessages)

/** Something happened that no reading tells: what, in a few words, and to what. */
export function IncidentSheet({ onClose }: { onClose: () => void }) {
  const line = useLine()
  const { open } = useHand(line)
  const enter = useEnter()
  const [what, setWhat] = useState<IncidentWhat | null>(null)
  const [note, setNote] = useState('')
  const [batches, setBatches] = useState<readonly Id[]>([])
  const [items, setItems] = useState<readonly Id[]>([])
  if (!line) return null
  const tell = () => {
    if (!what) return
    enter('incident-told', uuid(), { what, note: note.trim(), items: [...items], batches: [...batches] })
    onClose()
  }
  const toggled = (ids: readonly Id[], id: Id) => (ids.includes(id) ? ids.filter((each) => each !== id) : [...ids, id])
  return (
    <Sheet open onClose={onClose} title={what ? incidentWord(what, spoken) : say('whatHappened')}>
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
          <h3 className="title">{say('toWhat')}</h3>
          <p className="muted">{say('keptApart')}</p>
          <NameKeys>
            {line.batches.map(({ id, method, code }) => (
              <Key
                key={id}
                look={batches.includes(id) ? 'primary' : 'outlined'}
                aria-pressed={batches.includes(id)}
                onClick={() => setBatches(toggled(batches, id))}
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
                onClick={() => setItems(toggled(items, id))}
              >
                {name}
                <small>{code}</small>
              </Key>
            ))}
          </NameKeys>
          <Key look="primary" disabled={note.trim() === ''} onClick={tell}>
            {say('tellIt')}
          </Key>
        </div>
      )}
    </Sheet>
  )
}
