import 'reflect-metadata'
import { randomBytes } from 'node:crypto'
import { MikroORM } from '@mikro-orm/postgresql'
import { newPin } from '../access/newPin'
import { archive } from '../archive/archive'
import { takeIn } from '../archive/takeIn'
import { backup } from '../backup/backup'
import { restore } from '../backup/restore'
import { clock, clockFrom } from '../clock/clock'
import { nextKitchenCode } from '../kitchens/nextKitchen'
import { configFrom, type Config } from '../config'
import { KitchenScope } from '../database/kitchenScope'
import { ormConfig } from '../ormConfig'
import { rebuild } from '../ledger/rebuild'
import { worseBatches } from '../ledger/worseBatches'
import { Proofs } from '../proof/proofs.service'
import { Heads } from '../sealing/heads.service'
import { hasSeals, sealsIn } from '../sealing/sealing.module'
import { Accounts } from '../people/accounts.service'
import { forgetName } from '../access/forgetName'
import { faultSentence } from '../verify/fault'
import { verify } from '../verify/verify'

/** What a command works with. */
interface Tools {
  config: Config
  scope: KitchenScope
  accounts: Accounts
  /** What stands behind the command: a file, or a name. */
  file: string | undefined
  /** What stands behind that. */
  more: string | undefined
}

const COMMANDS: Record<string, (tools: Tools) => Promise<void>> = {
  verify: async (tools) => {
    await ofEach(tools, verified)
    await missedKitchens(tools)
  },
  rebuild: (tools) => ofEach(tools, async (scope, id) => `${await rebuild(scope, id)} entries folded anew.`),
  worse: (tools) => ofEach(tools, listedWorse),
  backup: backedUp,
  restore: broughtBack,
  archive: archived,
  'take-in': takenIn,
  'rotate-key': rotatedKey,
  'new-pin': givenPin,
  'new-password': givenPassword,
  'forget-name': forgottenName,
  'new-kitchen': codeForAnother,
  /** For the other scripts. */
  kitchens: async ({ scope }) => console.log(JSON.stringify(await scope.kitchens())),
}

const HELP = `Say which: npm run ledger --
  verify         goes through every record and what guards it
  rebuild        folds everything anew that is kept beside the logbook
  worse          lists batches that are over and that today's rules judge worse than their own record
  backup FILE    writes everything that cannot be made anew into a file, and checks the copy
  try-backup FILE  brings a backup into a database of its own, goes through every record there, and throws it away
  restore FILE   brings a backup into an empty database
  archive FILE [KITCHEN]  writes a whole kitchen into a file that proves itself, without PINs and passwords
  take-in FILE   takes the kitchen of an archive in, beside those that are here
  rotate-key     another key signs from now on; the one before says so
  new-pin NAME   gives somebody a new PIN, told once: for a lead who has forgotten theirs
  new-password NAME  the same for a password, by the name that they sign in with; one-time codes are off then
  forget-name NAME  puts a code in the place of the name of somebody who left, once records are no longer asked for; every proof still holds
  new-kitchen    a code to set another kitchen up with, in the browser under /set-up; good for a day`

async function run(command = '', file?: string, more?: string): Promise<void> {
  const act = COMMANDS[command]
  if (!act) throw new Error(HELP)
  clockFrom(process.env)
  const config = configFrom(process.env)
  const orm = await MikroORM.init(ormConfig(config.databaseUrl))
  try {
    const scope = new KitchenScope(orm.em.fork())
    await act({ config, scope, accounts: new Accounts(scope), file, more })
  } finally {
    await orm.close()
  }
}

async function ofEach(
  { scope, config }: Tools,
  act: (scope: KitchenScope, kitchenId: string, config: Config) => Promise<string>,
): Promise<void> {
  for (const { id, name } of await scope.kitchens()) console.log(`${name}: ${await act(scope, id, config)}`)
}

async function givenPin({ scope, file: name }: Tools): Promise<void> {
  if (!name) throw new Error('Say whose: npm run ledger -- new-pin "Ilse Varrow"')
  let found = false
  for (const kitchen of await scope.kitchens()) {
    const pin = await newPin(scope, kitchen.id, name)
    if (pin === null) continue
    found = true
    console.log(
      `${kitchen.name}: the PIN of ${name} is ${pin} from now on. It is told only here; the logbook says that it changed.`,
    )
  }
  if (!found) throw new Error(`Nobody called ${name} works here.`)
}

async function givenPassword({ accounts, file: called }: Tools): Promise<void> {
  if (!called)
    throw new Error('Say whose, by the name that they sign in with: npm run ledger -- new-password ilse.varrow')
  const password = randomBytes(12).toString('base64url')
  if (!(await accounts.reset(called, password))) throw new Error(`Nobody signs in as ${called}.`)
  console.log(
    `The password of ${called} is ${password} from now on. It is told only here; whoever was signed in is out.`,
  )
}

async function forgottenName({ scope, file: name }: Tools): Promise<void> {
  if (!name) throw new Error('Say whose: npm run ledger -- forget-name "Teo Brandt"')
  let found = false
  for (const kitchen of await scope.kitchens()) {
    const forgotten = await forgetName(scope, kitchen.id, name, clock.now())
    if (!forgotten) continue
    found = true
    console.log(
      `${kitchen.name}: ${name} is called ${forgotten.code} from now on. Older backups and papers still have the name.`,
    )
  }
  if (!found) throw new Error(`Nobody called ${name} is listed.`)
}

async function codeForAnother({ config }: Tools): Promise<void> {
  const owner = await MikroORM.init(ormConfig(config.ownerUrl))
  try {
    const code = await nextKitchenCode(owner.em.fork(), Date.now())
    console.log(`Open /set-up in a browser and type this set-up code, good for a day: ${code}`)
  } finally {
    await owner.close()
  }
}

/** As many faults are told one by one. */
const MOST_TOLD = 50

async function verified(scope: KitchenScope, kitchenId: string, config: Config): Promise<string> {
  const { databaseUrl, ownerUrl, dataFolder } = config
  const role = ownerUrl === databaseUrl ? null : decodeURIComponent(new URL(databaseUrl).username)
  const seals = dataFolder !== null && hasSeals(dataFolder) ? sealsIn(dataFolder) : null
  const { entries, hash, older, signed, faults } = await verify(scope, kitchenId, { seals, role })
  const notes = [
    seals ? `${signed} signed heads agree.` : 'No heads were signed: nothing outside the database vouches for it.',
    ...(older > 0 ? [`${older} entries were admitted under older rules, and not gone through again.`] : []),
  ]
  if (faults.length === 0) return [`${entries} entries, none altered, none missing. Head ${hash}.`, ...notes].join(' ')
  process.exitCode = 1
  const told = faults.slice(0, MOST_TOLD).map((fault) => `  ${faultSentence(fault)}`)
  const more = faults.length > MOST_TOLD ? [`  and ${faults.length - MOST_TOLD} more.`] : []
  const count = faults.length === 1 ? '1 fault' : `${faults.length} faults`
  return [`${entries} entries, ${count}. ${notes.join(' ')}`, ...told, ...more].join('\n')
}

/** A kitchen whose logbook was signed here, and that the database does not know any more. */
async function missedKitchens({ scope, config: { dataFolder } }: Tools): Promise<void> {
  if (dataFolder === null || !hasSeals(dataFolder)) return
  const known = new Set((await scope.kitchens()).map(({ id }) => id))
  for (const id of sealsIn(dataFolder)
    .heads.kitchens()
    .filter((each) => !known.has(each))) {
    process.exitCode = 1
    console.log(`Kitchen ${id} is gone: its logbook was signed here.`)
  }
}

async function listedWorse(scope: KitchenScope, kitchenId: string): Promise<string> {
  const found = await worseBatches(scope, kitchenId)
  const lines = found.map(({ code, method, day, checks }) => `  ${code} ${method}, ${day}: ${checks.join(', ')}`)
  return lines.length === 0
    ? 'no batch that is over is judged worse than its record.'
    : [`${lines.length} batches that are over are judged worse than their record:`, ...lines].join('\n')
}

async function backedUp({ scope, file, config: { dataFolder } }: Tools): Promise<void> {
  if (!file) throw new Error('Say where to: npm run ledger -- backup FILE')
  const keys = dataFolder !== null && hasSeals(dataFolder) ? sealsIn(dataFolder).keys.all : []
  const { kitchens } = await backup(scope, file, clock.now(), keys)
  console.log(`${file} holds ${listed(kitchens)}. The copy was gone through: none missing, none altered.`)
  console.log('It has names and hashes of PINs in it: keep it as carefully as the kitchen.')
}

async function broughtBack({ config, file }: Tools): Promise<void> {
  if (!file) throw new Error('Say which: npm run ledger -- restore FILE')
  const owner = await MikroORM.init(ormConfig(config.ownerUrl))
  try {
    const { kitchens, made, keys } = await restore(owner, file)
    if (config.dataFolder !== null) {
      const { heads, keys: own } = sealsIn(config.dataFolder)
      own.takeOver(keys)
      for (const { id } of kitchens) heads.forget(id)
      heads.write()
    }
    console.log(
      `${listed(kitchens)}, as of ${new Date(made).toISOString()}. Each person opens a shift again; tablets send what is missing.`,
    )
  } finally {
    await owner.close()
  }
}

async function archived({ scope, file, more, config: { dataFolder } }: Tools): Promise<void> {
  const kitchens = await scope.kitchens()
  const [only, other] = more === undefined ? kitchens : kitchens.filter(({ name }) => name === more)
  if (!file || !only || other)
    throw new Error(
      `Say where to and which: npm run ledger -- archive FILE "${kitchens[0]?.name ?? 'Kitchen'}". Here are: ${kitchens.map(({ name }) => name).join(', ')}.`,
    )
  const { keys, heads } = dataFolder === null ? { keys: null, heads: null } : sealsIn(dataFolder)
  const entries = await archive(scope, new Proofs(scope, new Heads(scope, keys, heads)), only.id, file, clock.now())
  console.log(`${file} holds ${only.name} with ${entries} entries. Anybody can check it: npm run verify -- ${file}`)
  console.log('It has names in it, and no PIN: keep it as carefully as the kitchen.')
}

async function takenIn({ config, file }: Tools): Promise<void> {
  if (!file) throw new Error('Say which: npm run ledger -- take-in FILE')
  const owner = await MikroORM.init(ormConfig(config.ownerUrl))
  try {
    const { id, name, entries, keys, unsigned } = await takeIn(owner, file)
    if (config.dataFolder !== null) {
      const { heads, keys: own } = sealsIn(config.dataFolder)
      own.takeOver(keys)
      heads.forget(id)
      heads.write()
    }
    console.log(`${name} is here, with ${entries} entries, each as it was.`)
    if (unsigned) console.log('Nothing in it was signed: nothing vouches for it but itself.')
    else
      console.log(
        `It was signed with ${keys.map((key) => key.id).join(', ')}: compare that with the sheet on its kitchen’s wall.`,
      )
    console.log('Go through all of it once: npm run ledger -- verify.')
    console.log(
      'Nobody of it has a PIN yet: npm run ledger -- new-pin NAME gives the lead one, and the lead gives the others theirs.',
    )
  } finally {
    await owner.close()
  }
}

function listed(kitchens: readonly { name: string; entries: number }[]): string {
  return kitchens.map(({ name, entries }) => `${name} with ${entries} entries`).join(', ') || 'no kitchen'
}

async function rotatedKey({ config: { dataFolder } }: Tools): Promise<void> {
  if (dataFolder === null) throw new Error('LT_DATA_FOLDER is not set: it is where the keys are.')
  const { keys } = sealsIn(dataFolder)
  const { id } = keys.rotate(clock.now())
  console.log(`Key ${id} signs from the next start on. The one before it is kept to check what it signed.`)
  await Promise.resolve()
}

void run(process.argv[2], process.argv[3], process.argv[4]).catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
})
