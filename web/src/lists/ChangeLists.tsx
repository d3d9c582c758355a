import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { addDays, MOST_LINES, MOST_LISTS, type DailyList } from '@logged-thermal/core'
import { listsMessages, weekdayName } from '@logged-thermal/wording'
import { useHand } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { Columns } from '../kit/Columns'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { PinPad } from '../kit/PinPad'
import { Sheet } from '../kit/Sheet'
import { TimeField } from '../kit/TimeField'
import { speaks } from '../kit/language'
import { useLeadSigns } from '../login/useLeadSigns'
import styles from './lists.module.css'

const say = speaks(listsMessages)

/** A list as it is being written: its lines as one text. */
interface Draft extends Omit<DailyList, 'lines'> {
  text: string
}

const STARTERS = ['opening', 'closing', 'weekly'] as const
/** When each is done, as a start; a week ends on its Monday. */
const USUAL = {
  opening: { by: '10:00', days: [0, 1, 2, 3, 4, 5, 6] },
  closing: { by: '22:00', days: [0, 1, 2, 3, 4, 5, 6] },
  weekly: { by: '16:00', days: [0] },
}
/** A Monday, for the names of the days. */
const MONDAY = '2027-03-01'

/** What the house goes through, on which days and by when: the lead signs it. */
export function ChangeLists({ line, onClose }: { line: LineData; onClose: () => void }) {
  const { reader } = useHand(line)
  const current = line.lists.flatMap(({ list, until }) => (until === null ? [list] : []))
  const [drafts, setDrafts] = useState<readonly Draft[]>(current.map(draftOf))
  const [signing, setSigning] = useState(false)
  const { lead, sign, busy, refusal } = useLeadSigns('lists-set', onClose)
  const change = (at: number, part: Partial<Draft>) =>
    setDrafts((all) => all.map((each, i) => (i === at ? { ...each, ...part } : each)))
  const add = (draft: Omit<Draft, 'key'>) => setDrafts((all) => [...all, { key: uuid(), ...draft }])
  const problem = drafts.map(problemOf).find((each) => each !== null) ?? null
  const lists = drafts.map((draft) => listOf(draft, current))
  return (
    <Sheet open onClose={onClose} title={say('changeTitle')}>
      {signing && lead ? (
        <Columns>
          <p>{say('fromNowOn')}</p>
          <PinPad
            of={lead}
            busy={busy}
            sentence={refusal}
            onPin={(pin) => void sign(pin, line.kitchen.id, { lists })}
          />
        </Columns>
      ) : (
        <div className={styles.form}>
          {drafts.map((draft, i) => (
            <div key={draft.key} className={styles.draft} role="group" aria-label={say('listOf', { number: i + 1 })}>
              <Field label={say('name')} value={draft.name} max={60} onValue={(name) => change(i, { name })} />
              <TimeField
                label={say('by')}
                value={draft.by}
                onValue={(by) => by && change(i, { by })}
                hours={reader.hours}
              />
              <KeyRow label={say('days')} className={styles.days}>
                {Array.from({ length: 7 }, (_, day) => (
                  <Key
                    key={day}
                    look={draft.days.includes(day) ? 'primary' : 'outlined'}
                    aria-pressed={draft.days.includes(day)}
                    onClick={() => change(i, { days: toggled(draft.days, day) })}
                  >
                    {weekdayName(addDays(MONDAY, day), reader)}
                  </Key>
                ))}
              </KeyRow>
              <Field
                label={say('lines')}
                className={styles.lines}
                rows={5}
                max={4000}
                value={draft.text}
                onValue={(text) => change(i, { text })}
              />
              <Key look="outlined" onClick={() => setDrafts((all) => all.filter((_, at) => at !== i))}>
                {say('remove', { name: draft.name })}
              </Key>
            </div>
          ))}
          {drafts.length < MOST_LISTS && (
            <KeyRow label={say('begin')}>
              {STARTERS.map((each) => (
                <Key
                  key={each}
                  onClick={() =>
                    add({ ...USUAL[each], name: say(`starter_${each}`), text: say(`starterLines_${each}`) })
                  }
                >
                  {say(`starter_${each}`)}
                </Key>
              ))}
              <Key look="outlined" onClick={() => add({ ...USUAL.opening, name: '', text: '' })}>
                {say('add')}
              </Key>
            </KeyRow>
          )}
          <KeyRow>
            <Key look="primary" why={problem} onClick={() => setSigning(true)}>
              {say('sign')}
            </Key>
          </KeyRow>
          {problem && <p role="alert">{problem}</p>}
        </div>
      )}
    </Sheet>
  )
}

function draftOf({ lines, ...rest }: DailyList): Draft {
  return { ...rest, text: lines.map(({ text }) => text).join('\n') }
}

/** A line that stays keeps its key, so that what was found about it stays with it. */
function listOf({ text, ...rest }: Draft, current: readonly DailyList[]): DailyList {
  const before = current.find(({ key }) => key === rest.key)?.lines ?? []
  const lines = linesOf(text).map((said) => before.find((line) => line.text === said) ?? { key: uuid(), text: said })
  return { ...rest, name: rest.name.trim(), lines }
}

function linesOf(text: string): string[] {
  return [...new Set(text.split('\n').map((line) => line.trim()))].filter((line) => line !== '')
}

function problemOf({ name, days, text }: Draft): string | null {
  if (name.trim() === '') return say('needsName')
  if (days.length === 0) return say('needsDay', { name })
  const count = linesOf(text).length
  if (count === 0) return say('needsLine', { name })
  return count > MOST_LINES ? say('takeAtMost', { most: MOST_LINES }) : null
}

function toggled(days: readonly number[], day: number): number[] {
  return days.includes(day) ? days.filter((each) => each !== day) : [...days, day].sort((a, b) => a - b)
}
