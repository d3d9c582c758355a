import 'reflect-metadata'
import { webcrypto } from 'node:crypto'
import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { isIP } from 'node:net'
import { join } from 'node:path'
import {
  BasicConstraintsExtension,
  ExtendedKeyUsage,
  ExtendedKeyUsageExtension,
  KeyUsageFlags,
  KeyUsagesExtension,
  PemConverter,
  SubjectAlternativeNameExtension,
  X509Certificate,
  X509CertificateGenerator,
} from '@peculiar/x509'
import { DAY, type Instant } from '@logged-thermal/core'

/** The root is installed on tablets by hand, so it lasts; what it certifies is short-lived, and made anew by itself. */
const ROOT_LASTS = 3650 * DAY
const SERVER_LASTS = 30 * DAY
/** The server's certificate is renewed when it has less than this left. */
const RENEWED_BEFORE = 10 * DAY
/** Clocks of tablets may be behind. */
const CLOCKS_DIFFER = DAY

const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' }

/** Paths of PEM files. The root's key never leaves its folder. */
export interface CertificateFiles {
  root: string
  cert: string
  key: string
}

/**
 * A private authority of the installation, and a certificate of it for the server. Makes what is not there, renews what
 * will soon be over or was made for other names.
 * @param folder readable by nobody else
 * @param names host names and IP addresses under which tablets open the program
 */
export async function certificatesIn(
  folder: string,
  names: readonly string[],
  now: Instant,
): Promise<CertificateFiles> {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  chmodSync(folder, 0o700)
  const path = (name: string) => join(folder, name)
  const files = { root: path('root.crt'), cert: path('server.crt'), key: path('server.key') }
  if (!existsSync(files.root)) await makeRoot(files.root, path('root.key'), now)
  if (!isCurrent(files, names, now)) await makeServer(files, path('root.key'), names, now)
  return files
}

async function makeRoot(root: string, key: string, now: Instant): Promise<void> {
  const keys = await newKeys()
  const cert = await X509CertificateGenerator.createSelfSigned({
    name: 'CN=Logged Thermal of this kitchen',
    notBefore: new Date(now - CLOCKS_DIFFER),
    notAfter: new Date(now + ROOT_LASTS),
    signingAlgorithm: ALGORITHM,
    keys,
    extensions: [
      new BasicConstraintsExtension(true, 0, true),
      new KeyUsagesExtension(KeyUsageFlags.keyCertSign | KeyUsageFlags.cRLSign, true),
    ],
  })
  await writeKey(key, keys)
  writeFileSync(root, cert.toString('pem'))
}

async function makeServer(
  files: CertificateFiles,
  rootKey: string,
  names: readonly string[],
  now: Instant,
): Promise<void> {
  const keys = await newKeys()
  const [pkcs8] = PemConverter.decode(readFileSync(rootKey, 'utf8'))
  const signingKey = await webcrypto.subtle.importKey('pkcs8', pkcs8!, ALGORITHM, false, ['sign'])
  const cert = await X509CertificateGenerator.create({
    subject: 'CN=Logged Thermal',
    issuer: new X509Certificate(readFileSync(files.root, 'utf8')).subject,
    notBefore: new Date(now - CLOCKS_DIFFER),
    notAfter: new Date(now + SERVER_LASTS),
    signingAlgorithm: ALGORITHM,
    publicKey: keys.publicKey,
    signingKey,
    extensions: [
      new BasicConstraintsExtension(false),
      new KeyUsagesExtension(KeyUsageFlags.digitalSignature, true),
      new ExtendedKeyUsageExtension([ExtendedKeyUsage.serverAuth]),
      new SubjectAlternativeNameExtension(names.map((value) => ({ type: isIP(value) ? 'ip' : 'dns', value }) as const)),
    ],
  })
  await writeKey(files.key, keys)
  writeFileSync(files.cert, cert.toString('pem'))
}

function isCurrent({ cert, key, root }: CertificateFiles, names: readonly string[], now: Instant): boolean {
  if (!existsSync(cert) || !existsSync(key)) return false
  const made = new X509Certificate(readFileSync(cert, 'utf8'))
  const known =
    made
      .getExtension(SubjectAlternativeNameExtension)
      ?.names.toJSON()
      .map(({ value }) => value) ?? []
  return (
    made.issuer === new X509Certificate(readFileSync(root, 'utf8')).subject &&
    made.notAfter.getTime() - now > RENEWED_BEFORE &&
    names.every((name) => known.includes(name))
  )
}

function newKeys(): Promise<webcrypto.CryptoKeyPair> {
  return webcrypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify'])
}

async function writeKey(path: string, { privateKey }: webcrypto.CryptoKeyPair): Promise<void> {
  const pkcs8 = await webcrypto.subtle.exportKey('pkcs8', privateKey)
  writeFileSync(path, PemConverter.encode(pkcs8, 'PRIVATE KEY'), { mode: 0o600 })
}
