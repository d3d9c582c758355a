import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { dayOf, isClosing, itemLeft, startOfDay } from '@logged-thermal/core'
import { asksWord, clock, discardReasonWord, itemSentence, measureWords, type Reader } from '@logged-thermal/wording'
import { useDiscardedQuery } from '../app/api'
import { useEnter } from '../app/enter'
import { View } from '../app/View'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { numberIn } from './numberIn'
import { StoreNav } from './StoreNav'
import { discardOf, limitsOfLine, useStored, whereIs, type StoredItem } from './useStore'
import { SelectField } from '../kit/SelectField'
import { clsx } from 'clsx'
import binStyles from './bin.module.css'
import itemStyles from './item.module.css'

/** What goes today, one tap each; what ends at midnight; what has no date. Totals by reason, with weight and cost. */
export function BinRound() {
  const now = useNow()
  const line = useLine()
  const { reader, open } = useHand(line)
  const stored = useStored(line)
  const [finding, setFinding] = useState(false)
  const limits = limitsOfLine(line, now)
  if (!line || !limits) return null
  const goes = stored.filter(({ standing: { asks } }) => asks === 'discard')
  const tonight = stored.filter(({ standing: { asks } }) => asks === 'use today')
  const asked = stored.filter(({ standing: { asks } }) => ['lead decides', 'held', 'read it'].includes(asks))
  const closing = isClosing(limits.practice, reader.zone, now)
  return (
    <View
      place="bin"
      spoken
      sentence={
        <>
          {goes.length ? (
            <>
              <strong className="urgent">
                {goes.length === 1 ? 'One thing goes' : `${goes.length} things go`} into the bin now.
              </strong>{' '}
              {tonight.length ? `${tonight.length} more at midnight.` : ''}
            </>
          ) : (
            <>
              <strong>Nothing has to go now.</strong>{' '}
              {tonight.length
                ? `${tonight.length === 1 ? 'One ends' : `${tonight.length} end`} at midnight.`
                : 'Nothing ends tonight.'}
            </>
          )}
        </>
      }
    >
      <div className={binStyles.bin}>
        <StoreNav />
        <div className={binStyles.columns}>
          <div className={binStyles.lists} tabIndex={0} role="region" aria-label="Bin round">
            <BinList title="Goes now" all={goes} units={line.units} reader={reader} open={open} />
            <BinList
              title={
                closing
                  ? 'Ends at midnight: use it or bin it before you go'
                  : `Ends at midnight. Shown at closing, ${limits.practice.closing}`
              }
              all={tonight}
              units={line.units}
              reader={reader}
              open={open}
              quiet
            />
            <BinList
              title="Waits for a reading or the lead"
              all={asked}
              units={line.units}
              reader={reader}
              open={open}
              quiet
            />
          </div>
          <aside>
            <Key disabled={!open} onClick={() => setFinding(true)}>
              Found something without a date
            </Key>
            <Totals now={now} reader={reader} seq={line.seq} />
          </aside>
        </div>
      </div>
      {finding && <Find onClose={() => setFinding(false)} />}
    </View>
  )
}

function BinList({
  title,
  all,
  units,
  reader,
  open,
  quiet = false,
}: {
  title: string
  all: readonly StoredItem[]
  units: Parameters<typeof whereIs>[1]
  reader: Reader
  open: boolean
  quiet?: boolean
}) {
  const enter = useEnter()
  if (all.length === 0) return null
  return (
    <section aria-label={title}>
      <h2 className={clsx('title', itemStyles.head)}>{title}</h2>
      <ul>
        {all.map((one) => (
          <li key={one.item.id} className={binStyles.row} data-item={one.item.code}>
            <span>
              <strong>{one.item.name}</strong>
              <small>
                {one.item.code} · {whereIs(one.item, units)}
              </small>
            </span>
            <span className={binStyles.amount}>{measureWords(itemLeft(one.item))}</span>
            <span className={binStyles.why}>
              <strong>{asksWord[one.standing.asks]}</strong> {itemSentence(one.item, one.standing, reader)}
            </span>
            <Key
              look={quiet ? 'outlined' : 'primary'}
              aria-label={`Bin it: ${one.item.name} ${one.item.code}`}
              disabled={!open}
              onClick={() => enter('item-discarded', one.item.id, discardOf(one, itemLeft(one.item)))}
            >
              Bin it
            </Key>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What was thrown away today, by reason. */
function Totals({ now, reader, seq }: { now: number; reader: Reader; seq: number }) {
  const from = startOfDay(dayOf(now, reader.zone), reader.zone)
  const { data } = useDiscardedQuery({ from, to: from + 26 * 3_600_000, seq })
  const totals = data?.totals ?? []
  const grams = totals.reduce((sum, total) => sum + total.grams, 0)
  return (
    <section aria-label="Thrown away today">
      <h2 className={clsx('title', itemStyles.head)}>
        Thrown away today <small>to {clock(now, reader)}</small>
      </h2>
      <Table className={binStyles.totals}>
        <TableHead>
          <TableRow>
            <TableCell scope="col">Why</TableCell>
            <TableCell scope="col">Things</TableCell>
            <TableCell scope="col">Weight</TableCell>
            <TableCell scope="col">Cost</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {totals.map((total) => (
            <TableRow key={total.reason}>
              <TableCell component="th" scope="row">
                {discardReasonWord[total.reason]}
              </TableCell>
              <TableCell>{total.items}</TableCell>
              <TableCell>{total.grams > 0 ? measureWords({ value: total.grams, unit: 'g' }) : '–'}</TableCell>
              <TableCell>{total.cost > 0 ? (total.cost / 100).toFixed(2) : '–'}</TableCell>
            </TableRow>
          ))}
          <TableRow>
            <TableCell component="th" scope="row">
              All
            </TableCell>
            <TableCell>{totals.reduce((sum, { items }) => sum + items, 0)}</TableCell>
            <TableCell>{grams > 0 ? measureWords({ value: grams, unit: 'g' }) : '–'}</TableCell>
            <TableCell>{(totals.reduce((sum, { cost }) => sum + cost, 0) / 100).toFixed(2)}</TableCell>
          </TableRow>
        </TableBody>
      </Table>
      <p className="muted">Weight and cost as far as they are known: what is counted in portions has no weight.</p>
    </section>
  )
}

/** A tub nobody knows: it is entered, and goes. */
function Find({ onClose }: { onClose: () => void }) {
  const enter = useEnter()
  const line = useLine()
  const [name, setName] = useState('')
  const [grams, setGrams] = useState('')
  const [unit, setUnit] = useState(line?.units[0]?.id ?? '')
  const [wrong, setWrong] = useState<string | null>(null)
  const number = (line?.items ?? []).filter(({ what }) => what === 'find').length + 1
  const save = () => {
    const value = numberIn(grams)
    if (name.trim() === '') return setWrong('Say what it looks like: "white tub, cream".')
    if (!(value !== null && value > 0)) return setWrong('How much is it, in grams? Digits, as 800.')
    const code = `F-${number}-${uuid().slice(-3)}`
    enter('item-found', uuid(), {
      code,
      name: name.trim(),
      measure: { value, unit: 'g' },
      unit: unit || null,
      shelf: unit ? 1 : null,
    })
    onClose()
  }
  return (
    <Sheet open onClose={onClose} title="Something without a date">
      <div className={binStyles.find}>
        <p>What has no label and no date is not kept: it is entered, and goes to discard.</p>
        <Field label="What it looks like" value={name} max={80} onValue={setName} />
        <Field label="How much, g" value={grams} mode="decimal" onValue={setGrams} />
        <SelectField
          label="Where it was"
          options={(line?.units ?? []).map(({ id, name: words }) => ({ value: id, words }))}
          chosen={unit}
          onChoose={setUnit}
        />
        {wrong && <p role="alert">{wrong}</p>}
        <Key look="primary" onClick={save}>
          Enter it
        </Key>
      </div>
    </Sheet>
  )
}
