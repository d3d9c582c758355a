import { itemMessages } from '@logged-thermal/wording'
import { backOf, itemLeft, TAKEN_BACK_WITHIN, tapsOf } from '@logged-thermal/core'
import { useEnter } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'
import { useAsOf } from '../app/now'
import { Key } from '../kit/Key'
import { discardOf, type StoredItem } from './useStore'
import { speaks } from '../kit/language'
import { shutUnless } from '../app/shut'

const say = speaks(itemMessages)

/** The one thing to do with an item, and the way to all others. */
export function ItemKeys({ one, onMore }: { one: StoredItem; onMore: () => void }) {
  const enter = useEnter()
  const { open } = useHand(useLine())
  const { item, standing } = one
  const first = firstAction(one)
  const act = () => {
    switch (first) {
      case 'Discard':
        enter('item-discarded', item.id, discardOf(one, itemLeft(item)))
        break
      case 'Pull':
        enter('item-moved', item.id, { how: 'out', unit: null, shelf: null })
        break
      default:
        onMore()
    }
  }
  return (
    <>
      <Key
        look={standing.asks === 'discard' ? 'quiet' : 'plain'}
        aria-label={`${first} ${item.name} ${item.code}`}
        why={shutUnless(open)}
        onClick={act}
      >
        {first}
      </Key>
      <Key look="outlined" aria-label={say('moreAbout', { item: item.name, code: item.code })} onClick={onMore}>
        …
      </Key>
    </>
  )
}

/** What comes first for an item, in one tap where it can be one. */
export function firstAction({ item, standing: { asks, why } }: StoredItem): string {
  switch (asks) {
    case 'discard':
      return say('discard')
    case 'held':
    case 'lead decides':
      return say('decide')
    case 'read it':
      return say('readIt')
    case 'frozen':
      return say('thaw')
    case 'use now':
      return why === 'its own clock' ? say('sold') : say('use')
    case 'chill again':
      return say('move')
    default:
      return item.what === 'package' && item.opened.every(({ void: gone }) => gone) ? say('open') : say('pull')
  }
}

/** The last tap on an item that may still be taken back; undefined where there is none. */
export function useLastTap(item: StoredItem['item']) {
  const taps = item.undone ? [] : tapsOf(item)
  // Of those that stand so many may still be taken back: the latest.
  const may = useAsOf((now) => taps.filter(({ madeAt }) => now - madeAt < TAKEN_BACK_WITHIN).length)
  return [...taps]
    .sort((a, b) => b.madeAt - a.madeAt)
    .slice(0, may)
    .filter(({ void: gone }) => !gone)
    .flatMap(({ entry, at }) => {
      const back = backOf(item, entry)
      return back === 'stands' ? [] : [{ entry, at, also: back.also }]
    })[0]
}
