/** What the kitchen reads with. */
export const instrumentsMessages = {
  readWith: '{count, plural, one {One instrument} other {{count} instruments}}.',
  nothingYet: 'No instrument is registered yet.',
  withoutProbe: 'Without a probe no reading proves a core.',
  registered: 'Registered',
  noneYet: 'None yet.',
  kind_probe: 'Penetration probe',
  kind_infrared: 'Infrared thermometer',
  kind_display: 'Built-in display',
  readsThe: 'reads the {what}',
  registerOne: 'Register an instrument',
  codeOnIt: 'Code written on it',
  kind: 'Kind',
  register: 'Register it',
  whichCode: 'Enter the code written on it, such as P3.',
  codeTaken: '{code} is registered already.',
  leadSigns: 'Register {code}: the lead signs',
} as const
