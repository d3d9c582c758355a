import type { Practice } from './practice'

/**
 * How a house worked that signed its limits before it could say so. These never change: what was made under them is
 * judged by them, whatever `PRACTICE` proposes to a new kitchen today. It did not warm again.
 */
export const FORMER_PRACTICE: Practice = {
  susceptible: false,
  cleanFirst: false,
  warmMinutes: 30,
  serveMinutes: 20,
  rewarmings: 0,
  cookChill: false,
  nightHours: 12,
  rounds: ['07:30', '14:00', '21:00'],
  closing: '22:00',
  partsPassOn: 'ready to eat',
  openedDays: 3,
  hotHours: 4,
  freezerAir: -12,
  frozenUseBy: null,
  bakeDays: 180,
  fruitDays: 3,
  permits: { heatedEggs: null, susceptiblePlan: null, packagedAcidity: null },
}
