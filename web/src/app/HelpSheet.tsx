import { useState } from 'react'
import { helpMessages, TERMS } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { Sheet } from '../kit/Sheet'
import { places, type PlaceKey } from './places'
import { Shortcuts } from './Shortcuts'
import { useAppDispatch } from './store'
import { tablet } from './tablet'
import styles from './help.module.css'
import { speaks } from '../kit/language'

const say = speaks(helpMessages)

/** What the view is for and what to do next, the trade's words on tap, and the keys of a keyboard. */
export function HelpSheet({ place, onClose }: { place: PlaceKey; onClose: () => void }) {
  const dispatch = useAppDispatch()
  return (
    <Sheet open onClose={onClose} saved title={say('helpOn', { place: places[place].name })}>
      <div className={styles.help}>
        <p className={styles.says}>{say(place)}</p>
        <Terms />
        <Shortcuts />
        <Key
          onClick={() => {
            onClose()
            dispatch(tablet.actions.tourAsked())
          }}
        >
          {say('showTour')}
        </Key>
      </div>
    </Sheet>
  )
}

/** Each word a key; tapped, it is explained below. */
function Terms() {
  const [term, setTerm] = useState<(typeof TERMS)[number] | null>(null)
  return (
    <section aria-label={say('words')}>
      <h3 className="title">{say('words')}</h3>
      <KeyRow label={say('words')}>
        {TERMS.map((each) => (
          <Key
            key={each}
            look={each === term ? 'primary' : 'outlined'}
            aria-pressed={each === term}
            onClick={() => setTerm(each === term ? null : each)}
          >
            {say(each)}
          </Key>
        ))}
      </KeyRow>
      <p className={styles.means} role="status">
        {term && say(`${term}Means`)}
      </p>
    </section>
  )
}
