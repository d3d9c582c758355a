/** A published row as compared: at least `celsius` for `seconds`, unbroken; 0 seconds is instant. */
export interface HoldRow {
  celsius: number
  seconds: number
}

/**
 * One stage of a cooling limit as compared: from `from` °C to `to` °C within `withinMinutes`.
 * `clock`: 'from' (the default) starts at the falling crossing of `from`; 'previous' when the stage before ends;
 * 'event' at a given instant.
 */
export interface CoolingStage {
  key: string
  from: number
  to: number
  withinMinutes: number
  clock?: 'from' | 'previous' | 'event'
}
