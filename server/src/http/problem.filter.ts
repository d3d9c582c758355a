import { ArgumentsHost, Catch, ExceptionFilter, HttpException, Logger } from '@nestjs/common'
import type { Response } from 'express'
import { isDatabaseAway, isDatabaseBusy, isDiskFull } from './databaseFault'
import { Problem } from './problem'

/** Answers every failure as RFC 9457 problem details: a sentence for a person, a code and a field for a program. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly log = new Logger('problem')

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>()
    if (response.headersSent) {
      response.end()
      return
    }
    const { status, code, sentence, field } = this.problemOf(error)
    if (status >= 500) this.log.error(error instanceof Error ? error.stack : String(error))
    response
      .status(status)
      .type('application/problem+json')
      .send({
        type: `urn:logged-thermal:problem:${code.replaceAll(' ', '-')}`,
        title: code,
        status,
        detail: sentence,
        ...(field === null ? {} : { field }),
      })
  }

  private problemOf(error: unknown): Problem {
    if (error instanceof Problem) return error
    if (isDatabaseAway(error)) {
      return new Problem(
        503,
        'database away',
        'The logbook does not answer just now. Send it again in a moment: what it has already is not entered twice.',
      )
    }
    if (isDatabaseBusy(error))
      return new Problem(
        503,
        'busy',
        'The logbook is busy. Send it again in a moment: what it has already is not entered twice.',
      )
    if (isDiskFull(error))
      return new Problem(
        507,
        'disk full',
        'The disk of the server is full. Nothing can be entered until there is room again.',
      )
    const status = statusOf(error)
    if (status === 413)
      return new Problem(
        413,
        'too large',
        'That is too long for one request. Send less at a time; nothing was written.',
      )
    if (status === 404) return new Problem(404, 'not there', 'There is nothing at this address.')
    if (status === 415)
      return new Problem(
        415,
        'not readable',
        'The request has to be JSON, neither packed nor in other letters than UTF-8.',
      )
    if (status === 400) return new Problem(400, 'not readable', 'The request is not readable JSON.')
    if (error instanceof HttpException) return new Problem(error.getStatus(), 'refused', error.message)
    if (status >= 400 && status < 500) return new Problem(status, 'refused', 'The request cannot be taken.')
    return new Problem(500, 'our fault', 'Something failed on our side. Send it again: nothing is entered twice.')
  }
}

function statusOf(error: unknown): number {
  if (error instanceof HttpException) return error.getStatus()
  const status = (error as { status?: unknown } | null)?.status
  return typeof status === 'number' ? status : 500
}
