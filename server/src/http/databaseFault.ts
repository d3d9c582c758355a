/** The logbook does not answer: it is down, going down, or every connection to it is taken. */
export function isDatabaseAway(error: unknown): boolean {
  return some(
    error,
    (code, message) =>
      // Connection failures of the driver, and the server shutting down (SQLSTATE class 57P, 08).
      /^(ECONN|EPIPE|ETIMEDOUT|57P|08|53300)/.test(code) ||
      /Connection terminated|Timeout acquiring a connection|Connection ended/.test(message),
  )
}

/** It answers, but another holds what was needed for longer than we wait (SQLSTATE 55P03, 57014, 25P03). */
export function isDatabaseBusy(error: unknown): boolean {
  return isDatabaseAway(error) || some(error, (code) => ['55P03', '57014', '25P03'].includes(code))
}

/** Its disk is full (SQLSTATE 53100). */
export function isDiskFull(error: unknown): boolean {
  return some(error, (code) => code === '53100')
}

/** Whether an error, or what caused it, is of a kind. */
function some(error: unknown, is: (code: string, message: string) => boolean): boolean {
  for (let cause = error; cause instanceof Error; cause = cause.cause ?? (cause as { previous?: unknown }).previous) {
    const { code } = cause as { code?: unknown }
    if (is(typeof code === 'string' ? code : '', cause.message)) return true
  }
  return false
}
