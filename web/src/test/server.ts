/** What was sent to the server: where, and with which body. */
export interface Sent {
  path: string
  body: unknown
}

type Answer = (body: unknown) => { status: number; body: unknown }

/**
 * A server that answers what a test says, by path under /api; anything else finds it away. jsdom has no Request and no
 * Response: they are given as far as the interface asks for them.
 */
export function serverAnswers(): { answers: Record<string, Answer>; sent: Sent[] } {
  const answers: Record<string, Answer> = {}
  const sent: Sent[] = []
  Object.assign(globalThis, {
    Request: class {
      readonly body: string | undefined
      constructor(
        readonly url: string,
        init: { body?: string } = {},
      ) {
        this.body = init.body
      }
      clone() {
        return this
      }
    },
  })
  jest.spyOn(globalThis, 'fetch').mockImplementation((asked) => {
    const { url, body: text } = asked as unknown as { url: string; body: string | undefined }
    const path = url.replace(/^.*\/api\//, '')
    const body: unknown = text === undefined ? null : JSON.parse(text)
    sent.push({ path, body })
    const answer = answers[path]?.(body)
    return answer ? Promise.resolve(responseOf(answer)) : Promise.reject(new TypeError('away'))
  })
  return { answers, sent }
}

function responseOf({ status, body }: ReturnType<Answer>): Response {
  const response = {
    status,
    ok: status < 400,
    headers: new Map([['content-type', 'application/json']]),
    clone: () => response,
    text: () => Promise.resolve(JSON.stringify(body)),
  }
  return response as unknown as Response
}
