import { useDeferredValue, useMemo, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { itemLeft, type Allergen, type DietClaim, type UnitState } from '@logged-thermal/core'
import {
  asksWord,
  dayName,
  heatStatusWord,
  measureWords,
  setBy,
  type Reader,
  storeMessages,
  claimWord,
  mayContainNote,
} from '@logged-thermal/wording'
import { sentenceOf, useFeedQuery, useLazyFoundQuery, useRenewFeedMutation, useSearchQuery } from '../app/api'
import { pageOf } from '../app/pageOf'
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
import { speaks, spoken } from '../kit/language'

const say = speaks(storeMessages)

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
    if (first) return navigate(pageOf(first))
  }
  const all = [
    ...new Set(stored.flatMap(({ item: { facts } }) => [...facts.allergens, ...(facts.mayContain?.allergens ?? [])])),
  ].sort()
  const units = line?.units ?? NO_UNITS
  const columns = useMemo(() => columnsOf(units, reader), [units, reader])
  const shown = stored
    .filter(
      ({ item }) => wanted === '' || `${item.name} ${item.code} ${whereIs(item, units)}`.toLowerCase().includes(wanted),
    )
    // What is not known to be without it, is not shown as without it.
    .filter(
      ({ item: { facts } }) =>
        without.every((each) => !facts.allergens.includes(each) && !facts.mayContain?.allergens.includes(each)) &&
        (without.length === 0 || (facts.unknown.length === 0 && !facts.mayContain?.unknown.length)),
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
              ? say('thingsHeld2', { stored: stored.length })
              : say('ofThings', { shown: shown.length, stored: stored.length })}
          </strong>{' '}
          {without.length ? say('withoutWithout', { without: without.join(', ') }) : ''}
        </>
      }
    >
      <div className={binStyles.bin}>
        <StoreNav />
        <div className={listStyles.stock} tabIndex={0} role="region" aria-label={say('listWhatHeld')}>
          <form
            className={listStyles.stockFind}
            onSubmit={(event) => {
              event.preventDefault()
              void open()
            }}
          >
            <Field label={say('nameCodeOrPlace')} value={text} mode="search" onValue={setText} />
            <div className={listStyles.stockFilter} role="group" aria-label={say('withoutAllergen')}>
              {all.map((each) => (
                <Key
                  key={each}
                  look={without.includes(each) ? 'primary' : 'outlined'}
                  aria-pressed={without.includes(each)}
                  onClick={() =>
                    setWithout(without.includes(each) ? without.filter((one) => one !== each) : [...without, each])
                  }
                >
                  {say('noEach', { each })}
                </Key>
              ))}
            </div>
            <div className={listStyles.stockFilter} role="group" aria-label={say('diet')}>
              {CLAIMS.map((each) => (
                <Key
                  key={each}
                  look={claim === each ? 'primary' : 'outlined'}
                  aria-pressed={claim === each}
                  onClick={() => setClaim(claim === each ? null : each)}
                >
                  {claimWord(each, spoken).toLowerCase()}
                </Key>
              ))}
            </div>
          </form>
          <DataTable
            caption={say('whatHeld')}
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
      title: say('item'),
      names: true,
      value: ({ item }) => item.name,
      cell: ({ item }) => <Link to={`/store/item/${item.id}`}>{item.name}</Link>,
    },
    { key: 'code', title: say('code'), value: ({ item }) => item.code, cell: ({ item }) => item.code },
    {
      key: 'left',
      title: say('left'),
      value: ({ item }) => itemLeft(item).value,
      cell: ({ item }) => measureWords(itemLeft(item), reader),
    },
    {
      key: 'where',
      title: say('where'),
      value: ({ item }) => whereIs(item, units),
      cell: ({ item }) => whereIs(item, units),
    },
    {
      key: 'day',
      title: say('lastDay'),
      value: ({ standing }) => standing.until ?? Number.MAX_SAFE_INTEGER,
      cell: ({ standing }) => (
        <>
          {standing.walls[0]?.lastDay ? dayName(standing.walls[0].lastDay, reader) : asksWord(standing.asks, reader)}
          {standing.asks === 'discard' && <strong> {say('binNow2')}</strong>}
        </>
      ),
    },
    {
      key: 'by',
      title: say('setBy'),
      value: ({ standing }) => setBy(standing, reader),
      cell: ({ standing }) => setBy(standing, reader),
    },
    { key: 'facts', title: say('heatAllergens'), value: factWords, cell: factWords },
  ]
}

function factWords({ item: { facts } }: StoredItem): string {
  return [
    [
      heatStatusWord(facts.heat, spoken),
      facts.advisory && 'advisory',
      facts.untreatedFruit && say('untreatedFrozenFruit'),
    ]
      .filter(Boolean)
      .join(', '),
    facts.allergens.join(', '),
    facts.unknown.length && say('notKnown', { unknown: facts.unknown.join(', ') }),
    mayContainNote(facts.mayContain, spoken),
  ]
    .filter(Boolean)
    .join('; ')
}

/** What was held once, by name or code. */
function Gone({ text, held }: { text: string; held: ReadonlySet<string> }) {
  const seq = useLine()?.seq ?? 0
  const { data, error } = useSearchQuery({ text, seq })
  const gone = (data?.items ?? []).filter(({ id }) => !held.has(id))
  if (error) return <p role="status">{sentenceOf(error)}</p>
  if (gone.length === 0) return null
  return (
    <section aria-label={say('gone')}>
      <h2 className={clsx('title', itemStyles.head)}>{say('gone')}</h2>
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

/** The notice to hang up, and the dates as a calendar at a secret address. */
function Take() {
  const { open, person } = useHand(useLine())
  const { data } = useFeedQuery(undefined, { skip: !open })
  const [renew, { error }] = useRenewFeedMutation()
  const isLead = person?.role === 'lead'
  return (
    <section className={listStyles.stockTake} aria-label={say('takeAlong')}>
      <Key look="outlined" onClick={() => window.open('/api/labels/notice.pdf', '_blank', 'noopener')}>
        {say('allergenNotice')}
      </Key>
      {data && <Field label={say('calendarLastDaysReady')} value={`${window.location.origin}${data.path}`} />}
      {data && (
        <Key look={isLead ? 'outlined' : 'shut'} disabled={!isLead} onClick={() => void renew()}>
          {isLead ? say('anotherAddress') : say('anotherAddressLeadGives')}
        </Key>
      )}
      {error && <p role="alert">{say('onlyShiftLeadOpened')}</p>}
    </section>
  )
}
