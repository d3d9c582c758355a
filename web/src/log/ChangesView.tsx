import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { dayOf, type Id } from '@logged-thermal/core'
import {
  changesMessages,
  clock,
  correctionReason,
  countWord,
  toldWords,
  type Names,
  type Reader,
} from '@logged-thermal/wording'
import { sentenceOf, useChangesQuery } from '../app/api'
import type { Changed } from '../app/logAnswers'
import { useHand, useLine } from '../app/kitchen'
import { useAsOf } from '../app/now'
import { pageOf } from '../app/pageOf'
import { View } from '../app/View'
import { JudgeLate } from '../decide/JudgeLate'
import { Key } from '../kit/Key'
import { DataTable } from '../kit/table/DataTable'
import type { Column } from '../kit/table/column'
import { speaks, spoken } from '../kit/language'
import { periodOf, useAsked } from './asked'
import { LogNav } from './LogNav'
import { DayStep, HowLong } from './Period'
import { takenBackRow, type ChangeRow } from './takenBackRow'
import styles from './log.module.css'

const say = speaks(changesMessages)

/** What came late, was put right or taken back, with what stood before; the lead lets each count, or does not. */
export function ChangesView() {
  const line = useLine()
  const { reader, open } = useHand(line)
  const today = useAsOf((at) => dayOf(at, reader.zone))
  const [asked, ask] = useAsked(today)
  const { from, to } = periodOf(asked, reader.zone)
  const { data, error } = useChangesQuery({ from, to, seq: line?.seq ?? 0 }, { skip: line === null })
  const [judged, setJudged] = useState<Changed | null>(null)
  const person = (id: Id) => line?.people.find((each) => each.id === id)?.name ?? ''
  const rows = useMemo(() => {
    if (!data) return []
    const names: Names = { of: (id) => data.names[id] ?? null, person: () => '', instrument: () => null }
    return [
      ...data.changes.map((change) => rowOf(change, reader)),
      ...data.takenBack.map((struck) => takenBackRow(struck, names, reader)),
    ].sort((a, b) => Number(b.stands === 'waits') - Number(a.stands === 'waits') || b.madeAt - a.madeAt)
  }, [data, reader])
  if (!line) return null
  const waiting = rows.filter(({ stands }) => stands === 'waits').length
  const columns: Column<ChangeRow>[] = [
    { key: 'when', title: say('when'), value: ({ madeAt }) => madeAt, cell: ({ madeAt }) => clock(madeAt, reader) },
    {
      key: 'of',
      title: say('of'),
      names: true,
      value: ({ name }) => name,
      cell: ({ name, path }) => <Link to={path}>{name}</Link>,
    },
    {
      key: 'before',
      title: say('before'),
      value: ({ before }) => before ?? '',
      cell: ({ before }) => (before === null ? <i>{say('cameLate')}</i> : <s>{before}</s>),
    },
    {
      key: 'after',
      title: say('after'),
      value: ({ after }) => after ?? say('takenBack'),
      cell: ({ after }) => <b>{after ?? say('takenBack')}</b>,
    },
    { key: 'why', title: say('why'), value: ({ reason }) => reason, cell: ({ reason }) => reason },
    { key: 'by', title: say('by'), value: ({ by }) => person(by), cell: ({ by }) => person(by) },
    {
      key: 'counts',
      title: say('counts'),
      value: ({ stands }) => say(`stands_${stands}`),
      cell: ({ stands, decided, by, change }) => (
        <span className={styles.counts}>
          {stands === 'waits' && change ? (
            <Key look="outlined" disabled={!open} onClick={() => setJudged(change)}>
              {say('judge')}
            </Key>
          ) : (
            say(`stands_${stands}`)
          )}
          {decided && (
            <small>
              {say('decidedBy', { name: person(decided.by), reason: decided.reason })}
              {decided.by === by && <b> · {say('own')}</b>}
            </small>
          )}
        </span>
      ),
    },
  ]
  return (
    <View
      place="changes"
      busy={!data}
      spoken
      sentence={
        data ? (
          <strong>
            {rows.length === 0
              ? say('nothing')
              : waiting === 0
                ? say('noneWaits')
                : say('waitForLead', { count: waiting, word: countWord(waiting, reader) })}
          </strong>
        ) : error ? (
          sentenceOf(error)
        ) : (
          say('looking')
        )
      }
    >
      <div className={styles.changes}>
        <LogNav />
        <div className={styles.period}>
          <DayStep asked={asked} ask={ask} today={today} reader={reader} />
          <HowLong asked={asked} ask={ask} />
        </div>
        {rows.length > 0 && (
          <DataTable
            caption={say('table')}
            columns={columns}
            rows={rows}
            rowKey={({ entry }) => entry}
            file="corrections"
            isChosen={({ stands }) => stands === 'waits'}
          />
        )}
        {data?.more && <p className="muted">{say('shorter')}</p>}
      </div>
      {judged && (
        <JudgeLate
          title={say('judgeTitle', { what: judged.batch.name, code: judged.batch.code })}
          entries={[{ type: 'batch', id: judged.batch.id, entry: judged.entry }]}
          onClose={() => setJudged(null)}
        />
      )}
    </View>
  )
}

function rowOf(change: Changed, reader: Reader): ChangeRow {
  const { entry, kind, was, now, by, madeAt, reason, stands, decided, batch } = change
  const told = (each: NonNullable<Changed['was']>) => toldWords(kind, each, batch.steps, reader)
  return {
    entry,
    madeAt,
    name: `${batch.name} ${batch.code}`,
    path: pageOf({ type: 'batch', id: batch.id }),
    before: was && told(was),
    after: now === 'void' ? null : told(now),
    reason: reason === null ? '' : correctionReason(reason, spoken),
    by,
    stands,
    decided,
    change,
  }
}
