import type { Workbox } from 'workbox-window'
import { connection } from './connection'
import type { Store } from './store'

let worker: Workbox | null = null

/**
 * Lays the whole program on this tablet, so that it opens without the server, and a new one beside it once the server serves
 * that. Browsers have this on secure connections only.
 */
export async function keepProgram(store: Store): Promise<void> {
  if (!('serviceWorker' in navigator)) return
  const { Workbox } = await import('workbox-window')
  const asked = new Workbox('/sw.js')
  asked.addEventListener('waiting', () => store.dispatch(connection.actions.programCame()))
  const registered = await asked.register().catch(() => undefined)
  if (!registered) return
  worker = asked
  // What is kept here is not thrown away where room is short.
  void navigator.storage?.persist?.().catch(() => undefined)
  store.subscribe(() => {
    if (store.getState().connection.behind) lookForIt(asked)
  })
}

/** Whether the program lies on this tablet: a new one is loaded from there, once it has come. */
export function isProgramKept(): boolean {
  return worker !== null
}

/** Loads the program that the server serves now. */
export function loadProgram(): void {
  if (!worker) return location.reload()
  worker.addEventListener('controlling', () => location.reload())
  worker.messageSkipWaiting()
}

let looking = false

function lookForIt(asked: Workbox): void {
  if (looking) return
  looking = true
  void asked
    .update()
    .catch(() => undefined)
    .finally(() => setTimeout(() => (looking = false), 10_000))
}
