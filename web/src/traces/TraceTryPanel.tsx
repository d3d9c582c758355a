import { useState } from 'react'
import {
  HOUR,
  MINUTE,
  TRACE_AIM,
  traceOf,
  traceResult,
  type Id,
  type ItemState,
  type Lineage,
  type LineageNode,
  type TraceTry,
} from '@logged-thermal/core'
import { timeOfDay, tracesMessages, type Reader } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import type { LineData } from '../app/lineData'
import { useNow } from '../app/now'
import { shutUnless } from '../app/shut'
import { CheckField } from '../kit/CheckField'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { speaks } from '../kit/language'
import styles from './traces.module.css'

const say = speaks(tracesMessages)

interface Props {
  line: LineData
  lineage: Lineage
  reader: Reader
  open: boolean
}

/** Begins a trace of the lot or the thing that is looked at; while it runs, what is found is ticked and counted here. */
export function TraceTryPanel({ line, lineage, reader, open }: Props) {
  const now = useNow(10_000)
  const enter = useEnter()
  const { of, nodes } = lineage
  const named = nodes.find(({ id }) => id === of.id)
  const runs = traceOf(line.traceTries, of.id, now)
  if (!named || of.type === 'batch') return null
  if (runs) return <Running key={runs.entry} of={runs} line={line} nodes={nodes} reader={reader} now={now} />
  return (
    <>
      <JustTried of={line.traceTries.findLast((each) => each.of.id === of.id) ?? null} now={now} />
      <Key
        look="outlined"
        why={shutUnless(open)}
        onClick={() => enter('trace-begun', line.kitchen.id, { of, name: named.name, code: named.code })}
      >
        {say('begin')}
      </Key>
    </>
  )
}

/** What came of it, for as long as somebody may look for it here. */
function JustTried({ of, now }: { of: TraceTry | null; now: number }) {
  const result = of && traceResult(of)
  if (!result || now - of.ended!.at > HOUR) return null
  return <p role="status">{result.passed ? say('endedWhole', { minutes: result.minutes }) : say('endedNotWhole')}</p>
}

interface RunningProps {
  of: TraceTry
  line: LineData
  nodes: readonly LineageNode[]
  reader: Reader
  now: number
}

function Running({ of, line, nodes, reader, now }: RunningProps) {
  const enter = useEnter()
  const [found, setFound] = useState<ReadonlySet<Id>>(new Set())
  const [count, setCount] = useState('')
  const [note, setNote] = useState('')
  const item = countedOf(of, line)
  const value = /^\d+([.,]\d+)?$/.test(count.trim()) ? Number(count.trim().replace(',', '.')) : null
  const tick = (id: Id) =>
    setFound((ids) => new Set(ids.has(id) ? [...ids].filter((each) => each !== id) : [...ids, id]))
  const end = () => {
    const ids = nodes.map(({ id }) => id)
    enter('trace-ended', line.kitchen.id, {
      begun: of.entry,
      found: ids.filter((id) => found.has(id)),
      missing: ids.filter((id) => !found.has(id)),
      counted: item && value !== null ? { item: item.id, left: { value, unit: item.measure.unit } } : null,
      note: note.trim(),
      balance: null,
    })
  }
  const groups = [
    { title: say('before'), of: nodes.filter(({ generation }) => generation < 0) },
    { title: say('itself'), of: nodes.filter(({ generation }) => generation === 0) },
    { title: say('after'), of: nodes.filter(({ generation }) => generation > 0) },
  ]
  return (
    <section className={styles.running} aria-label={say('begin')}>
      <p role="status">
        <strong>
          {say('runsSince', {
            time: timeOfDay(of.at, reader),
            minutes: Math.max(0, Math.floor((now - of.at) / MINUTE)),
            most: TRACE_AIM.minutes,
          })}
        </strong>{' '}
        {say('tickWhat')}
      </p>
      {groups.map(
        ({ title, of: group }) =>
          group.length > 0 && (
            <fieldset key={title}>
              <legend>{title}</legend>
              {group.map(({ id, name, code }) => (
                <CheckField key={id} label={`${name} ${code}`} checked={found.has(id)} onCheck={() => tick(id)} />
              ))}
            </fieldset>
          ),
      )}
      {item ? (
        <Field
          label={say('counted', { name: item.name, code: item.code })}
          mode="decimal"
          unit={item.measure.unit}
          value={count}
          onValue={setCount}
        />
      ) : (
        <p>{say('noCount')}</p>
      )}
      <Field label={say('noteLabel')} value={note} max={500} onValue={setNote} />
      <KeyRow>
        <Key look="primary" why={item && value === null ? say('sayHowMuch') : null} onClick={end}>
          {say('end', { found: found.size, all: nodes.length })}
        </Key>
      </KeyRow>
    </section>
  )
}

/** What of it is counted, without a look at the records: the thing itself, or the package that a lot came in. Gone, there is nothing left of it to count. */
function countedOf({ of }: TraceTry, line: LineData): ItemState | null {
  return (
    line.items.find(({ id, bornAs, from }) =>
      of.type === 'item' ? id === of.id : bornAs === 'lot-received' && from.some((parent) => parent.id === of.id),
    ) ?? null
  )
}
