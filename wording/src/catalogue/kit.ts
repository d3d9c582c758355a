/** What the kit itself says: keys, fields, tables. */
export const kitMessages = {
  takeBackDigit: 'Take back a digit',
  pin: 'PIN',
  yourPin: '{name}, your PIN',
  digitsTyped: '{typed} digits typed',
  done: 'Done',
  notNow: 'Not now',
  belowZero: 'below zero, −',
  lessName: '{name}: less',
  moreName: '{name}: more',
  columns: 'Columns',
  saveAsCsv: 'Save as CSV',
  cOrFWrong: '{wrong}: °C or °F?',
  noTemperatureWrite70: '"{value}" is no temperature. Write 70 °C or 158 °F.',
} as const
