/** Handover: who is asked next, and which gates fall meanwhile. */
export const handoverMessages = {
  handingOverBatchRuns: 'Handing over: {count} {running, plural, one {batch runs} other {batches run}} on.',
  whoAskedNext: 'Who is asked next',
  whoAsked: 'Who is asked',
  nobody: 'Nobody',
  kitchenClosed: 'the kitchen is closed',
  from: 'From',
  until: 'Until',
  untilOn: 'Until {time} on {day}.',
  handOver: 'Hand over',
  whoDecidesWhileI: 'Who decides while I am away',
  whatRunsOn: 'What runs on',
  nothingRunsOnEvery: 'Nothing runs on: every batch is proven and kept, or gone.',
  leadDecides: 'The lead decides.',
  onHeat: ' On the heat.',
  whenNobodyHereGate: 'When nobody is here, {count} {count2, plural, one {gate falls} other {gates fall}}.',
  fallsDueAtWhen: '{to} falls due at {time}, when nobody is here.',
  readAtBeforeYou: '{falls} Read it at {time}, before you go: it should be there by then.',
  beforeBringsByOtherwise:
    '{falls} {actionWord} before {time} brings it to {to} by {time2}; otherwise it cannot be proven.',
  nothingBringsByCannot:
    '{falls} Nothing brings it to {to} by {time}: it cannot be proven unless somebody comes to read it.',
} as const
