import { judgeBatch, waitingIn } from '@logged-thermal/core'
import { mattersMessages } from '@logged-thermal/wording'
import { sentenceOf, useBatchQuery } from '../app/api'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { DecideSheet } from '../decide/DecideSheet'
import { LateEntries } from '../decide/LateEntries'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { useState } from 'react'

const say = speaks(mattersMessages)

/** A batch that waits, also one that has left the Line: what came too late first, then what becomes of it. */
export function DecideBatch({ id, onClose }: { id: string; onClose: () => void }) {
  const now = useNow(10_000)
  const line = useLine()
  const { reader } = useHand(line)
  const [deciding, setDeciding] = useState(false)
  const { data, error } = useBatchQuery({ id, seq: line?.seq ?? 0 }, { skip: line === null })
  if (!data)
    return (
      <Sheet open onClose={onClose} title={say('decide')}>
        {error ? sentenceOf(error) : say('looking')}
      </Sheet>
    )
  const { batch } = data
  if (waitingIn(batch).length > 0 && !deciding)
    return (
      <Sheet open onClose={onClose} title={`${batch.method.name} ${batch.code}`}>
        <LateEntries batch={batch} />
        <Key look="outlined" onClick={() => setDeciding(true)}>
          {say('decide')}
        </Key>
      </Sheet>
    )
  return <DecideSheet batch={batch} findings={judgeBatch(batch, { zone: reader.zone }, now)} onClose={onClose} />
}
