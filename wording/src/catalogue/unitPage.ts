/** The page of one cold unit. */
export const unitPageMessages = {
  noSuch: 'There is no such unit here.',
  readAt: 'Read {time}.',
  neverRead: 'Nobody has read it yet.',
  batchesIn: 'Batches that stood in it',
  air: 'Its air',
  wordsOnly:
    '{count, plural, =1 {One of them proves} other {{count} of them prove}} no cold: told too late, or read with an instrument in doubt.',
  looks:
    '{count, plural, =0 {Nobody looked in that time} one {Looked at once} other {Looked at # times}}; unread for {longest} at most.',
  outside: 'When it was outside of what it has to keep',
  neverOutside: 'Never in that time: no look was {side, select, under {over} other {under}} {level}.',
  outsideFor: '{from}: {long} at most{goesOn, select, true {, and it goes on} other {}}.',
  worst: 'Worst {degrees}.',
  noted: 'Noted: {noted}.',
  isMatter: 'A matter of the day review.',
  aMoment: 'For a moment: a single look.',
  skipped: 'Somebody came by and could not read it',
} as const
