// The server as a process of its own.
import { spawn } from 'node:child_process'
import { ROOT } from './run.mjs'

/**
 * The C library keeps memory for each thread that ever asked for some, up to eight times as many as there are processors.
 * With two for all of them a server that draws beside its own thread stays about 100 MB smaller.
 */
export const SMALL = { MALLOC_ARENA_MAX: '2' }

/** Starts it; it sends a message once it answers. */
export function spawnServer(env, options = {}) {
  return spawn(process.execPath, ['server/dist/main.js'], {
    cwd: ROOT,
    env: { ...SMALL, ...env },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    ...options,
  })
}
