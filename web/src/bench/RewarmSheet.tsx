import { REWARMED_HOW, timelineOf, type BatchState } from '@logged-thermal/core'
import { useEnter } from '../app/enter'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { NameKeys } from '../kit/NameKeys'

const SAID: Record<(typeof REWARMED_HOW)[number], [name: string, why: string]> = {
  'melted again': ['Melted again', 'to be moulded or poured: back in the cold in time'],
  'baked again': ['Baked again', 'it cools under its limits once more'],
  'warmed again': ['Warmed again', 'for any other reason'],
}

/** A set jelly melted, a tart baked once more: the oldest date stays, and the way back to the cold is judged anew. */
export function RewarmSheet({ batch, onClose }: { batch: BatchState; onClose: () => void }) {
  const enter = useEnter()
  const left = batch.terms.rewarmings - timelineOf(batch).warmings.all.length
  return (
    <Sheet open onClose={onClose} title="Into the warmth again">
      <p>
        Its last day stays as it is, and its cooling is judged anew.{' '}
        {left > 0
          ? `This house allows it ${left === 1 ? 'once more' : `${left} times more`}.`
          : 'This house allows it no more: make it new.'}
      </p>
      <NameKeys>
        {REWARMED_HOW.map((how) => (
          <Key
            key={how}
            disabled={left <= 0}
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
