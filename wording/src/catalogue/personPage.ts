/** The page of one person. */
export const personPageMessages = {
  noSuch: 'Nobody here has this page.',
  left: 'No longer here.',
  inLog: 'All in the Log',
  logged: 'Batches they logged in',
  looking: 'Looking it up …',
  counts:
    '{all, plural, =0 {None in that time.} one {One batch: } other {# batches: }}{all, plural, =0 {} other {{proven} proven, {missed} missed, {unproven} not proven, {open} still open.}}',
  latest: 'The latest {shown}.',
  putRight: 'Entered late, put right or taken back',
  nothingPutRight: 'Nothing in that time.',
  own: 'Let count by the same person',
  noBlame: 'A batch has several hands in it, and these counts are few: they say where to help, not who is to blame.',
} as const
