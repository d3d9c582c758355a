import { useState } from 'react'
import {
  celsiusOf,
  eggOf,
  isLookedAt,
  itemLeft,
  itemStanding,
  partOf,
  partShut,
  partUnfit,
  roomTime,
  type BatchState,
  type ItemState,
  type Measure,
  type PartShut,
  type PartUsed,
  type Typed,
} from '@logged-thermal/core'
import {
  degrees,
  measureWords,
  partSentence,
  partShutSentence,
  span,
  type Reader,
  storeInMessages,
} from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useLine } from '../app/kitchen'
import { useMethodOf } from '../app/instructions'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { AmountOf } from './AmountOf'
import { LooksKeys, type Looks } from './LooksKeys'
import { ProbeRead, useProbe } from './ProbeRead'
import { ancestryIn, storeOfLine, useStored, whereIs, type StoredItem } from './useStore'
import putAwayStyles from './putAway.module.css'
import { speaks } from '../kit/language'

const say = speaks(storeInMessages)

interface Props {
  batch: BatchState
  step: string
  now: number
  onClose: () => void
  reader: Reader
}

/** Items go into a batch: which, how cold, how much. What may not go in is shut and says why. */
export function PartsSheet({ batch, step, now, onClose, reader }: Props) {
  const line = useLine()
  const method = useMethodOf(batch)
  const stored = useStored(line)
  const [chosen, setChosen] = useState<string | null>(null)
  const one = stored.find(({ item }) => item.id === chosen)
  const wanted = (method?.components ?? []).map(({ name }) => name)
  const asked = batch.terms.eggs.uses.filter((use) => use.step === step).map(({ part }) => part)
  const used = batch.facts['part-used'].filter(({ void: gone }) => !gone)
  const room = roomTime(batch, now).most
  const store = storeOfLine(line, now)
  if (!line || !store) return null
  const parts = stored
    .filter(({ item }) => !item.from.some(({ id }) => id === batch.id))
    .map((each): Offer => {
      const { item } = each
      const shut = partUnfit(item, null, batch, step, ancestryIn(line, item), store, now)
      return { one: each, shut, wants: wanted.includes(item.name) || asked.some((part) => part === eggOf(item)) }
    })
  return (
    <Sheet
      open
      onClose={onClose}
      title={one ? say('howColdHowMuch', { item: one.item.name, code: one.item.code }) : say('whichPartsGo')}
    >
      {one ? (
        <Use one={one} batch={batch} step={step} now={now} onDone={() => setChosen(null)} reader={reader} />
      ) : (
        <>
          {used.length > 0 && (
            <p role="status">
              {say('alreadyOutColdFor', {
                used: used
                  .map(
                    ({ value }) =>
                      `${value.part.name} ${value.part.code}, ${degrees(celsiusOf(value.typed), reader, 'under')}`,
                  )
                  .join('; '),
                span: span(room, reader),
                hasRoom: room > 0,
              })}
            </p>
          )}
          <div className={putAwayStyles.partsList}>
            {[...parts]
              .filter(({ shut, wants }) => shut === null || wants)
              .sort((a, b) => Number(b.wants) - Number(a.wants))
              .map(({ one: each, shut, wants }) => (
                <Key
                  key={each.item.id}
                  look={wants ? 'plain' : 'outlined'}
                  why={shut && partShutSentence(shut, reader)}
                  onClick={() => setChosen(each.item.id)}
                >
                  {each.item.name}
                  <small>
                    {each.item.code} · {measureWords(itemLeft(each.item), reader)} · {whereIs(each.item, line.units)} ·{' '}
                    {shut ? partShutSentence(shut, reader) : partSentence(each.standing, reader)}
                  </small>
                </Key>
              ))}
          </div>
          <Unfit parts={parts.filter(({ shut }) => shut !== null)} reader={reader} onIn={setChosen} />
          {parts.every(({ shut }) => shut !== null) && <p className="muted">{say('nothingHeldCouldGo')}</p>}
        </>
      )}
    </Sheet>
  )
}

interface Offer {
  one: StoredItem
  shut: PartShut | null
  /** The method names it. */
  wants: boolean
}

/** What is held and may not go in here, and why: not in the way, and not hidden. */
function Unfit({ parts, reader, onIn }: { parts: readonly Offer[]; reader: Reader; onIn: (item: string) => void }) {
  if (parts.length === 0) return null
  return (
    <details className={putAwayStyles.unfit}>
      <summary>{say('oneMoreThingMore', { parts: parts.length })}</summary>
      <ul>
        {parts.map(({ one: { item }, shut }) => (
          <li key={item.id}>
            {named(item)}: {shut && partShutSentence(shut, reader)}{' '}
            <Key look="outlined" onClick={() => onIn(item.id)}>
              {say('itIsInAlready')}
            </Key>
          </li>
        ))}
      </ul>
    </details>
  )
}

function Use({
  one: { item },
  batch,
  step,
  now,
  onDone,
  reader,
}: { one: StoredItem; onDone: () => void } & Omit<Props, 'onClose'>) {
  const enter = useEnter()
  const line = useLine()
  const probe = useProbe(line)
  const [typed, setTyped] = useState<Typed | null>(null)
  const [warm, setWarm] = useState(false)
  const [looks, setLooks] = useState<Looks>(null)
  const store = storeOfLine(line, now)
  if (!line || !store) return null
  const left = itemLeft(item)
  const against = partUnfit(item, null, batch, step, ancestryIn(line, item), store, now)
  // In already, whatever stands against it: it betters nothing, and the lead answers for it.
  const used = (measure: Measure): PartUsed | null =>
    typed && probe
      ? {
          batch: batch.id,
          step,
          measure,
          typed,
          instrument: probe.id,
          warm,
          condition: looks ? { good: looks === 'good', why: null } : null,
          part: partOf(item, itemStanding(item, store, now).exposure.time, reader.zone, now),
          ...(against ? { happened: true as const } : {}),
        }
      : null
  const tried = used({ ...left, value: Math.min(left.value, 0.1) })
  const shut = tried && !against && partShut(item, batch, tried, ancestryIn(line, item), store, now)
  return (
    <div className={putAwayStyles.putAway}>
      <section>
        {against && (
          <p role="alert">
            {say('ifAlreadySaySo', { named: named(item), partShutSentence: partShutSentence(against, reader) })}
          </p>
        )}
        <ProbeRead typed={typed} line={line} reader={reader} onTyped={setTyped} />
        {isLookedAt(item.ingredient) && <LooksKeys looks={looks} onLooks={setLooks} />}
        <ChoiceKeys
          name={say('howGoes')}
          options={['cold', 'warm'] as const}
          chosen={warm ? 'warm' : 'cold'}
          words={(each) => (each === 'cold' ? say('goesCold') : say('pouredWarmOnCold'))}
          onChoose={(each) => setWarm(each === 'warm')}
        />
        {warm && <p>{say('afterwardsTemperatureAllTogether')}</p>}
      </section>
      <section>
        {shut ? (
          <p role="alert">
            {named(item)}: {partShutSentence(shut, reader)}
          </p>
        ) : typed ? (
          <AmountOf
            item={item}
            whole
            onTake={(measure) => {
              const body = used(measure)
              // As it was judged: its time above the limit is that of this instant.
              if (body) enter('part-used', item.id, body, { at: now })
              onDone()
            }}
          />
        ) : (
          <p className="muted">{say('firstItsTemperatureThen')}</p>
        )}
        <Key look="outlined" onClick={onDone}>
          {say('anotherPart')}
        </Key>
      </section>
    </div>
  )
}

function named({ name, code }: ItemState): string {
  return `${name} ${code}`
}
