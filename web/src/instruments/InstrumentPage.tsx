import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { celsiusOf, instrumentStanding, type InstrumentCheck, type InstrumentState } from '@logged-thermal/core'
import { clock, degrees, errorWords, instrumentsMessages, type Reader } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { useNow } from '../app/now'
import { shutUnless } from '../app/shut'
import { View } from '../app/View'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { ListKeys } from '../parts/ListKeys'
import { DataTable } from '../kit/table/DataTable'
import type { Column } from '../kit/table/column'
import { Whole } from '../kit/Whole'
import { speaks } from '../kit/language'
import { useWidth } from '../parts/useWidth'
import { againstWords } from './againstWords'
import { ChangeInstrument } from './ChangeInstrument'
import { EnterCertificate } from './EnterCertificate'
import { IceLane } from './IceLane'
import { lanesOf } from './lanes'
import { resultWords } from './resultWords'
import { TakeOutOfUse } from './TakeOutOfUse'
import { weeksLens } from './weeksLens'
import styles from './page.module.css'

const say = speaks(instrumentsMessages)

/** One instrument: how it stands, every error that was found of it, and what happened to it. */
export function InstrumentPage() {
  const line = useLine()
  const { id } = useParams()
  const now = useNow()
  const { open, reader } = useHand(line)
  const navigate = useNavigate()
  const [asked, setAsked] = useState<'change' | 'gone' | 'certificate' | null>(null)
  const [ref, width] = useWidth<HTMLDivElement>(900)
  if (!line) return null
  const instrument = line.instruments.find((each) => each.id === id)
  if (!instrument) return <Whole>{say('noSuch')}</Whole>
  const { code, kind, place, history, gone } = instrument
  const [lane] = lanesOf([instrument], now)
  const { backing } = instrumentStanding(instrument, now)
  const stands = gone ? say('nothingMoreRead') : say(backing === 'not asked' ? 'stands_asked' : `stands_${backing}`)
  const failed = history.findLast((check) => !check.passed)
  return (
    <View
      place="instrument"
      sentence={
        <>
          <strong>
            {code}, {say(`kind_${kind}`)}.
          </strong>{' '}
          {stands}
        </>
      }
      keys={
        !gone && (
          <Key
            look="primary"
            why={shutUnless(open)}
            onClick={() => void navigate(`/instruments/${instrument.id}/check`)}
          >
            {say('checkIt')}
          </Key>
        )
      }
    >
      <div className={styles.page}>
        <section>
          <h2 className="title">
            {say('foundSoFar')} <small>{place ?? say('noPlace')}</small>
          </h2>
          <div ref={ref} className={styles.found}>
            <IceLane lane={lane!} lens={weeksLens(width, now)} now={now} height={110} reader={reader} />
          </div>
          {failed && (
            <Link className={styles.link} to={`/instruments/${instrument.id}/look-back`}>
              {say('lookAt')}
            </Link>
          )}
        </section>
        <section>
          <h2 className="title">{say('everyCheck')}</h2>
          <Checks instrument={instrument} line={line} reader={reader} />
          <ListKeys list="checks" name={say('everyCheck')} of={instrument.id} reader={reader} />
        </section>
        {!gone && <Happened instrument={instrument} open={open} onAsk={setAsked} />}
      </div>
      {asked === 'change' && <ChangeInstrument instrument={instrument} onClose={() => setAsked(null)} />}
      {asked === 'certificate' && (
        <EnterCertificate instrument={instrument} reader={reader} onClose={() => setAsked(null)} />
      )}
      {asked === 'gone' && <TakeOutOfUse instrument={instrument} onClose={() => setAsked(null)} />}
    </View>
  )
}

function Checks({ instrument, line, reader }: { instrument: InstrumentState; line: LineData; reader: Reader }) {
  const navigate = useNavigate()
  const { code } = instrument
  const history = [...instrument.history, ...instrument.unfounded].sort((a, b) => a.at - b.at)
  const nameOf = (id: string) => line.people.find((person) => person.id === id)?.name ?? ''
  const columns: Column<InstrumentCheck>[] = [
    { key: 'when', title: say('when'), cell: ({ at }) => clock(at, reader), value: ({ at }) => at, names: true },
    {
      key: 'against',
      title: say('against'),
      cell: ({ against, reference }) => againstWords(against, reference, line, reader),
      value: ({ against }) => against.kind,
    },
    {
      key: 'showed',
      title: say('showed'),
      cell: ({ shown }) => shown.map((typed) => degrees(celsiusOf(typed), reader)).join(' '),
      value: ({ shown }) => shown.length,
    },
    {
      key: 'error',
      title: say('error'),
      cell: ({ error }) => errorWords(instrument.kind, error, reader),
      value: ({ error }) => error,
    },
    {
      key: 'result',
      title: say('result'),
      cell: (check) => resultWords(check, instrument, line),
      value: ({ passed }) => Number(passed),
    },
    { key: 'by', title: say('by'), cell: ({ by }) => nameOf(by), value: ({ by }) => nameOf(by) },
  ]
  if (history.length === 0) return <p className="muted">{say('noChecksYet')}</p>
  return (
    <DataTable
      caption={`${say('everyCheck')}, ${code}`}
      columns={columns}
      rows={[...history].reverse()}
      rowKey={({ entry }) => entry}
      onOpen={({ entry }) => void navigate(`/instruments/${instrument.id}/certificate/${entry}`)}
    />
  )
}

/** What happens to an instrument: it falls, its battery goes, it is lost. */
function Happened({
  instrument,
  open,
  onAsk,
}: {
  instrument: InstrumentState
  open: boolean
  onAsk: (asked: 'change' | 'gone' | 'certificate') => void
}) {
  const enter = useEnter()
  const why = shutUnless(open)
  const due = (happened: 'dropped' | 'battery' | 'sensor') => enter('instrument-due', instrument.id, { why: happened })
  return (
    <section>
      <h2 className="title">{say('somethingHappened')}</h2>
      <p className="muted">{say('dueAtOnceNow')}</p>
      <KeyRow>
        <Key why={why} onClick={() => due('dropped')}>
          {say('itFell')}
        </Key>
        <Key why={why} onClick={() => due('battery')}>
          {say('newBattery')}
        </Key>
        <Key why={why} onClick={() => due('sensor')}>
          {say('newSensor')}
        </Key>
        {instrument.kind !== 'ph' && (
          <Key look="outlined" why={why} onClick={() => onAsk('certificate')}>
            {say('certificateKey')}
          </Key>
        )}
        <Key look="outlined" why={why} onClick={() => onAsk('change')}>
          {say('changeFacts')}
        </Key>
        <Key look="outlined" why={why} onClick={() => onAsk('gone')}>
          {say('outOfUse')}
        </Key>
      </KeyRow>
    </section>
  )
}
