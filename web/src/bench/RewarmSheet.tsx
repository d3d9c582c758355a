import { benchSheetsMessages } from '@logged-thermal/wording'
import { timelineOf, type BatchState, type Bodies } from '@logged-thermal/core'
import { useEnter } from '../app/enter'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { NameKeys } from '../kit/NameKeys'
import { speaks } from '../kit/language'

const say = speaks(benchSheetsMessages)

const WAYS: { how: Bodies['rewarmed']['how']; name: string; why: string }[] = [
  { how: 'melted again', name: say('meltedAgain'), why: say('mouldedOrPouredBack') },
  { how: 'baked again', name: say('bakedAgain'), why: say('coolsUnderItsLimits') },
  { how: 'warmed again', name: say('warmedAgain'), why: say('forAnyOtherReason') },
]

/** A set jelly melted, a tart baked once more: the oldest date stays, and the way back to the cold is judged anew. */
export function RewarmSheet({ batch, onClose }: { batch: BatchState; onClose: () => void }) {
  const enter = useEnter()
  const left = batch.terms.rewarmings - timelineOf(batch).warmings.all.length
  return (
    <Sheet open onClose={onClose} title={say('intoWarmthAgain')}>
      <p>{say('itsLastDayStays', { left, hasLeft: left > 0 })}</p>
      <NameKeys>
        {WAYS.map(({ how, name, why }) => (
          <Key
            key={how}
            why={left <= 0 && say('itsLastDayStays', { left, hasLeft: false })}
            onClick={() => {
              enter('rewarmed', batch.id, { how })
              onClose()
            }}
          >
            {name}
            <small>{why}</small>
          </Key>
        ))}
      </NameKeys>
    </Sheet>
  )
}
