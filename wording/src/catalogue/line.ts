/** The Line: its one sentence and its rows. */
export const lineMessages = {
  handover: 'Handover',
  askedNobodyHereFrom: '{hasAsked, select, true {{asked} is asked} other {Nobody is here}} from {time} until {time2}.',
  nobodyHandedOver: 'Nobody has handed over.',
  handOver: 'Hand over',
  keptAside: 'Kept aside',
  intoBin: 'Into the bin',
  amountItemHeatstatusword: '{amount} {item} of {of}, {heatStatusWord}',
  itsLastDay: '{what}. Its last day was {day}',
  binAtEnd: '{what}, bin at the end of {value}',
  rescueBeforeLong: '{count} to rescue before long',
  toBin: '{count} to bin',
  seeNow: '{count} to see to now',
  forLeadDecide: '{count} for the lead to decide',
  useToday: '{count} to use today',
  batchBatchesRescue: '{count} {rescue, plural, one {batch} other {batches}} to rescue.',
  nothingOnStoveYet: 'Nothing on the stove yet.',
  nothingNeedsHandsJust: 'Nothing needs hands just now.',
  readRound: 'Read round',
  pansPans: '{pans} pans',
  startBatch: 'Start a batch',
  startBatchAppearsHere:
    'Start a batch: it appears here as a ribbon of heat, thick while hot and thin when cold, with a gate at each limit. What was read is solid, what nobody read is hatched.',
  agoSpan: '{span} ago',
  notRead: 'not read',
  onHold: 'On hold',
  instrumentFailed: '{code} failed its check.',
  whatItReadInDoubt:
    'Since {time} what it read stands in doubt: {count, plural, =1 {one thing waits} other {{count} things wait}} for the lead.',
  lookBack: 'Look back',
  now: 'now',
  nobodySigns: 'Nobody can sign',
  whoCanSign: 'Who can sign',
  waitForLead:
    '{count, plural, one {One batch needs a decision.} other {{count} batches need a decision.}} Nobody can sign until {time}: it stays held.',
  waitForOpening:
    '{count, plural, one {One batch needs a decision.} other {{count} batches need a decision.}} The kitchen is closed: it stays held.',
} as const
