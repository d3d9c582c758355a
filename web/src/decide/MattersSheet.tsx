import { useState } from 'react'
import type { Id } from '@logged-thermal/core'
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

/** What waits for the lead, one row each; what is decided goes from it. */
export function MattersSheet({ matters, onClose }: { matters: readonly JudgedBatch[]; onClose: () => void }) {
  const { reader } = useHand(useLine())
  const [deciding, setDeciding] = useState<Id | null>(null)
  const one = matters.find(({ batch }) => batch.id === deciding)
  return (
    <>
      <Sheet open={!one} onClose={onClose} title={say('forYouDecide')}>
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
