import { spawnSync } from 'node:child_process'
import { readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { RunningKitchen } from './kitchen'

/** Before all stories the demo is filled in once: every story takes a copy, which is faster than filling in its own. */
export default async function fillInOnce(): Promise<() => void> {
  const kitchen = await RunningKitchen.open()
  await kitchen.stop()
  const filled: Filled = { folder: kitchen.file('.'), now: kitchen.now }
  process.env[KEPT] = JSON.stringify(filled)
  return () => rmSync(filled.folder, { recursive: true, force: true })
}

/**
 * Copies what is filled in to a folder, with the owners of its files.
 * @returns the time of its clock, ms; null if nothing was filled in yet
 */
export function copyFilled(folder: string): number | null {
  const kept = process.env[KEPT]
  if (!kept) return null
  const filled = JSON.parse(kept) as Filled
  const cluster = JSON.parse(readFileSync(join(filled.folder, 'cluster.json'), 'utf8')) as { data: string }
  // Where PostgreSQL could not get through to the folder, its data lie elsewhere and are filled in each time.
  if (cluster.data !== join(filled.folder, 'postgres')) return null
  const { status, stderr } = spawnSync('cp', ['-a', `${filled.folder}/.`, folder], { encoding: 'utf8' })
  if (status !== 0) throw new Error(`The filled-in kitchen could not be copied: ${stderr}`)
  const moved = { ...cluster, data: join(folder, 'postgres'), port: null }
  writeFileSync(join(folder, 'cluster.json'), JSON.stringify(moved), { mode: 0o600 })
  return filled.now
}

interface Filled {
  folder: string
  now: number
}

const KEPT = 'LT_E2E_FILLED'
