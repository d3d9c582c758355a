import { benchSheetsMessages } from '@logged-thermal/wording'
import { REWARMED_HOW, timelineOf, type BatchState } from '@logged-thermal/core'
import { useEnter } from '../app/enter'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { NameKeys } from '../kit/NameKeys'
import { speaks } from '../kit/language'

const say = speaks(benchSheetsMessages)

const SAID: Record<(typeof REWARMED_HOW)[number], [name: string, why: string]> = {
  'melted again': [say('meltedAgain'), say('mouldedOrPouredBack')],
  'baked again': [say('bakedAgain'), say('coolsUnderItsLimits')],
  'warmed again': [say('warmedAgain'), say('forAnyOtherReason')],
}

/** A set jelly melted, a tart baked once more: the oldest date stays, and the way back to the cold is judged anew. */
export function RewarmSheet({ batch, onClose }: { batch: BatchState; onClose: () => void }) {
  const enter = useEnter()
  const left = batch.terms.rewarmings - timelineOf(batch).warmings.all.length
  return (
    <Sheet open onClose={onClose} title={say('intoWarmthAgain')}>
      <p>{say('itsLastDayStays', { left, hasLeft: left > 0 })}</p>
      <NameKeys>
        {REWARMED_HOW.map((how) => (
          <Key
            key={how}
            why={left <= 0 && say('itsLastDayStays', { left, hasLeft: false })}
            onClick={() => {
              enter('rewarmed', batch.id, { how })
              onClose()
            }}
          >
            {SAID[how][0]}
            <small>{SAID[how][1]}</small>
          </Key>
        ))}
      </NameKeys>
    </Sheet>
  )
}
