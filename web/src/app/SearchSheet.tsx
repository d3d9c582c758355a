import { useDeferredValue, useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { shellMessages } from '@logged-thermal/wording'
import { Field } from '../kit/Field'
import { RowKey } from '../kit/RowKey'
import { Sheet } from '../kit/Sheet'
import { useLazyFoundQuery, useSearchQuery } from './api'
import { useLine } from './kitchen'
import { pageOf } from './pageOf'
import { foundIn, type Found } from './searching'
import styles from './search.module.css'
import { speaks } from '../kit/language'

const say = speaks(shellMessages)

/** Finds anything by a part of its name or by the code on its label. */
export function SearchSheet({ onClose }: { onClose: () => void }) {
  return (
    <Sheet open onClose={onClose} title={say('find')}>
      <Finding onClose={onClose} />
    </Sheet>
  )
}

const GROUPS = ['batch', 'item', 'lot', 'method', 'person', 'unit', 'instrument', 'gone'] as const

function Finding({ onClose }: { onClose: () => void }) {
  const line = useLine()
  const navigate = useNavigate()
  const [text, setText] = useState('')
  const wanted = useDeferredValue(text.trim())
  const here = useMemo(() => (line ? foundIn(line, wanted) : []), [line, wanted])
  const { data } = useSearchQuery({ text: wanted, seq: line?.seq ?? 0 }, { skip: wanted.length < 2 })
  const [byCode] = useLazyFoundQuery()
  const known = new Set(here.map(({ id }) => id))
  const gone = (data?.items ?? [])
    .filter(({ id }) => !known.has(id))
    .map(({ id, name, code }): Found => ({ kind: 'gone', id, name, says: code, path: `/store/item/${id}` }))
  const found = [...here, ...gone]
  const go = (path: string) => {
    onClose()
    void navigate(path)
  }
  /** Enter: the code on a label first, then whatever stands on top. */
  const enter = async () => {
    const code = wanted.toLowerCase()
    const exact = here.find(({ says }) => says.toLowerCase().split(' ')[0] === code)
    if (exact) return go(exact.path)
    const [first] = (await byCode(wanted)).data?.found ?? []
    if (first) return go(pageOf(first))
    if (found[0]) go(found[0].path)
  }
  return (
    <div className={styles.search}>
      <Field
        label={say('findWhat')}
        mode="search"
        value={text}
        onValue={setText}
        onDone={() => void enter()}
        hint={wanted === '' ? say('findHint') : undefined}
        first
      />
      <p role="status" className="muted">
        {wanted !== '' &&
          (found.length > 0 ? say('foundCount', { count: found.length }) : say('foundNothing', { text: wanted }))}
      </p>
      {GROUPS.map((kind) => {
        const some = found.filter((one) => one.kind === kind)
        return (
          some.length > 0 && (
            <section key={kind} aria-label={say(`found_${kind}`)}>
              <h3 className="title">{say(`found_${kind}`)}</h3>
              <ul>
                {some.slice(0, 12).map(({ id, name, says, path }) => (
                  <li key={id}>
                    <RowKey className={styles.row} onClick={() => go(path)}>
                      <strong>{name}</strong>
                      <span>{says}</span>
                    </RowKey>
                  </li>
                ))}
              </ul>
            </section>
          )
        )
      })}
    </div>
  )
}
