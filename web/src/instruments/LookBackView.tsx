import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { passBefore, type Accepted, type Id, type InstrumentCheck, type InstrumentState } from '@logged-thermal/core'
import { difference, lookBackMessages, type Reader } from '@logged-thermal/wording'
import { sentenceOf, useLookBackQuery, type LookBackAnswer, type LookedBackBatch } from '../app/api'
import { useHand, useLine } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { shutUnless } from '../app/shut'
import { View } from '../app/View'
import { Key } from '../kit/Key'
import { Whole } from '../kit/Whole'
import { speaks } from '../kit/language'
import { AcceptReadings } from './AcceptReadings'
import { Holding, OthersInDoubt, UnitsInDoubt } from './AlsoInDoubt'
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
  const lots = data.lots.filter(({ waits }) => waits).length
  const waiting = lots > 0 ? say('lotsInDoubt', { count: lots }) : null
  if (data.batches.length + data.lots.length + data.items.length + data.units.length === 0)
    return <strong>{say('noneInDoubt')}</strong>
  if (breaks === 0 && waiting) return <strong>{waiting}</strong>
  return (
    <>
      <strong>{say('inDoubt', { count: breaks })}</strong>{' '}
      {open.length === 0 ? say('decidedAll') : say('stillPass', { count: open.length - breaks })} {waiting}
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
  const hand = useHand(line)
  const navigate = useNavigate()
  const [deciding, setDeciding] = useState<Id | null>(null)
  const [accepting, setAccepting] = useState<{ what: string; entries: Accepted[] } | null>(null)
  const why = shutUnless(hand.open)
  const accept = (batches: readonly LookedBackBatch[]) => {
    const [only] = batches
    const what =
      batches.length === 1 ? say('theBatch', { code: only!.code }) : say('theBatches', { count: batches.length })
    setAccepting({ what, entries: batches.flatMap(({ id, doubted }) => entriesOf('batch', id, doubted)) })
  }
  const wrongWay = difference(check.error, reader)
  const holding = data.batches.filter(({ risk, decidedAt }) => risk === 'holds' && decidedAt === null)
  const open = data.batches.filter(({ risk, decidedAt }) => risk !== 'holds' && decidedAt === null)
  const decided = data.batches.filter(({ decidedAt }) => decidedAt !== null)
  const running = new Set(line.batches.map((batch) => batch.id))
  const rowsOf = (batches: readonly LookedBackBatch[]) =>
    batches.length > 0 && (
      <>
        <Titles wrongWay={wrongWay} />
        {batches.map((batch) => (
          <LookedBackRow
            key={batch.id}
            {...{ batch, line, reader, why }}
            isRunning={running.has(batch.id)}
            onDecide={() => (running.has(batch.id) ? void navigate(`/bench/${batch.id}`) : setDeciding(batch.id))}
            onAccept={() => accept([batch])}
          />
        ))}
      </>
    )
  return (
    <div className={styles.lookBack}>
      <FailedLane {...{ instrument, check, reader }} batches={data.batches} />
      <div className={styles.rows}>
        <Through {...{ line, instrument, check }} />
        {rowsOf(open)}
        <Holding batches={holding} />
        <OthersInDoubt {...{ data, reader, why }} />
        <UnitsInDoubt
          units={data.units}
          why={why}
          onAccept={({ id, name, doubted }) => setAccepting({ what: name, entries: entriesOf('unit', id, doubted) })}
        />
        {rowsOf(decided)}
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

function Titles({ wrongWay }: { wrongWay: string }) {
  return (
    <div className={styles.head} aria-hidden="true">
      <span>{say('atWorst')}</span>
      <span>{say('whatBreaks')}</span>
      <span>{say('wrongWay', { degrees: wrongWay })}</span>
      <span>{say('whereItIs')}</span>
      <span />
    </div>
  )
}

/** What was checked against it meanwhile. */
function Through({ line, instrument, check }: Pick<FoundProps, 'line' | 'instrument' | 'check'>) {
  const since = passBefore(instrument.history, check.at)?.at ?? -Infinity
  const codes = line.instruments
    .filter(({ unfounded }) =>
      unfounded.some(({ against, at }) => against.kind === 'instrument' && against.id === instrument.id && at >= since),
    )
    .map(({ code }) => code)
  return codes.length > 0 ? (
    <p className={styles.through}>{say('through', { codes: codes.join(', '), count: codes.length })}</p>
  ) : null
}

function entriesOf(type: Accepted['type'], id: Id, entries: readonly Id[]): Accepted[] {
  return entries.map((entry) => ({ type, id, entry }))
}
