import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { MailStandIn } from '@logged-thermal/server'

/**
 * A mail server for the demo and the tests: every letter becomes a file of a folder, and nothing leaves the machine.
 * Tells whoever began it where it listens.
 */
async function keepLetters(folder: string): Promise<void> {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  let count = 0
  const standIn = new MailStandIn(({ to, subject, text }) => {
    const name = `${Date.now()}-${String(++count).padStart(4, '0')}.txt`
    writeFileSync(join(folder, name), `To: ${to.join(', ')}\nSubject: ${subject}\n\n${text}`, { mode: 0o600 })
  })
  const url = await standIn.listen()
  process.send?.(url)
  process.on('disconnect', () => process.exit())
}

void keepLetters(process.argv[2] ?? 'mail')
