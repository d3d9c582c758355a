/** What a check still needs. */
export const needsMessages = {
  oneReading: 'one reading of {degrees}',
  readAtLeastEvery: '{degrees} {span}, read at least every {span2}',
  provesIt: 'Proves it',
  wouldHaveProven: 'Would have proven it',
  readingAtOrUnder: 'a reading at or under {degrees} by {time}',
  provesIt2: 'Proves it: {reading}.',
  wouldHaveProvenWith: 'Would have proven it: {reading}, with a probe and entered in time.',
  wouldHaveProven2: 'Would have proven it: {reading}.',
  wouldHaveProvenStart: 'Would have proven the start: a reading at or over {degrees} as it began to cool.',
  countsFromReadingAt: 'Counts from a reading at or under {degrees}.',
} as const
