import 'reflect-metadata'
import { prepare } from '../kitchens/prepare'

/** Migrates and grants; with --empty an empty database gets a code with which its kitchen is set up in the browser. */
prepare(process.env, { empty: process.argv.includes('--empty') })
  .then((owner) => owner.close())
  .catch((error: unknown) => {
    console.error(error instanceof Error ? error.message : error)
    process.exitCode = 1
  })
