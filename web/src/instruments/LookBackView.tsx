import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import type { Accepted, Id, InstrumentCheck, InstrumentState } from '@logged-thermal/core'
import { clock, difference, lookBackMessages, type Reader } from '@logged-thermal/wording'
import { sentenceOf, useLookBackQuery, type LookBackAnswer, type LookedBackBatch } from '../app/api'
import { useHand, useLine } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { shutUnless } from '../app/shut'
import { View } from '../app/View'
import { Key } from '../kit/Key'
import { Whole } from '../kit/Whole'
import { speaks } from '../kit/language'
import { AcceptReadings } from './AcceptReadings'
import { DecideLot } from '../decide/DecideLot'
import { DecideLookedBack } from './DecideLookedBack'
import { FailedLane } from './FailedLane'
import { LookedBackRow } from './LookedBackRow'
import { instrumentsMessages } from '@logged-thermal/wording'
import styles from './lookBack.module.css'

const say = speaks(lookBackMessages)
const told = speaks(instrumentsMessages)

/** Everything that a failed instrument read since its last pass, judged again with its error both ways. */
export function LookBackView() {
  const line = useLine()
  const { id } = useParams()
  const { reader } = useHand(line)
  const instrument = line?.instruments.find((each) => each.id === id)
  const { data, error } = useLookBackQuery({ id: id ?? '', seq: line?.seq ?? 0 }, { skip: !line })
  if (!line) return null
  if (!instrument) return <Whole>{told('noSuch')}</Whole>
  const { code } = instrument
  return (
    <View place="lookBack" busy={!data} sentence={<Sentence data={data} code={code} />}>
      {error && !data && <p className="sentence">{sentenceOf(error)}</p>}
      {data?.check && <Found {...{ line, instrument, reader }} data={data} check={data.check} />}
    </View>
  )
}

function Sentence({ data, code }: { data: LookBackAnswer | undefined; code: string }) {
  if (!data) return <strong>{say('lookBackOf', { code })}</strong>
  if (!data.check) return <strong>{say('neverFailed', { code })}</strong>
  const open = data.batches.filter(({ decidedAt }) => decidedAt === null)
  const breaks = open.filter(({ risk }) => risk !== 'holds').length
  if (data.batches.length === 0) return <strong>{say('noneInDoubt')}</strong>
  return (
    <>
      <strong>{say('inDoubt', { count: breaks })}</strong>{' '}
      {open.length === 0 ? say('decidedAll') : say('stillPass', { count: open.length - breaks })}
    </>
  )
}

interface FoundProps {
  line: LineData
  instrument: InstrumentState
  data: LookBackAnswer
  check: InstrumentCheck
  reader: Reader
}

function Found({ line, instrument, data, check, reader }: FoundProps) {
  const { open } = useHand(line)
  const navigate = useNavigate()
  const [deciding, setDeciding] = useState<Id | null>(null)
  const [accepting, setAccepting] = useState<{ what: string; entries: Accepted[] } | null>(null)
  const why = shutUnless(open)
  const accept = (batches: readonly LookedBackBatch[]) => {
    const [only] = batches
    const what =
      batches.length === 1 ? say('theBatch', { code: only!.code }) : say('theBatches', { count: batches.length })
    setAccepting({ what, entries: batches.flatMap(({ id, doubted }) => entriesOf('batch', id, doubted)) })
  }
  const wrongWay = difference(check.error, reader)
  const holding = data.batches.filter(({ risk, decidedAt }) => risk === 'holds' && decidedAt === null)
  const running = new Set(line.batches.map((batch) => batch.id))
  return (
    <div className={styles.lookBack}>
      <FailedLane {...{ instrument, check, reader }} batches={data.batches} />
      <div className={styles.rows}>
        <div className={styles.head} aria-hidden="true">
          <span>{say('atWorst')}</span>
          <span>{say('whatBreaks')}</span>
          <span>{say('wrongWay', { degrees: wrongWay })}</span>
          <span>{say('whereItIs')}</span>
          <span />
        </div>
        {data.batches
          .filter(({ risk, decidedAt }) => risk !== 'holds' || decidedAt !== null)
          .map((batch) => (
            <LookedBackRow
              key={batch.id}
              {...{ batch, line, reader, why }}
              isRunning={running.has(batch.id)}
              onDecide={() => (running.has(batch.id) ? void navigate(`/bench/${batch.id}`) : setDeciding(batch.id))}
              onAccept={() => accept([batch])}
            />
          ))}
        <Holding batches={holding} />
        <Others {...{ data, reader, why }} />
        <Units
          units={data.units}
          why={why}
          onAccept={({ id, name, doubted }) => setAccepting({ what: name, entries: entriesOf('unit', id, doubted) })}
        />
      </div>
      <footer className={styles.foot}>
        <p>
          {holding.length > 0 && (
            <strong>{say('holdsEitherWay', { count: holding.length, degrees: wrongWay })} </strong>
          )}
          {say('leftIsBarred')}
        </p>
        {holding.length > 0 && (
          <Key look="primary" why={why} onClick={() => accept(holding)}>
            {say('letCount', { count: holding.length })}
          </Key>
        )}
        <Key look="outlined" onClick={() => window.print()}>
          {say('printList')}
        </Key>
      </footer>
      {deciding && <DecideLookedBack batch={deciding} onClose={() => setDeciding(null)} />}
      {accepting && <AcceptReadings {...accepting} onClose={() => setAccepting(null)} />}
    </div>
  )
}

function entriesOf(type: Accepted['type'], id: Id, entries: readonly Id[]): Accepted[] {
  return entries.map((entry) => ({ type, id, entry }))
}

/** Units whose air it read: what was in them counts as unread for that time. */
function Units({
  units,
  why,
  onAccept,
}: {
  units: LookBackAnswer['units']
  why: string | null
  onAccept: (unit: LookBackAnswer['units'][number]) => void
}) {
  if (units.length === 0) return null
  return (
    <section className={styles.others}>
      <h2 className="title">{say('unitsTitle')}</h2>
      <p className="muted">{say('unitsWait')}</p>
      <ul>
        {units.map((unit) => (
          <li key={unit.id}>
            <strong>{unit.name}</strong> <small>{say('looksInDoubt', { count: unit.doubted.length })}</small>{' '}
            <Key
              look="quiet"
              why={why}
              aria-label={`${say('letThisCount')}, ${unit.name}`}
              onClick={() => onAccept(unit)}
            >
              {say('letThisCount')}
            </Key>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What holds either way: named, so that nobody has to guess what is let count together. */
function Holding({ batches }: { batches: readonly LookedBackBatch[] }) {
  if (batches.length === 0) return null
  return (
    <section className={styles.others}>
      <h2 className="title">{say('holdsTitle')}</h2>
      <ul>
        {batches.map(({ id, code, name }) => (
          <li key={id}>
            <strong>{code}</strong> {name}
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What else it read: things that are held, and lots at the door. */
function Others({ data: { items, lots }, reader, why }: { data: LookBackAnswer; reader: Reader; why: string | null }) {
  return (
    <>
      {items.length > 0 && (
        <section className={styles.others}>
          <h2 className="title">{say('itemsTitle')}</h2>
          <p className="muted">{say('readAgain')}</p>
          <ul>
            {items.map(({ id, code, name, decided }) => (
              <li key={id}>
                <strong>{code}</strong> {name} {decided && <small>{say('decidedMark')}</small>}
              </li>
            ))}
          </ul>
        </section>
      )}
      {lots.length > 0 && (
        <section className={styles.others}>
          <h2 className="title">{say('lotsTitle')}</h2>
          {lots.some(({ waits }) => waits) && <p className="muted">{say('lotsWait')}</p>}
          <ul>
            {lots.map((lot) => (
              <li key={lot.id} data-lot={lot.code}>
                <strong>{lot.code}</strong> {lot.name}{' '}
                <small>{say('lotReceivedAt', { time: clock(lot.receivedAt, reader) })}</small>{' '}
                {lot.decided && <small>{say('decidedMark')}</small>}
                {lot.waits && <DecideLot lot={lot} item={lot.item} why={why} />}
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  )
}
