let began = { told: 0, even: 0 }

/** A page begins: from here on its clock goes evenly. */
export function beginTabletClock(): void {
  began = { told: Date.now(), even: performance.now() }
}

/**
 * This tablet's clock, ms. Of the machine's clock, which may be set, and the one that counts since the page began, which may
 * stand still while the tablet sleeps, the later counts: set back, it goes on as if it had not been.
 */
export function tabletNow(): number {
  return Math.max(Date.now(), Math.round(began.told + performance.now() - began.even))
}
