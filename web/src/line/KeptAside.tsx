import { byProductDay, dayOf, type ItemState } from '@logged-thermal/core'
import { dayName, itemWords, type Reader } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import type { LineData } from '../app/lineData'
import { Key } from '../parts/Key'

interface Props {
  line: LineData
  now: number
  reader: Reader
  open: boolean
}

/** What batches left over and is kept: what it is, how it is, and its last day. The next to be thrown away first. */
export function KeptAside({ line, now, reader, open }: Props) {
  const enter = useEnter()
  const today = dayOf(now, reader.zone)
  const dated = line.items
    .filter(({ discarded }) => discarded === null)
    .map((item) => ({ item, lastDay: byProductDay(item, line.lots, reader.zone).lastDay ?? today }))
    .sort((a, b) => a.lastDay.localeCompare(b.lastDay))
  if (dated.length === 0) return null
  const words = (item: ItemState, lastDay: string) =>
    lastDay < today
      ? `Bin it: its last day was ${dayName(lastDay)}`
      : `${itemWords(item)}, bin at the end of ${lastDay === today ? 'today' : dayName(lastDay)}`
  return (
    <section className="kept-aside" aria-label="Kept aside">
      <h2 className="title">Kept aside</h2>
      <ul>
        {dated.map(({ item, lastDay }) => (
          <li key={item.id} className={lastDay < today ? 'over' : ''}>
            <span>
              {lastDay < today && <strong>{itemWords(item)}. </strong>}
              {words(item, lastDay)}
            </span>
            <Key
              look={lastDay < today ? 'primary' : 'outlined'}
              disabled={!open}
              onClick={() =>
                enter('item-discarded', item.id, { reason: lastDay < today ? 'past its last day' : 'not needed' })
              }
            >
              Into the bin
            </Key>
          </li>
        ))}
      </ul>
    </section>
  )
}
