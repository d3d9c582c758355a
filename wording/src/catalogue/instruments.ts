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
  registerOne: 'Register one',
  codeOnIt: 'Code, as it stands on it',
  kind: 'Kind',
  register: 'Register it',
  whichCode: 'Give it the code that stands on it: P3.',
  codeTaken: '{code} is registered already.',
  leadSigns: 'The lead signs: {code} is one of the kitchen’s',
} as const
