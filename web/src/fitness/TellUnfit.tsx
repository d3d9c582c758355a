import { useState } from 'react'
import { SYMPTOMS, type Id, type Symptom } from '@logged-thermal/core'
import { fitnessMessages, type Reader } from '@logged-thermal/wording'
import { logsHere, type LineData, type PersonOnList } from '../app/lineData'
import { useNow } from '../app/now'
import { CheckField } from '../kit/CheckField'
import { Halves } from '../kit/Halves'
import { SelectField } from '../kit/SelectField'
import { Sheet } from '../kit/Sheet'
import { WhenFields } from '../kit/WhenFields'
import { speaks } from '../kit/language'
import type { UnfitPeople, UnfitPerson } from './fitnessApi'
import { Signed } from './Signed'
import styles from './fitness.module.css'

const say = speaks(fitnessMessages)

interface Props {
  line: LineData
  lead: PersonOnList
  reader: Reader
  /** What was told before; null: somebody new. */
  of: UnfitPerson | null
  onDone: (list: UnfitPeople) => void
  onClose: () => void
}

/** Who has what since when; and, once it is over, since when they are free of it. */
export function TellUnfit({ line, lead, reader, of, onDone, onClose }: Props) {
  const now = useNow(60_000)
  const [person, setPerson] = useState<Id | null>(of?.person ?? null)
  const [symptoms, setSymptoms] = useState<readonly Symptom[]>(of?.symptoms ?? [])
  const [onset, setOnset] = useState(of?.onset ?? now)
  const [freeSince, setFreeSince] = useState(of?.freeSince ?? null)
  return (
    <Sheet open onClose={onClose} title={say('tellTitle')}>
      <Halves>
        <div className={styles.form}>
          <SelectField
            label={say('who')}
            chosen={person ?? ''}
            options={line.people.filter(logsHere).map(({ id, name }) => ({ value: id, words: name }))}
            onChoose={setPerson}
            disabled={of !== null}
          />
          <fieldset className={styles.symptoms}>
            <legend>{say('what')}</legend>
            {SYMPTOMS.map((symptom) => (
              <CheckField
                key={symptom}
                label={say(`symptom_${symptom}`)}
                checked={symptoms.includes(symptom)}
                onCheck={(has) =>
                  setSymptoms(SYMPTOMS.filter((one) => (one === symptom ? has : symptoms.includes(one))))
                }
              />
            ))}
          </fieldset>
          <WhenFields label={say('began')} time={say('time')} at={onset} reader={reader} onAt={setOnset} />
          <CheckField
            label={say('isFree')}
            checked={freeSince !== null}
            onCheck={(free) => setFreeSince(free ? now : null)}
          />
          {freeSince !== null && (
            <WhenFields
              label={say('freeSince')}
              time={say('time')}
              at={freeSince}
              reader={reader}
              onAt={setFreeSince}
            />
          )}
          <p className="muted">{say('noCause')}</p>
        </div>
        {person !== null && symptoms.length > 0 ? (
          <Signed
            lead={lead}
            asked={{
              act: 'tell',
              body: {
                person,
                symptoms: [...symptoms],
                onset: Math.round(onset),
                ...(freeSince === null ? {} : { freeSince: Math.round(freeSince) }),
              },
            }}
            onDone={onDone}
          />
        ) : (
          <p className="muted">{say('sayWhoWhat')}</p>
        )}
      </Halves>
    </Sheet>
  )
}
