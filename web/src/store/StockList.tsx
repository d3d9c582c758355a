import { useDeferredValue, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { itemLeft, type Allergen, type DietClaim } from '@logged-thermal/core'
import { asksWord, dayName, heatStatusWord, measureWords, setBy } from '@logged-thermal/wording'
import { sentenceOf, useFeedQuery, useLazyFoundQuery, useRenewFeedMutation, useSearchQuery } from '../app/api'
import { Header } from '../app/Header'
import { useHand, useLine } from '../app/kitchen'
import { Key } from '../parts/Key'
import { StoreNav } from './StoreNav'
import { useStored, whereIs, type StoredItem } from './useStore'
import './item.css'
import './store.css'
import './bin.css'
import './list.css'

const CLAIMS: DietClaim[] = ['vegetarian', 'vegan', 'without gluten', 'without nuts', 'without alcohol']
const SORTS = { item: 'Item', code: 'Code', left: 'Left', where: 'Where', day: 'Last day' } as const
type Sort = keyof typeof SORTS

/** Everything that is held as a table: by name, code, place, allergen or diet; and what is long gone. */
export function StockList() {
  const line = useLine()
  const { reader } = useHand(line)
  const stored = useStored(line)
  const [text, setText] = useState('')
  const [without, setWithout] = useState<Allergen[]>([])
  const [claim, setClaim] = useState<DietClaim | null>(null)
  const [sort, setSort] = useState<Sort>('day')
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
  const units = line?.units ?? []
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
    .sort(by(sort, units))
  return (
    <main className="view">
      <Header>
        <h1 aria-live="polite">
          <strong>
            {shown.length === stored.length
              ? `${stored.length} things are held.`
              : `${shown.length} of ${stored.length} things.`}
          </strong>{' '}
          {without.length ? `Without ${without.join(', ')}.` : ''}
        </h1>
      </Header>
      <div className="bin">
        <StoreNav />
        <div className="stock" tabIndex={0} role="region" aria-label="List of what is held">
          <form
            className="stock-find"
            onSubmit={(event) => {
              event.preventDefault()
              void open()
            }}
          >
            <label className="form-field">
              Name, code or place
              <input type="search" value={text} onChange={({ target }) => setText(target.value)} />
            </label>
            <div className="stock-filter" role="group" aria-label="Without allergen">
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
            <div className="stock-filter" role="group" aria-label="Diet">
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
          <table className="stock-table">
            <thead>
              <tr>
                {(Object.keys(SORTS) as Sort[]).map((key) => (
                  <th key={key} scope="col" aria-sort={sort === key ? 'ascending' : 'none'}>
                    <button type="button" onClick={() => setSort(key)}>
                      {SORTS[key]}
                    </button>
                  </th>
                ))}
                <th scope="col">Set by</th>
                <th scope="col">Heat, allergens</th>
              </tr>
            </thead>
            <tbody>
              {shown.map(({ item, standing }) => (
                <tr key={item.id}>
                  <th scope="row">
                    <Link to={`/store/item/${item.id}`}>{item.name}</Link>
                  </th>
                  <td>{item.code}</td>
                  <td>{measureWords(itemLeft(item))}</td>
                  <td>{whereIs(item, units)}</td>
                  <td>
                    {standing.walls[0]?.lastDay ? dayName(standing.walls[0].lastDay, reader) : asksWord[standing.asks]}
                    {standing.asks === 'discard' && <strong> bin it now</strong>}
                  </td>
                  <td>{setBy(standing)}</td>
                  <td>
                    {heatStatusWord[item.facts.heat]}
                    {item.facts.advisory ? ', advisory' : ''}
                    {item.facts.untreatedFruit ? ', untreated frozen fruit' : ''}
                    {item.facts.allergens.length ? `; ${item.facts.allergens.join(', ')}` : ''}
                    {item.facts.unknown.length ? `; not known: ${item.facts.unknown.join(', ')}` : ''}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {wanted.length >= 2 && <Gone text={wanted} held={new Set(stored.map(({ item }) => item.id))} />}
          <Take />
        </div>
      </div>
    </main>
  )
}

function by(sort: Sort, units: Parameters<typeof whereIs>[1]) {
  const word = ({ item, standing }: StoredItem): string | number => {
    switch (sort) {
      case 'item':
        return item.name
      case 'code':
        return item.code
      case 'left':
        return itemLeft(item).value
      case 'where':
        return whereIs(item, units)
      case 'day':
        return standing.until ?? Number.MAX_SAFE_INTEGER
    }
  }
  return (a: StoredItem, b: StoredItem) => {
    const [left, right] = [word(a), word(b)]
    return typeof left === 'number' && typeof right === 'number'
      ? left - right
      : String(left).localeCompare(String(right))
  }
}

/** What was held once, by name or code. */
function Gone({ text, held }: { text: string; held: ReadonlySet<string> }) {
  const { data, error } = useSearchQuery(text)
  const gone = (data?.items ?? []).filter(({ id }) => !held.has(id))
  if (error) return <p role="status">{sentenceOf(error)}</p>
  if (gone.length === 0) return null
  return (
    <section aria-label="Gone">
      <h2 className="title item-head">Gone</h2>
      <ul className="lots">
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
    <section className="stock-take" aria-label="Take it along">
      <a className="key-link" href="/api/store/stock.csv" download>
        The list as CSV
      </a>
      {data && (
        <label className="form-field">
          Calendar of last days and ready times: whoever has this address can read it
          <input readOnly value={`${window.location.origin}${data.path}`} onFocus={({ target }) => target.select()} />
        </label>
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
