import type { UnknownAction } from '@reduxjs/toolkit'

/** An action of another tab of this tablet, done here too. */
export function fromTab(action: UnknownAction): UnknownAction {
  return { ...action, meta: { fromTab: true } }
}

/** Whether another tab did it. */
export function isFromTab(action: object): boolean {
  return 'meta' in action && (action.meta as { fromTab?: unknown } | undefined)?.fromTab === true
}
