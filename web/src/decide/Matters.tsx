import { useState } from 'react'
import { decidesForLead, isHeld, waitingIn, type Id } from '@logged-thermal/core'
import { checkTitle, findingInShort, leftAsItIs, lostSentence, decideMessages } from '@logged-thermal/wording'
import { useHand, useLine, type JudgedBatch } from '../app/kitchen'
import { Badge } from '../parts/Badge'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { DecideSheet } from './DecideSheet'
import { LateEntries } from './LateEntries'
import styles from './decide.module.css'
import { speaks } from '../kit/language'

const say = speaks(decideMessages)

/** What waits for the lead: batches with a check missed or not proven, and readings entered late. */
export function Matters({ judged, now }: { judged: readonly JudgedBatch[]; now: number }) {
  const line = useLine()
  const { reader, person } = useHand(line)
  const [open, setOpen] = useState(false)
  const [deciding, setDeciding] = useState<Id | null>(null)
  const matters = judged.filter(isMatter)
  const one = matters.find(({ batch }) => batch.id === deciding)
  const decides = person !== null && (person.role === 'lead' || (line !== null && decidesForLead(line, person.id, now)))
  if (!decides || matters.length === 0) return null
  return (
    <>
      <Key look="outlined" onClick={() => setOpen(true)}>
        {say('decideMatters', { matters: matters.length })}
      </Key>
      <Sheet open={open && !one} onClose={() => setOpen(false)} title={say('forYouDecide')}>
        <ul className={styles.matters}>
          {matters.map(({ batch, standing, findings, asks }) => (
            <li key={batch.id}>
              <div>
                <strong>{batch.method.name}</strong> <span className="muted">{batch.code}</span>
                {findings
                  .filter((finding) => finding.standing === 'missed' || finding.standing === 'unproven')
                  .map((finding) => (
                    <p key={finding.check.key}>
                      {checkTitle(finding, reader)}: {findingInShort(finding, reader)}
                    </p>
                  ))}
                {asks.kind === 'lost' && (
                  <p>
                    {leftAsItIs(asks.gate, reader)} {lostSentence(batch, reader)}
                  </p>
                )}
                <LateEntries batch={batch} />
              </div>
              <Badge standing={standing} />
              <Key
                look="primary"
                aria-label={say('decideMethodCode2', { method: batch.method.name, code: batch.code })}
                onClick={() => setDeciding(batch.id)}
              >
                {say('decide')}
              </Key>
            </li>
          ))}
        </ul>
      </Sheet>
      {one && <DecideSheet batch={one.batch} findings={one.findings} onClose={() => setDeciding(null)} />}
    </>
  )
}

function isMatter({ batch, asks }: JudgedBatch): boolean {
  return asks.kind === 'decide' || asks.kind === 'lost' || isHeld(batch) || waitingIn(batch).length > 0
}
