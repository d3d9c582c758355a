import { ensureBuilt, ensureInstalled } from './install.mjs'
import { tell } from './run.mjs'

ensureInstalled().then(ensureBuilt).catch(tell)
