import { useEffect, useRef } from 'react'
import { useStore } from 'react-redux'
import { HOUR, type Id } from '@logged-thermal/core'
import { api } from './api'
import { connection } from './connection'
import { enterAll } from './keep'
import { loadLedger } from './ledger'
import type { LineData } from './lineData'
import { headFound, rememberedHead, rememberHead } from './seenHead'
import { sentSince } from './sentBefore'
import { useAppSelector, type Store } from './store'

/** Clocks differ a little: what was made so long before the backup may not be in it. */
const BEFORE_BACKUP = HOUR

/**
 * Holds the logbook against what this tablet saw of it: complains where it goes back, and sends again what a restored one
 * may lack.
 */
export function useSeenHead(): void {
  const store = useStore() as Store
  const line = useAppSelector((state) => state.line)
  const setBack = useAppSelector((state) => state.connection.setBack)
  const held = useRef<string | null>(null)
  const mark = line && `${line.kitchen.id} ${line.restored?.at ?? 0}`
  useEffect(() => {
    if (!line || held.current === mark) return
    held.current = mark
    void hold(store, line)
  }, [line, mark, store])

  const head = useAppSelector((state) => state.connection.head)
  const kitchen = line?.kitchen.id
  const restored = line?.restored?.at ?? null
  useEffect(() => {
    if (head && kitchen && setBack === null) rememberHead(kitchen, { ...head, restored })
  }, [head, kitchen, restored, setBack])
}

async function hold(store: Store, line: LineData): Promise<void> {
  const { id } = line.kitchen
  const seen = rememberedHead(id)
  if (!seen) return
  const hashThere = await hashOf(store, seen.seq)
  if (hashThere === undefined) return
  const found = headFound(seen, { seq: line.seq, restored: line.restored?.at ?? null, hashThere })
  if (found === 'set back') store.dispatch(connection.actions.foundSetBack({ seen: seen.seq, ends: line.seq }))
  if (found !== 'restored') return
  await loadLedger()
  sendAgain(store, id, line.restored!.backupMade - BEFORE_BACKUP)
}

/** The hash of an entry; null where there is none; undefined where the server does not answer. */
async function hashOf(store: Store, seq: number): Promise<string | null | undefined> {
  const asked = store.dispatch(api.endpoints.entryHash.initiate({ seq }, { forceRefetch: true, subscribe: false }))
  const { data } = await asked
  return data?.hash
}

function sendAgain(store: Store, kitchen: Id, since: number): void {
  const waiting = new Set(store.getState().outbox.map(({ claim }) => claim.id))
  enterAll(
    store.dispatch,
    sentSince(kitchen, since).filter(({ id }) => !waiting.has(id)),
  )
}
