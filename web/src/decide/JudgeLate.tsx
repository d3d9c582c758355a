import { useState } from 'react'
import type { Accepted } from '@logged-thermal/core'
import { changesMessages, decideMessages } from '@logged-thermal/wording'
import { AcceptPin } from '../login/AcceptPin'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'

const say = speaks(changesMessages)
const decide = speaks(decideMessages)

const VERDICTS = ['entries-accepted', 'entries-refused'] as const
type Verdict = (typeof VERDICTS)[number]
const REASONS: Record<Verdict, string[]> = {
  'entries-accepted': [decide('seenOnPaperSheet'), decide('tabletAway'), decide('iThere')],
  'entries-refused': [say('notOnPaper'), say('nobodySaw'), say('notLikely')],
}

/** The lead lets late entries count, or does not: a reason, then the PIN. */
export function JudgeLate({ title, entries, onClose }: { title: string; entries: Accepted[]; onClose: () => void }) {
  const [verdict, setVerdict] = useState<Verdict>('entries-accepted')
  const [reason, setReason] = useState<string | null>(null)
  const isRefusal = verdict === 'entries-refused'
  return (
    <Sheet open onClose={onClose} title={title}>
      <ChoiceKeys
        name={title}
        options={VERDICTS}
        chosen={verdict}
        words={(value) => say(value === 'entries-accepted' ? 'letCount' : 'refuse')}
        onChoose={(value) => {
          setVerdict(value)
          setReason(null)
        }}
      />
      <p className="sentence">{say(isRefusal ? 'refusedStays' : 'letCountSays')}</p>
      <KeyRow>
        {REASONS[verdict].map((each) => (
          <Key key={each} look={each === reason ? 'primary' : 'plain'} onClick={() => setReason(each)}>
            {each}
          </Key>
        ))}
      </KeyRow>
      {reason ? (
        <AcceptPin key={verdict} kind={verdict} body={{ entries, reason }} onAccepted={onClose} />
      ) : (
        <p className="sentence">{say('tapReason')}</p>
      )}
    </Sheet>
  )
}
