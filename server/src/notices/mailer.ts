import { createTransport, type Transporter } from 'nodemailer'
import type { MailConfig } from '../config'

export interface Mail {
  to: string
  subject: string
  text: string
}

/** A server that does not answer within this is tried again later, ms. */
const WITHIN = 15_000

/** Sends by the SMTP server that the installation names. */
export class Mailer {
  private readonly transport: Transporter

  constructor(private readonly config: MailConfig) {
    this.transport = createTransport({
      url: config.url,
      connectionTimeout: WITHIN,
      greetingTimeout: WITHIN,
      socketTimeout: WITHIN,
      disableFileAccess: true,
      disableUrlAccess: true,
    })
  }

  /** Throws an Error where the server refuses it or cannot be reached. */
  async send(mail: Mail): Promise<void> {
    await this.transport.sendMail({ from: this.config.from, ...mail })
  }
}
