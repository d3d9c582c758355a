// Runs programs for the other scripts. No dependency: it works before anything is installed.
import { spawn, spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { dirname } from 'node:path'

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)))

/** A failure to be told in one sentence, without a stack. */
export class Told extends Error {}

/** Runs a program to its end and returns what it printed; throws Told with its last lines when it fails. */
export function output(program, args, options = {}) {
  const { status, stdout, stderr, error } = spawnSync(program, args, { encoding: 'utf8', cwd: ROOT, ...options })
  if (error || status !== 0) {
    const lines = `${stderr ?? ''}${stdout ?? ''}`.trim().split('\n').slice(-5).join('\n')
    throw new Told(`${program} ${args.join(' ')} failed: ${error?.message ?? lines}`)
  }
  return stdout
}

/** Runs a program to its end with its output shown. Resolves to its exit code. */
export function run(program, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, { stdio: 'inherit', cwd: ROOT, ...options })
    child.on('error', reject)
    child.on('exit', (code, signal) => resolve(code ?? (signal ? 1 : 0)))
  })
}

/** Tells an error as one sentence and ends with a failing code. */
export function tell(error) {
  console.error(error instanceof Told ? error.message : (error?.stack ?? error))
  process.exit(1)
}
