/** Entries that wait for the lead. */
export const waitingMessages = {
  theCorrectionTo: 'The correction to {value}',
  takingBack: 'Taking back {value}',
  whatTakenBack: 'What was taken back',
  theStep: 'The step',
  whatWent: 'What went in',
  theEggs: 'The eggs',
  whereStood: 'Where it stood',
  fileOf: 'What came out of the file {file}',
  whatDone: 'What was done',
} as const
