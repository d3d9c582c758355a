import { createPrivateKey, createPublicKey, generateKeyPairSync, sign } from 'node:crypto'
import { chmodSync, existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { nextKeyStatement, type Instant, type PublicKey, type SignedText } from '@logged-thermal/core'
import { KEYS } from './keyTools'

interface KeyFile {
  /** PKCS #8, PEM. */
  privateKey: string
  /** The last one is the one that signs. */
  keys: PublicKey[]
  /** Of the installation that a restored logbook came from: what they signed still counts. */
  before?: PublicKey[]
}

/** The installation's signing keys: a file of its own, readable by nobody else, and never in the database or a backup. */
export class SigningKeys {
  private constructor(
    private readonly path: string,
    private file: KeyFile,
  ) {}

  /** Reads the file, or makes it with a first key. Throws an Error that names the file where it cannot be read. */
  static open(path: string, now: Instant): SigningKeys {
    if (existsSync(path)) return new SigningKeys(path, read(path))
    const { privateKey, publicKey } = newPair()
    const keys = new SigningKeys(path, {
      privateKey,
      keys: [{ id: KEYS.keyIdOf(publicKey)!, publicKey, since: now, introduced: null }],
    })
    keys.write()
    return keys
  }

  /** The key that signs now. */
  get current(): PublicKey {
    return this.file.keys.at(-1)!
  }

  /** Every key that ever signed this logbook, the first one first. */
  get all(): readonly PublicKey[] {
    return [...(this.file.before ?? []), ...this.file.keys]
  }

  /** Keys of another installation whose logbook is ours now. */
  takeOver(keys: readonly PublicKey[]): void {
    const known = [...this.file.keys, ...(this.file.before ?? [])]
    const added = keys.filter(({ id }) => !known.some((each) => each.id === id))
    this.file = { ...this.file, before: [...(this.file.before ?? []), ...added] }
    this.write()
  }

  sign(statement: string): SignedText {
    return { statement, signature: sign(null, Buffer.from(statement), this.file.privateKey).toString('base64') }
  }

  /** Whether the statement was signed by the key of that id, and that key is ours. */
  isSignedBy(id: string, signed: SignedText): boolean {
    const key = [...this.file.keys, ...(this.file.before ?? [])].find((each) => each.id === id)
    if (!key) return false
    return KEYS.verifies(key.publicKey, signed)
  }

  /** Another key signs from now on; the one before it says so, signed. */
  rotate(now: Instant): PublicKey {
    const { privateKey, publicKey } = newPair()
    const id = KEYS.keyIdOf(publicKey)!
    const said = nextKeyStatement(this.current.id, { id, publicKey }, now)
    const next = { id, publicKey, since: now, introduced: this.sign(said) }
    this.file = { ...this.file, privateKey, keys: [...this.file.keys, next] }
    this.write()
    return next
  }

  private write(): void {
    writeWhole(this.path, JSON.stringify(this.file, null, 2))
  }
}

/** Writes a file that nobody else may read, whole or not at all. */
export function writeWhole(path: string, text: string): void {
  writeFileSync(`${path}.new`, text, { mode: 0o600 })
  renameSync(`${path}.new`, path)
}

function read(path: string): KeyFile {
  try {
    const file = JSON.parse(readFileSync(path, 'utf8')) as KeyFile
    const own = createPublicKey(createPrivateKey(file.privateKey)).export({ type: 'spki', format: 'pem' })
    if (own !== file.keys.at(-1)?.publicKey) throw new Error('its keys do not belong together')
    chmodSync(path, 0o600)
    return file
  } catch (error) {
    throw new Error(`${path} is no file of signing keys: ${error instanceof Error ? error.message : String(error)}`, {
      cause: error,
    })
  }
}

function newPair(): { privateKey: string; publicKey: string } {
  return generateKeyPairSync('ed25519', {
    privateKeyEncoding: { type: 'pkcs8', format: 'pem' },
    publicKeyEncoding: { type: 'spki', format: 'pem' },
  })
}
