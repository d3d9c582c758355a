const PLACE = 'logged-thermal clock'

/** How far the kitchen's clock was ahead of this tablet's when it was last told, ms: what is entered without the server is stamped by it. */
export function keptOffset(): number {
  try {
    const kept = Number(localStorage.getItem(PLACE) ?? 0)
    return Number.isFinite(kept) ? kept : 0
  } catch {
    return 0
  }
}

export function keepOffset(offsetMs: number): void {
  try {
    localStorage.setItem(PLACE, String(Math.round(offsetMs)))
  } catch {
    // Without room the tablet's own clock is taken after a restart.
  }
}
