import { useState } from 'react'
import { waitingIn, type BatchState, type WaitingEntry } from '@logged-thermal/core'
import { clock, span, waitingWords, type Reader, decideMessages } from '@logged-thermal/wording'
import { useHand, useLine } from '../app/kitchen'
import { JudgeLate } from './JudgeLate'
import { Key } from '../kit/Key'
import decideStyles from './decide.module.css'
import { speaks } from '../kit/language'

const say = speaks(decideMessages)

/**
 * What was known too late about a batch: it can deny, and betters nothing before the lead lets it count, with a reason;
 * all of one outage in one act.
 */
export function LateEntries({ batch }: { batch: BatchState }) {
  const line = useLine()
  const { reader } = useHand(line)
  const [open, setOpen] = useState(false)
  const waiting = waitingIn(batch)
  if (waiting.length === 0 || !line) return null

  const entries = waiting.map(({ entry }) => ({ type: 'batch' as const, id: batch.id, entry }))
  const title = waiting.length === 1 ? say('enteredTooLate') : say('entriesEnteredTooLate', { waiting: waiting.length })
  return (
    <div className={decideStyles.lateReading}>
      <ul>
        {waiting.map((each) => (
          <li key={each.entry}>
            {lateSentence(each, reader)}{' '}
            {each.paper && (
              <a href={`/api/photos/${each.paper}`} target="_blank" rel="noreferrer">
                {say('theSheet')}
              </a>
            )}
          </li>
        ))}
      </ul>
      <Key look="outlined" onClick={() => setOpen(true)}>
        {waiting.length === 1 ? say('letCount') : say('letThemCount')}
      </Key>
      {open && <JudgeLate title={title} entries={entries} onClose={() => setOpen(false)} />}
    </div>
  )
}

function lateSentence(each: WaitingEntry, reader: Reader): string {
  if (each.paper !== null)
    return say('copiedUntilLead', { waitingWords: waitingWords(each, reader), time: clock(each.at, reader) })
  if (each.file !== undefined) return say('fileUntilLead', { waitingWords: waitingWords(each, reader) })
  const late = span(Math.max(0, each.knownAt - each.at), reader)
  return say('enteredAfterUntilLead', { waitingWords: waitingWords(each, reader), time: clock(each.at, reader), late })
}
