/** The first shift, step by step. */
export const tourMessages = {
  title: 'Your first shift',
  offer: 'First shift on this program? Look around in two minutes.',
  start: 'Show me',
  next: 'Next',
  back: 'Back',
  notNow: 'Not now',
  done: 'Done',
  step: 'Step {step} of {steps}',
  line: 'The Line',
  lineSays:
    'Every batch that runs, as a band of heat: thick where hot, thin where cold. What needs hands stands on top, in berry. Everything else can wait.',
  bench: 'The Bench',
  benchSays:
    'Tap a batch and you are at its bench. Tap the degree, then the tenth, and the reading is logged. Wrong? “Undo” stands there for ten seconds.',
  gates: 'Gates',
  gatesSays:
    'Two points facing the band: be under this by then. Two flats: reach this. A gate that is solid with a tick is passed. Only readings pass a gate.',
  rescue: 'Rescue',
  rescueSays:
    'When a batch will not make its gate, the block on the right says what still saves it, and the last moment to begin. After that moment nothing saves it, and it says so.',
  store: 'The cold store',
  storeSays:
    'What is done goes into the cold store with its discard day. Each door, each shelf, each thing has one key for what comes next.',
  lead: 'What needs a decision',
  leadSays:
    'Not proven, or missed: the food-safety lead decides, with a PIN and a reason. Nobody can change a reading afterwards. A correction stands beside it.',
} as const

/** In this order. */
export const TOUR = ['line', 'bench', 'gates', 'rescue', 'store', 'lead'] as const
