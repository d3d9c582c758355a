import { itemLeft } from '@logged-thermal/core'
import { asksWord, dayName, heatStatusWord, measureWords, type Reader, lineMessages } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useHand } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { Key } from '../kit/Key'
import { discardOf, useStored, type StoredItem } from '../store/useStore'
import styles from './line.module.css'
import { speaks } from '../kit/language'
import { shutUnless } from '../app/shut'

const say = speaks(lineMessages)

interface Props {
  line: LineData
  open: boolean
}

/** What batches left over and is kept: what it is, how it is, and its last day. The next to be thrown away first. */
export function KeptAside({ line, open }: Props) {
  const enter = useEnter()
  const { reader } = useHand(line)
  const kept = useStored(line, 'by-product')
  if (kept.length === 0) return null
  const isOver = ({ standing: { asks } }: StoredItem) => asks === 'discard'
  return (
    <section className={styles.keptAside} aria-label={say('keptAside')}>
      <h2 className="title">{say('keptAside')}</h2>
      <ul>
        {kept.map((one) => (
          <li key={one.item.id}>
            <span>
              {isOver(one) && <strong>{asksWord('discard', reader)}. </strong>}
              {keptWords(one, reader)}
            </span>
            <Key
              look={isOver(one) ? 'primary' : 'outlined'}
              why={shutUnless(open)}
              onClick={() => enter('item-discarded', one.item.id, discardOf(one, itemLeft(one.item)))}
            >
              {say('intoBin')}
            </Key>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** '560 g whites of 330-2, raw, bin at the end of today'. */
function keptWords({ item, standing }: StoredItem, reader: Reader): string {
  const of = item.from.find(({ type }) => type === 'batch')?.code ?? item.code
  const what = say('amountItemHeatstatusword', {
    amount: measureWords(itemLeft(item), reader),
    item: item.name.toLowerCase(),
    of,
    heatStatusWord: heatStatusWord(item.facts.heat, reader),
  })
  const [wall] = standing.walls
  if (!wall?.lastDay) return what
  if (standing.asks === 'discard') return say('itsLastDay', { what, day: dayName(wall.lastDay, reader) })
  return say('binAtEnd', { what, value: standing.daysLeft === 1 ? 'today' : dayName(wall.lastDay, reader) })
}
