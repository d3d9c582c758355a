/** A view: where it is, what it is called, and which view one comes back to from it. */
export interface Place {
  path: string
  name: string
  /** One line for the page of all places. */
  says: string
  under?: string
}

export type PlaceKey = keyof typeof PLACES

/** Every view of the program. The bar shows the first four; More shows all that need no name of a thing in their address. */
const PLACES = {
  line: { path: '/', name: 'Line', says: 'Every batch that runs, the most urgent first.' },
  bench: { path: '/bench', name: 'Bench', says: 'One batch: its readings, and what they prove.' },
  store: { path: '/store', name: 'Cold store', says: 'What is held, by door and shelf.' },
  methods: { path: '/methods', name: 'Methods', says: 'How each dessert is made, and what it is held to.' },
  more: { path: '/more', name: 'More', says: 'Every other place, search, help and shortcuts.' },
  start: { path: '/start', name: 'Start a batch', says: 'Choose a method and an amount.', under: 'line' },
  round: {
    path: '/round',
    name: 'Read round',
    says: 'Read every pan that is due, one after the other.',
    under: 'line',
  },
  handover: {
    path: '/handover',
    name: 'Handover',
    says: 'Who is asked next, and which gates fall when nobody is here.',
    under: 'line',
  },
  list: {
    path: '/store/list',
    name: 'Stock list',
    says: 'What is held as a table: by name, code, allergen, diet.',
    under: 'store',
  },
  unitRound: {
    path: '/store/round',
    name: 'Temperature round',
    says: 'Read every refrigerator and freezer.',
    under: 'store',
  },
  bin: { path: '/store/bin', name: 'Bin round', says: 'What has to go now, and tonight.', under: 'store' },
  receive: {
    path: '/store/receive',
    name: 'Receive a delivery',
    says: 'Eggs, dairy and all else, checked at the door.',
    under: 'store',
  },
  item: { path: '/store/item', name: 'Item', says: 'One thing in the cold store.', under: 'store' },
  lineage: {
    path: '/store/lineage',
    name: 'Trace',
    says: 'What it was made of, and what became of it.',
    under: 'store',
  },
  method: {
    path: '/methods',
    name: 'Method',
    says: 'One method: steps, amounts, what it is held to.',
    under: 'methods',
  },
  cooldown: { path: '/cooldown', name: 'Cooldown', says: 'Which pan and which place cool it in time.', under: 'more' },
  temper: { path: '/temper', name: 'Tempering', says: 'What each ladle does to the eggs.', under: 'more' },
  limits: { path: '/limits', name: 'Limits', says: 'The limits in force, and where each is printed.', under: 'more' },
  people: {
    path: '/people',
    name: 'PINs and tablets',
    says: 'Change a PIN; which tablets belong to the kitchen.',
    under: 'more',
  },
  missing: { path: '/nowhere', name: 'Not found', says: '', under: 'line' },
} as const satisfies Record<string, Place>

/** A place by its key. */
export const places: Record<PlaceKey, Place & { under?: PlaceKey }> = PLACES

/** What the bar at the edge of the screen shows. */
export const IN_BAR: readonly PlaceKey[] = ['line', 'bench', 'store', 'methods', 'more']

/** What the page of all places shows beside the bar, by where the hands are. */
export const IN_MORE: readonly { name: string; of: readonly PlaceKey[] }[] = [
  { name: 'On the stove', of: ['start', 'round', 'cooldown', 'temper', 'handover'] },
  { name: 'Cold store', of: ['list', 'unitRound', 'bin', 'receive'] },
  { name: 'Rules and people', of: ['methods', 'limits', 'people'] },
]
