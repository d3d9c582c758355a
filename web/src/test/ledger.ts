import { loadLedger } from '../app/ledger'

/** A tablet of the tests has all of the program from the first. */
beforeAll(() => loadLedger())
