import { useState } from 'react'
import { isLooser, limitChanges, startOfDay, type LimitSet } from '@logged-thermal/core'
import { lineName, type Reader, limitFormsMessages } from '@logged-thermal/wording'
import { PinPad } from '../kit/PinPad'
import { useLeadSigns } from '../login/useLeadSigns'
import { DateField } from '../kit/DateField'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { changeWords } from './VersionHistory'
import { Columns } from '../kit/Columns'
import { speaks } from '../kit/language'

const say = speaks(limitFormsMessages)

/** What the next version changes, from when, and the lead's signature under it. */
export function SignVersion({
  current,
  draft,
  reader,
  now,
  onClose,
  onSigned,
}: {
  current: LimitSet
  draft: LimitSet
  reader: Reader
  now: number
  onClose: () => void
  onSigned: () => void
}) {
  const { lead, sign, busy, refusal } = useLeadSigns('limits-set', onSigned)
  const [day, setDay] = useState('')
  // A line kept from another rule set may be looser under this one.
  const looser = draft.lines.find((each) => isLooser(each) && each.variance === null)

  const put = (pin: string) => {
    const from = day === '' ? now : Math.max(now, startOfDay(day, reader.zone))
    return sign(pin, draft.id, { set: { ...draft, from: Math.round(from) } })
  }
  return (
    <Sheet open onClose={onClose} title={say('putVersionForce', { version: draft.version })}>
      <Columns>
        <div>
          <ul>
            {limitChanges(current, draft).map((change) => (
              <li key={`${change.what} ${change.line ?? ''}`}>{changeWords(change, draft, reader)}</li>
            ))}
          </ul>
          <DateField label={say('forceFromStartEmpty')} value={day} onValue={setDay} />
          <p className="muted">{say('batchesHaveBegunKeep')}</p>
        </div>
        {looser ? (
          <div>
            <p role="alert">{say('looserThanRuleSet', { lineName: lineName(looser.key, reader) })}</p>
            <Key look="outlined" onClick={onClose}>
              {say('back')}
            </Key>
          </div>
        ) : (
          lead && <PinPad of={lead} busy={busy} sentence={refusal} onPin={(pin) => void put(pin)} />
        )}
      </Columns>
    </Sheet>
  )
}
