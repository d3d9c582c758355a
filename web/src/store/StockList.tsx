import { useDeferredValue, useMemo, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { itemLeft, type Allergen, type DietClaim, type UnitState } from '@logged-thermal/core'
import { asksWord, dayName, heatStatusWord, measureWords, setBy, type Reader } from '@logged-thermal/wording'
import { sentenceOf, useFeedQuery, useLazyFoundQuery, useRenewFeedMutation, useSearchQuery } from '../app/api'
import { View } from '../app/View'
import { useHand, useLine } from '../app/kitchen'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { StoreNav } from './StoreNav'
import { useStored, whereIs, type StoredItem } from './useStore'
import type { Column } from '../kit/table/column'
import { DataTable } from '../kit/table/DataTable'
import { clsx } from 'clsx'
import binStyles from './bin.module.css'
import listStyles from './list.module.css'
import itemStyles from './item.module.css'
import receiveStyles from './receive.module.css'

const CLAIMS: DietClaim[] = ['vegetarian', 'vegan', 'without gluten', 'without nuts', 'without alcohol']
const NO_UNITS: readonly UnitState[] = []

/** Everything that is held as a table: by name, code, place, allergen or diet; and what is long gone. */
export function StockList() {
  const line = useLine()
  const { reader } = useHand(line)
  const stored = useStored(line)
  const [text, setText] = useState('')
  const [without, setWithout] = useState<Allergen[]>([])
  const [claim, setClaim] = useState<DietClaim | null>(null)
  const [find] = useLazyFoundQuery()
  const navigate = useNavigate()
  const wanted = useDeferredValue(text.trim().toLowerCase())
  /** A code that was typed or read off a label, then Enter: its page. What is held here is found without asking. */
  const open = async () => {
    const code = text.trim()
    const held = stored.find(({ item }) => item.code.toLowerCase() === code.toLowerCase())
    if (held) return navigate(`/store/item/${held.item.id}`)
    const [first] = (await find(code)).data?.found ?? []
    if (first)
      return navigate(first.type === 'item' ? `/store/item/${first.id}` : `/store/lineage/${first.type}/${first.id}`)
  }
  const all = [...new Set(stored.flatMap(({ item }) => item.facts.allergens))].sort()
  const units = line?.units ?? NO_UNITS
  const columns = useMemo(() => columnsOf(units, reader), [units, reader])
  const shown = stored
    .filter(
      ({ item }) => wanted === '' || `${item.name} ${item.code} ${whereIs(item, units)}`.toLowerCase().includes(wanted),
    )
    // What is not known to be without it, is not shown as without it.
    .filter(
      ({ item: { facts } }) =>
        without.every((each) => !facts.allergens.includes(each)) &&
        (without.length === 0 || facts.unknown.length === 0),
    )
    .filter(({ item }) => claim === null || item.facts.claims.includes(claim))
  return (
    <View
      place="list"
      spoken
      sentence={
        <>
          <strong>
            {shown.length === stored.length
              ? `${stored.length} things are held.`
              : `${shown.length} of ${stored.length} things.`}
          </strong>{' '}
          {without.length ? `Without ${without.join(', ')}.` : ''}
        </>
      }
    >
      <div className={binStyles.bin}>
        <StoreNav />
        <div className={listStyles.stock} tabIndex={0} role="region" aria-label="List of what is held">
          <form
            className={listStyles.stockFind}
            onSubmit={(event) => {
              event.preventDefault()
              void open()
            }}
          >
            <Field label="Name, code or place" value={text} mode="search" onValue={setText} />
            <div className={listStyles.stockFilter} role="group" aria-label="Without allergen">
              {all.map((each) => (
                <Key
                  key={each}
                  look={without.includes(each) ? 'primary' : 'outlined'}
                  aria-pressed={without.includes(each)}
                  onClick={() =>
                    setWithout(without.includes(each) ? without.filter((one) => one !== each) : [...without, each])
                  }
                >
                  no {each}
                </Key>
              ))}
            </div>
            <div className={listStyles.stockFilter} role="group" aria-label="Diet">
              {CLAIMS.map((each) => (
                <Key
                  key={each}
                  look={claim === each ? 'primary' : 'outlined'}
                  aria-pressed={claim === each}
                  onClick={() => setClaim(claim === each ? null : each)}
                >
                  {each}
                </Key>
              ))}
            </div>
          </form>
          <DataTable
            caption="What is held"
            file="stock.csv"
            columns={columns}
            rows={shown}
            rowKey={({ item }) => item.id}
            sortedBy="day"
          />
          {wanted.length >= 2 && <Gone text={wanted} held={new Set(stored.map(({ item }) => item.id))} />}
          <Take />
        </div>
      </div>
    </View>
  )
}

function columnsOf(units: readonly UnitState[], reader: Reader): Column<StoredItem>[] {
  return [
    {
      key: 'item',
      title: 'Item',
      names: true,
      value: ({ item }) => item.name,
      cell: ({ item }) => <Link to={`/store/item/${item.id}`}>{item.name}</Link>,
    },
    { key: 'code', title: 'Code', value: ({ item }) => item.code, cell: ({ item }) => item.code },
    {
      key: 'left',
      title: 'Left',
      value: ({ item }) => itemLeft(item).value,
      cell: ({ item }) => measureWords(itemLeft(item)),
    },
    {
      key: 'where',
      title: 'Where',
      value: ({ item }) => whereIs(item, units),
      cell: ({ item }) => whereIs(item, units),
    },
    {
      key: 'day',
      title: 'Last day',
      value: ({ standing }) => standing.until ?? Number.MAX_SAFE_INTEGER,
      cell: ({ standing }) => (
        <>
          {standing.walls[0]?.lastDay ? dayName(standing.walls[0].lastDay, reader) : asksWord[standing.asks]}
          {standing.asks === 'discard' && <strong> bin it now</strong>}
        </>
      ),
    },
    { key: 'by', title: 'Set by', value: ({ standing }) => setBy(standing), cell: ({ standing }) => setBy(standing) },
    { key: 'facts', title: 'Heat, allergens', value: factWords, cell: factWords },
  ]
}

function factWords({ item: { facts } }: StoredItem): string {
  return [
    [heatStatusWord[facts.heat], facts.advisory && 'advisory', facts.untreatedFruit && 'untreated frozen fruit']
      .filter(Boolean)
      .join(', '),
    facts.allergens.join(', '),
    facts.unknown.length && `not known: ${facts.unknown.join(', ')}`,
  ]
    .filter(Boolean)
    .join('; ')
}

/** What was held once, by name or code. */
function Gone({ text, held }: { text: string; held: ReadonlySet<string> }) {
  const { data, error } = useSearchQuery(text)
  const gone = (data?.items ?? []).filter(({ id }) => !held.has(id))
  if (error) return <p role="status">{sentenceOf(error)}</p>
  if (gone.length === 0) return null
  return (
    <section aria-label="Gone">
      <h2 className={clsx('title', itemStyles.head)}>Gone</h2>
      <ul className={receiveStyles.lots}>
        {gone.map((card) => (
          <li key={card.id}>
            <Link to={`/store/item/${card.id}`}>
              <strong>
                {card.name} {card.code}
              </strong>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** The list as a file, and the dates as a calendar at a secret address. */
function Take() {
  const { open, person } = useHand(useLine())
  const { data } = useFeedQuery(undefined, { skip: !open })
  const [renew, { error }] = useRenewFeedMutation()
  const isLead = person?.role === 'lead'
  return (
    <section className={listStyles.stockTake} aria-label="Take it along">
      {data && (
        <Field
          label="Calendar of last days and ready times: whoever has this address can read it"
          value={`${window.location.origin}${data.path}`}
        />
      )}
      {data && (
        <Key look={isLead ? 'outlined' : 'shut'} disabled={!isLead} onClick={() => void renew()}>
          {isLead ? 'Another address' : 'Another address: the lead gives it'}
        </Key>
      )}
      {error && <p role="alert">Only a shift that the lead opened gives the calendar another address.</p>}
    </section>
  )
}
