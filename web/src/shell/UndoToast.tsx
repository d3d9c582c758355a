import { backOf } from '@logged-thermal/core'
import { doneWords, itemDoneWords, shellMessages } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useLine } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { useTold } from '../app/now'
import { useAppSelector } from '../app/store'
import { UNDO_MS } from '../app/undo'
import type { AnyClaim, Bodies, Subject } from '@logged-thermal/core'
import { Toast } from '../kit/Toast'
import { speaks, spoken } from '../kit/language'

const say = speaks(shellMessages)

/** What was just done with an item, or from a sheet over a Bench, with the way back for ten seconds. */
export function UndoToast() {
  const line = useLine()
  const made = useAppSelector(({ justMade }) => justMade)
  const enter = useEnter()
  const left = useTold((now) => (made ? Math.ceil((made.madeAt + UNDO_MS - now) / 1000) : 0))
  if (!line || !made || left <= 0) return null
  const back = wayBack(line, made)
  return (
    back && (
      <Toast
        words={back.words}
        undo={say('undo')}
        left={left}
        onUndo={() => enter(back.kind, back.about, back.body as never)}
      />
    )
  )
}

interface Back<K extends 'taken-back' | 'corrected' = 'taken-back' | 'corrected'> {
  words: string
  kind: K
  about: Subject['id']
  body: Bodies[K]
}

/** How the last entry is taken back; null where no tap does that. */
function wayBack(line: LineData, made: AnyClaim): Back | null {
  const { type } = made.about
  // What was finished is an item of its own: that is what is taken back.
  const id = made.kind === 'item-finished' ? made.body.into : made.about.id
  if (type === 'item') {
    const item = line.items.find((each) => each.id === id)
    const words = item && itemDoneWords(made, item, spoken)
    const back = item && backOf(item, made.id)
    if (!words || !back || back === 'stands') return null
    return { words, kind: 'taken-back', about: id, body: { target: made.id, also: back.also } }
  }
  // On the Bench itself its own strip shows it; from a sheet over it that strip is out of reach.
  const batch = type === 'batch' ? line.batches.find((each) => each.id === id) : undefined
  const words = batch && document.querySelector('[role="dialog"]') && doneWords(made, batch, spoken)
  if (!words) return null
  const item = made.kind === 'eggs-taken' ? made.body.item : null
  return { words, kind: 'corrected', about: id, body: { target: made.id, reason: 'undo', now: 'void', item } }
}
