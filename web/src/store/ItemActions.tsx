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
  sampleRule,
  type Kind,
  type MoveHow,
  type UnitState,
} from '@logged-thermal/core'
import {
  clock,
  discardReasonWord,
  dispatchMessages,
  finishMessages,
  itemSentence,
  moveShutSentence,
  partShutSentence,
  type Reader,
  itemMessages,
  tracesMessages,
} from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useHand } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { Key } from '../kit/Key'
import { NumberPad } from '../kit/NumberPad'
import { Sheet } from '../kit/Sheet'
import { AmountOf } from './AmountOf'
import { DispatchSheet } from './dispatch/DispatchSheet'
import { FinishSheet } from './finish/FinishSheet'
import { finishBarred } from './finish/finishing'
import { KeepSample } from '../traces/KeepSample'
import { LeadKey } from './LeadKey'
import { useLastTap } from './ItemKeys'
import { ancestryIn, discardOf, storeOfLine, type StoredItem } from './useStore'
import { NameKeys } from '../kit/NameKeys'
import styles from './item.module.css'
import { shutUnless } from '../app/shut'
import { speaks } from '../kit/language'

const say = speaks(itemMessages)
const finishWords = speaks(finishMessages)
const traceWords = speaks(tracesMessages)
const dispatchWords = speaks(dispatchMessages)

type Asking =
  | 'finish'
  | 'dispatch'
  | 'sold already'
  | 'move'
  | 'freeze'
  | 'thaw'
  | 'serve'
  | 'hot'
  | 'read'
  | 'sell'
  | 'split'
  | 'hold'
  | 'sample'
  | null

const TITLE: Record<Exclude<Asking, 'finish' | 'dispatch' | 'sample' | null>, string> = {
  move: say('intoWhichUnit'),
  freeze: say('intoWhichFreezerIts'),
  thaw: say('whereDoesThawIts'),
  serve: say('putOutForService'),
  hot: say('intoWhichHotWell'),
  read: say('whatDoesItsCore'),
  sell: say('howMuchWentPeople'),
  'sold already': say('howMuchWentOut'),
  split: say('howMuchBecomesItem'),
  hold: say('whyHeld'),
}

/** How it came to be, where a tap takes it back. */
const BORN: Partial<Record<Kind, 'split' | 'finished'>> = { 'item-split': 'split', 'item-finished': 'finished' }

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
  const against = standing.asks === 'gone' ? null : finishBarred(item, line, store, now)
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
  // Also while it hardens.
  const frozen = standing.asks === 'frozen' || shut?.code === 'frozen'
  const why = shut && !frozen ? partShutSentence(shut, reader) : null
  const noFreezer = goes('freeze', line.units.find(({ kind }) => kind === 'freezer') ?? null)

  const because =
    shutUnless(open) ?? (gone ? say('itIsGone') : shut ? partShutSentence(shut, reader) : say('nowhereForIt'))
  const key = (name: string, act: () => void, isShut: boolean, primary = false) => (
    <Key look={primary ? 'primary' : 'plain'} why={isShut && because} onClick={act}>
      {name}
    </Key>
  )
  return (
    <div className={styles.actions}>
      {key(
        frozen ? say('thaw') : say('pullBench'),
        () => (frozen ? setAsking('thaw') : move('out', null)),
        onlyDiscard || (!frozen && (shut !== null || goes('out', null) !== null)),
        true,
      )}
      <div className={styles.keys}>
        {key(say('move'), () => setAsking('move'), onlyDiscard || units('move').length === 0)}
        {key(say('readItsCore'), () => setAsking('read'), gone || !open)}
        {shut === null || shut.code === 'frozen'
          ? key(say('soldServed'), () => setAsking('sell'), onlyDiscard)
          : key(say('soldAlready'), () => setAsking('sold already'), gone || !open)}
        {key(
          finishWords(against ? 'finishedAlready' : 'finish'),
          () => setAsking('finish'),
          gone || !open || against?.code === 'is egg',
        )}
        {key(dispatchWords(against ? 'sentAlready' : 'sendOut'), () => setAsking('dispatch'), gone || !open)}
        {key(say('split'), () => setAsking('split'), onlyDiscard)}
        {key(say('putOutForService2'), () => setAsking('serve'), onlyDiscard || shut !== null)}
        {key(say('freeze'), () => setAsking('freeze'), onlyDiscard || shut !== null || noFreezer !== null)}
        {item.what === 'package' &&
          openedAt(item) === null &&
          key(say('openIt'), () => enter('item-opened', item.id, {}), onlyDiscard || shut !== null)}
        {units('hot').length > 0 && key(say('hotWell'), () => setAsking('hot'), onlyDiscard || shut !== null)}
        {sampleRule(store.limits.ruleSet.key) &&
          key(traceWords('keepSample'), () => setAsking('sample'), gone || !open)}
        {holdOf(item) !== null || standing.asks === 'lead decides' || shut?.code === 'not proven' ? (
          <LeadKey item={item} disabled={standing.asks === 'gone'} />
        ) : (
          key(say('hold'), () => setAsking('hold'), gone || !open)
        )}
        <Key
          className={styles.discardKey}
          why={(gone || !open) && because}
          onClick={() => enter('item-discarded', item.id, discardOf(one, left))}
        >
          {say('discard')}
        </Key>
        <Link className={styles.keyLink} to={`/store/lineage/item/${item.id}`}>
          {say('trace')}
        </Link>
      </div>
      {lastTap && open && (
        <Key
          look="outlined"
          onClick={() => enter('taken-back', item.id, { target: lastTap.entry, also: lastTap.also })}
        >
          {lastTap.entry === item.born
            ? say('takeBackNotSplit', { bornAs: BORN[item.bornAs] ?? 'other' })
            : say('takeBackLastTap', { time: clock(lastTap.at, reader) })}
        </Key>
      )}
      {standing.why === 'went out' && <p role="status">{itemSentence(item, standing, reader)}</p>}
      {standing.asks === 'gone' && (
        <p className="muted">
          {goneWords(one, reader)} <FinishedSince item={item} line={line} />
        </p>
      )}
      {why && !gone && <p className="muted">{say('shutWhy', { why })}</p>}
      {!why && noFreezer && (
        <p className="muted">{say('freezeShut', { moveShutSentence: moveShutSentence(noFreezer, reader) })}</p>
      )}
      {asking === 'finish' && (
        <FinishSheet
          base={item}
          line={line}
          now={now}
          reader={reader}
          happened={against !== null}
          onClose={() => setAsking(null)}
        />
      )}
      {asking === 'dispatch' && (
        <DispatchSheet
          item={item}
          line={line}
          now={now}
          reader={reader}
          happened={against !== null}
          onClose={() => setAsking(null)}
        />
      )}
      {asking === 'sample' && <KeepSample item={item} zone={reader.zone} onClose={() => setAsking(null)} />}
      {asking && asking !== 'finish' && asking !== 'dispatch' && asking !== 'sample' && (
        <Sheet open onClose={() => setAsking(null)} title={TITLE[asking]}>
          {(asking === 'move' ||
            asking === 'freeze' ||
            asking === 'thaw' ||
            asking === 'hot' ||
            asking === 'serve') && (
            <NameKeys>
              {asking === 'serve' && <Key onClick={() => move('serve', null)}>{say('outCold')}</Key>}
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
              <p>{instrument ? say('byCode', { code: instrument.code }) : say('withoutProbeProvesNothing')}</p>
              <NumberPad
                name={say('core')}
                unit={`°${reader.scale}`}
                decimals={1}
                signed
                take={say('logIt')}
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
          {asking === 'sold already' && <p>{say('bettersNothingWhatWent')}</p>}
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
              {[say('looksOrSmellsWrong'), say('labelMissing'), say('notSureHowLong'), say('leadAskedFor')].map(
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
          <p className="muted">{person ? say('loggedAs', { person: person.name }) : ''}</p>
        </Sheet>
      )}
    </div>
  )
}

/** All of it was finished: the way to what it is now. */
function FinishedSince({ item, line }: { item: StoredItem['item']; line: LineData }) {
  const split = item.splits.findLast(({ void: back, value }) => !back && value.code === item.code)
  const now = split && line.items.find(({ id }) => id === split.value.into)
  return (
    now && (
      <Link to={`/store/item/${now.id}`}>
        {finishWords('becameFinished')} {now.name} {now.code}
      </Link>
    )
  )
}

function goneWords({ item }: StoredItem, reader: Reader): string {
  const { discarded, undone } = item
  if (undone) return say('takenBackMadeBy')
  return discarded && !discarded.void
    ? say('thrownAwayAt', {
        time: clock(discarded.at, reader),
        discardReasonWord: discardReasonWord(discarded.value.reason, reader).toLowerCase(),
      })
    : say('allUsed')
}
