import { useState } from 'react'
import { Link } from 'react-router'
import { v7 as uuid } from 'uuid'
import {
  holdOf,
  inheritedOf,
  isCold,
  itemLeft,
  moveShut,
  nextSplitCode,
  openedAt,
  placeOf,
  itemShut,
  type MoveHow,
  type UnitState,
} from '@logged-thermal/core'
import {
  clock,
  discardReasonWord,
  itemSentence,
  moveShutSentence,
  partShutSentence,
  type Reader,
} from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useHand } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { Key } from '../kit/Key'
import { NumberPad } from '../kit/NumberPad'
import { Sheet } from '../kit/Sheet'
import { AmountOf } from './AmountOf'
import { LeadKey } from './LeadKey'
import { useLastTap } from './ItemKeys'
import { ancestryIn, discardOf, storeOfLine, type StoredItem } from './useStore'
import { NameKeys } from '../kit/NameKeys'
import styles from './item.module.css'

type Asking = 'sold already' | 'move' | 'freeze' | 'thaw' | 'serve' | 'hot' | 'read' | 'sell' | 'split' | 'hold' | null

const TITLE: Record<NonNullable<Asking>, string> = {
  move: 'Into which unit?',
  freeze: 'Into which freezer? Its date clock stops',
  thaw: 'Where does it thaw? Its date clock runs on',
  serve: 'Put out for service: from now on time is its only control',
  hot: 'Into which hot well?',
  read: 'What does its core read?',
  sell: 'How much went to people?',
  'sold already': 'How much went out already?',
  split: 'How much becomes an item of its own?',
  hold: 'Why is it held?',
}

/** What can be done with an item, most of it in two taps; what is shut says why. */
export function ItemActions({
  one,
  line,
  now,
  reader,
}: {
  one: StoredItem
  line: LineData
  now: number
  reader: Reader
}) {
  const enter = useEnter()
  const { open, instrument, person } = useHand(line)
  const [asking, setAsking] = useState<Asking>(null)
  const { item, standing, bar } = one
  const lastTap = useLastTap(item)
  const store = storeOfLine(line, now)
  if (!store) return null
  const barred = bar ? { code: 'lineage' as const, what: bar.why, of: bar.code } : null
  const shut = standing.asks === 'gone' ? null : (itemShut(item, null, ancestryIn(line, item), store, now) ?? barred)
  const left = itemLeft(item)
  // What went out of it whole is still the lead's to answer for.
  const gone = left.value === 0
  const move = (how: MoveHow, unit: string | null) => {
    enter('item-moved', item.id, { how, unit, shelf: unit === null ? null : 1 })
    setAsking(null)
  }
  const goes = (how: MoveHow, unit: UnitState | null) =>
    moveShut(item, { how, unit: unit?.id ?? null, shelf: null }, unit)
  const here = placeOf(item)?.value.unit ?? null
  const units = (how: MoveHow) => line.units.filter((unit) => unit.id !== here && goes(how, unit) === null)
  const onlyDiscard = shut?.code === 'to discard' || gone || !open
  const frozen = standing.asks === 'frozen'
  const why = shut && !frozen ? partShutSentence(shut, reader) : null
  const noFreezer = goes('freeze', line.units.find(({ kind }) => kind === 'freezer') ?? null)

  const key = (name: string, act: () => void, isShut: boolean, primary = false) => (
    <Key look={isShut ? 'shut' : primary ? 'primary' : 'plain'} disabled={isShut} onClick={act}>
      {name}
    </Key>
  )
  return (
    <div className={styles.actions}>
      {key(
        frozen ? 'Thaw' : 'Pull to the bench',
        () => (frozen ? setAsking('thaw') : move('out', null)),
        onlyDiscard || (!frozen && (shut !== null || goes('out', null) !== null)),
        true,
      )}
      <div className={styles.keys}>
        {key('Move', () => setAsking('move'), onlyDiscard || units('move').length === 0)}
        {key('Read its core', () => setAsking('read'), gone || !open)}
        {shut === null
          ? key('Sold, served', () => setAsking('sell'), onlyDiscard)
          : key('Sold already', () => setAsking('sold already'), gone || !open)}
        {key('Split', () => setAsking('split'), onlyDiscard)}
        {key('Put out for service', () => setAsking('serve'), onlyDiscard || shut !== null)}
        {key('Freeze', () => setAsking('freeze'), onlyDiscard || shut !== null || noFreezer !== null)}
        {item.what === 'package' &&
          openedAt(item) === null &&
          key('Open it', () => enter('item-opened', item.id, {}), onlyDiscard || shut !== null)}
        {units('hot').length > 0 && key('Hot well', () => setAsking('hot'), onlyDiscard || shut !== null)}
        {holdOf(item) !== null || standing.asks === 'lead decides' || shut?.code === 'not proven' ? (
          <LeadKey item={item} disabled={standing.asks === 'gone'} />
        ) : (
          key('Hold', () => setAsking('hold'), gone || !open)
        )}
        <Key
          look={gone || !open ? 'shut' : 'plain'}
          className={styles.discardKey}
          disabled={gone || !open}
          onClick={() => enter('item-discarded', item.id, discardOf(one, left))}
        >
          Discard
        </Key>
        <Link className={styles.keyLink} to={`/store/lineage/item/${item.id}`}>
          Trace
        </Link>
      </div>
      {lastTap && open && (
        <Key
          look="outlined"
          onClick={() => enter('taken-back', item.id, { target: lastTap.entry, also: lastTap.also })}
        >
          {lastTap.entry === item.born
            ? `Take back: ${item.bornAs === 'item-split' ? 'not split off' : 'not put away'} after all`
            : `Take back the last tap, ${clock(lastTap.at, reader)}`}
        </Key>
      )}
      {standing.why === 'went out' && <p role="status">{itemSentence(item, standing, reader)}</p>}
      {standing.asks === 'gone' && <p className="muted">{goneWords(one, reader)}</p>}
      {why && !gone && <p className="muted">Shut: {why}</p>}
      {!why && noFreezer?.code === 'move shut' && (
        <p className="muted">Freeze is shut: {moveShutSentence(noFreezer.why)}</p>
      )}
      {asking && (
        <Sheet open onClose={() => setAsking(null)} title={TITLE[asking]}>
          {(asking === 'move' ||
            asking === 'freeze' ||
            asking === 'thaw' ||
            asking === 'hot' ||
            asking === 'serve') && (
            <NameKeys>
              {asking === 'serve' && <Key onClick={() => move('serve', null)}>Out of the cold</Key>}
              {(asking === 'serve'
                ? line.units.filter(({ kind }) => isCold(kind) && kind === 'display case')
                : units(asking)
              ).map((unit) => (
                <Key key={unit.id} onClick={() => move(asking, unit.id)}>
                  {unit.name}
                </Key>
              ))}
            </NameKeys>
          )}
          {asking === 'read' && (
            <>
              <p>{instrument ? `By ${instrument.code}.` : 'Without a probe it proves nothing, and can still deny.'}</p>
              <NumberPad
                name="Core"
                unit={`°${reader.scale}`}
                decimals={1}
                signed
                take="Log it"
                onTake={(value) => {
                  enter('item-read', item.id, {
                    typed: { value, unit: reader.scale },
                    instrument: instrument?.id ?? null,
                  })
                  setAsking(null)
                }}
              />
            </>
          )}
          {asking === 'sold already' && (
            <p>It betters nothing. What went out is listed, and the lead answers for it at once.</p>
          )}
          {(asking === 'sell' || asking === 'sold already' || asking === 'split') && (
            <AmountOf
              item={item}
              whole={asking !== 'split'}
              onTake={(measure) => {
                if (asking === 'sell') enter('item-used', item.id, { measure, then: 'sold' })
                else if (asking === 'sold already')
                  enter('item-used', item.id, { measure, then: 'sold', happened: true })
                else {
                  const as = inheritedOf(item, measure.value / item.measure.value)
                  const code = nextSplitCode(
                    item.code,
                    item.splits.map(({ value }) => value.code),
                  )
                  enter('item-split', item.id, { into: uuid(), code, measure, as })
                }
                setAsking(null)
              }}
            />
          )}
          {asking === 'hold' && (
            <NameKeys>
              {['Looks or smells wrong', 'Label missing', 'Not sure how long it was out', 'The lead asked for it'].map(
                (reason) => (
                  <Key
                    key={reason}
                    onClick={() => {
                      enter('item-held', item.id, { reason })
                      setAsking(null)
                    }}
                  >
                    {reason}
                  </Key>
                ),
              )}
            </NameKeys>
          )}
          <p className="muted">{person ? `Logged as ${person.name}.` : ''}</p>
        </Sheet>
      )}
    </div>
  )
}

function goneWords({ item }: StoredItem, reader: Reader): string {
  const { discarded, undone } = item
  if (undone) return 'Taken back: it was made by a mistaken tap, and never was.'
  return discarded && !discarded.void
    ? `Thrown away at ${clock(discarded.at, reader)}: ${discardReasonWord[discarded.value.reason].toLowerCase()}.`
    : 'All of it was used.'
}
