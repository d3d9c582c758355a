/** What stands behind an instrument's readings, beside its code. */
export const backingMessages = {
  overdue: 'check overdue',
  lapsed: 'check long overdue, proves nothing',
  unchecked: 'never checked, proves nothing',
  failed: 'failed, proves nothing',
} as const
