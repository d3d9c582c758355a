import { useMemo, useState } from 'react'
import { DAY } from '@logged-thermal/core'
import { standingWord, transcribedMessages } from '@logged-thermal/wording'
import { sentenceOf } from '../app/api'
import { useHand, useLine } from '../app/kitchen'
import { useAsOf } from '../app/now'
import { View } from '../app/View'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { later } from '../kit/later'
import { DataTable } from '../kit/table/DataTable'
import type { Column } from '../kit/table/column'
import { speaks, spoken } from '../kit/language'
import { LogNav } from '../log/LogNav'
import { beganWords, readingsWords } from './rowWords'
import { useTranscribedQuery, type TranscribedRow } from './transcribedApi'
import styles from './transcribed.module.css'

const say = speaks(transcribedMessages)
const BringIn = later(() => import('./BringIn'), 'BringIn')

/** Nothing older is kept. */
const LONGEST = 3650 * DAY

interface Dish {
  what: string
  count: number
  missed: number
}

/** Coolings out of logs that were kept elsewhere: history, which can only show what was too slow. */
export function TranscribedView() {
  const line = useLine()
  const { person, reader, open } = useHand(line)
  const to = useAsOf((now) => Math.ceil(now / DAY) * DAY)
  const { data, error } = useTranscribedQuery({ from: to - LONGEST, to, seq: line?.seq ?? 0 }, { skip: line === null })
  const [bringing, setBringing] = useState(false)
  const [wanted, setWanted] = useState('')
  const rows = useMemo(() => (data?.rows ?? []).filter(({ what }) => fits(what, wanted)), [data, wanted])
  const dishes = useMemo(() => byDish(rows), [rows])
  if (!line) return null
  const columns: Column<TranscribedRow>[] = [
    {
      key: 'when',
      title: say('when'),
      value: ({ readings }) => readings[0]!.at,
      cell: (row) => beganWords(row, reader),
    },
    { key: 'what', title: say('dish'), names: true, value: ({ what }) => what, cell: ({ what }) => what },
    {
      key: 'read',
      title: say('read'),
      value: (row) => readingsWords(row, reader),
      cell: (row) => readingsWords(row, reader),
    },
    {
      key: 'stands',
      title: say('stands'),
      value: ({ standing }) => standingWord(standing, spoken),
      cell: ({ standing }) => standingWord(standing, spoken),
    },
    { key: 'note', title: say('note'), value: ({ note }) => note ?? '', cell: ({ note }) => note },
    {
      key: 'from',
      title: say('from'),
      value: ({ source }) => source,
      cell: ({ source, line: of }) => say('lineOf', { source, line: of }),
    },
  ]
  const dishColumns: Column<Dish>[] = [
    { key: 'what', title: say('dish'), names: true, value: ({ what }) => what, cell: ({ what }) => what },
    { key: 'count', title: say('coolings'), value: ({ count }) => count, cell: ({ count }) => count },
    { key: 'missed', title: say('tooSlow'), value: ({ missed }) => missed, cell: ({ missed }) => missed },
  ]
  const count = data ? data.counts.missed + data.counts.unproven : 0
  return (
    <View
      place="transcribed"
      busy={!data}
      keys={
        person?.role === 'lead' && open && !bringing ? (
          <Key look="outlined" onClick={() => setBringing(true)}>
            {say('bringIn')}
          </Key>
        ) : null
      }
      sentence={
        <strong>
          {data
            ? count === 0
              ? say('none')
              : say('sentence', { count, missed: data.counts.missed })
            : error
              ? sentenceOf(error)
              : say('looking')}
        </strong>
      }
    >
      <div className={styles.view}>
        <LogNav />
        {bringing ? (
          <BringIn onDone={() => setBringing(false)} />
        ) : (
          <>
            <p className="muted">{say('history')}</p>
            {data && count > 0 && (
              <>
                <Field className={styles.find} label={say('find')} mode="search" value={wanted} onValue={setWanted} />
                {dishes.length > 1 && (
                  <>
                    <h2 className="title">{say('byDish')}</h2>
                    <DataTable
                      caption={say('byDish')}
                      columns={dishColumns}
                      rows={dishes}
                      rowKey={({ what }) => what}
                    />
                  </>
                )}
                <DataTable
                  caption={say('all')}
                  columns={columns}
                  rows={rows}
                  rowKey={({ entry, line: of }) => `${entry} ${of}`}
                  file="old-logs"
                  isChosen={({ standing }) => standing === 'missed'}
                />
                {data.more && <p className="muted">{say('more')}</p>}
              </>
            )}
          </>
        )}
      </div>
    </View>
  )
}

function fits(what: string, wanted: string): boolean {
  return what.toLowerCase().includes(wanted.trim().toLowerCase())
}

/** Dishes by their names, those that were too slow most often first. */
function byDish(rows: readonly TranscribedRow[]): Dish[] {
  const dishes = new Map<string, Dish>()
  for (const { what, standing } of rows) {
    const key = what.toLowerCase()
    const dish = dishes.get(key) ?? { what, count: 0, missed: 0 }
    dishes.set(key, { ...dish, count: dish.count + 1, missed: dish.missed + Number(standing === 'missed') })
  }
  return [...dishes.values()].sort((a, b) => b.missed - a.missed || b.count - a.count)
}
