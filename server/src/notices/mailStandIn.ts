import { simpleParser } from 'mailparser'
import { SMTPServer } from 'smtp-server'
import type { AddressInfo } from 'node:net'

/** A letter as it came. */
export interface Received {
  to: string[]
  subject: string
  text: string
}

/** An SMTP server that keeps what it is sent, for the demo and for tests: nothing leaves the machine. */
export class MailStandIn {
  readonly received: Received[] = []
  /** It refuses so many letters from now on, as a server that is busy does. */
  refuses = 0
  private readonly server: SMTPServer

  constructor(private readonly onReceived: (letter: Received) => void = () => undefined) {
    this.server = new SMTPServer({
      authOptional: true,
      disabledCommands: ['AUTH', 'STARTTLS'],
      size: 1_000_000,
      onData: (stream, session, done) => {
        void simpleParser(stream).then(({ subject = '', text = '' }) => {
          if (this.refuses > 0) {
            this.refuses--
            return done(Object.assign(new Error('Try again later'), { responseCode: 451 }))
          }
          const letter = { to: session.envelope.rcptTo.map(({ address }) => address), subject, text }
          this.received.push(letter)
          this.onReceived(letter)
          done()
        }, done)
      },
    })
  }

  /** @returns where it listens: 'smtp://127.0.0.1:2525' */
  listen(port = 0): Promise<string> {
    return new Promise((done, failed) => {
      this.server.once('error', failed)
      this.server.listen(port, '127.0.0.1', () => {
        const { port: taken } = this.server.server.address() as AddressInfo
        done(`smtp://127.0.0.1:${taken}`)
      })
    })
  }

  close(): Promise<void> {
    return new Promise((done) => this.server.close(() => done()))
  }
}
