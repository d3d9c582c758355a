import { raw, type NextFunction, type Request, type RequestHandler, type Response } from 'express'
import { Problem } from '../problem'
import { readJson } from './readJson'

/** Bytes that a body may have, by where it is sent. */
const LONGEST: Record<string, number> = {
  '/api/entries': 1_000_000,
  // A photo as base64.
  '/api/photos': 620_000,
  '/api/shift': 4_000,
  '/api/set-up': 4_000,
  '/api/sign-in': 4_000,
}
const LONGEST_ELSEWHERE = 64_000

/** What is sent here needs no shift: it opens one, or signs in. */
const OPENS = ['/api/shift', '/api/set-up', '/api/sign-in']

/**
 * What a request goes through before its body is read, so that a stranger's costs next to nothing: its address, where it
 * comes from, whether its shift may write. Then the body, as long as its route allows.
 * @param requireSender throws a Problem where whoever asks has no open shift, and is not signed in either where that is enough
 * @param address the server's own, beside the one in the Host header
 */
export function intake(requireSender: (request: Request) => Promise<unknown>, address: string): RequestHandler[] {
  const own = new URL(address).host
  return [
    checked((request) => requireReadableAddress(request.url)),
    checked((request) => requireOwnOrigin(request, own)),
    checked(async (request) => {
      if (hasBody(request) && !OPENS.includes(request.path)) await requireSender(request)
    }),
    readBody,
  ]
}

/** A middleware of a check that throws or not. */
function checked(check: (request: Request) => unknown): RequestHandler {
  return async (request, _, next) => {
    try {
      await check(request)
      next()
    } catch (error) {
      next(error)
    }
  }
}

/** No address of ours has a control character in it; the database could not even be asked for one. */
function requireReadableAddress(url: string): void {
  if (/%(?:[01][0-9a-f]|7f)|%(?![0-9a-f]{2})/i.test(url))
    throw new Problem(400, 'not readable', 'The address of the request is not readable.')
}

/** A page of another site may not send here, even where a browser would let it. */
function requireOwnOrigin({ method, headers }: Request, own: string): void {
  if (method === 'GET' || method === 'HEAD') return
  const { origin, host } = headers
  if (origin === undefined) return
  const from = URL.canParse(origin) ? new URL(origin).host : null
  if (from === null || (from !== host && from !== own))
    throw new Problem(403, 'other site', 'That was sent by a page of another site. Open the program itself.')
}

function hasBody({ headers }: Request): boolean {
  return headers['transfer-encoding'] !== undefined || Number(headers['content-length'] ?? 0) > 0
}

const parsers = new Map<number, RequestHandler>()

function readBody(request: Request, response: Response, next: NextFunction): void {
  const limit = LONGEST[request.path] ?? LONGEST_ELSEWHERE
  const parser = parsers.get(limit) ?? raw({ type: 'application/json', limit, inflate: false })
  parsers.set(limit, parser)
  void parser(request, response, (error?: unknown) => {
    if (error === undefined && Buffer.isBuffer(request.body)) {
      try {
        request.body = readJson(request.body)
      } catch (unreadable) {
        next(unreadable)
        return
      }
    }
    next(error)
  })
}
