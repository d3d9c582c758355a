import { shellMessages } from '@logged-thermal/wording'

import { speaks } from '../kit/language'

const say = speaks(shellMessages)
/** A view: where it is, what it is called, and which view one comes back to from it. */
export interface Place {
  path: string
  name: string
  /** One line for the page of all places. */
  says: string
  under?: string
}

export type PlaceKey = keyof typeof PLACES

/** Every view of the program. The bar shows five; More shows all that need no name of a thing in their address. */
const PLACES = {
  line: { path: '/', name: say('line'), says: say('everyBatchRunsMost') },
  bench: { path: '/bench', name: say('bench'), says: say('oneBatchItsReadings') },
  store: { path: '/store', name: say('coldStore'), says: say('whatHeldByDoor') },
  log: { path: '/log', name: say('log'), says: say('whatHappenedWhen') },
  review: { path: '/log/review', name: say('review'), says: say('whatIsOpenAndSigned'), under: 'log' },
  week: { path: '/log/week', name: say('week'), says: say('whatToChange'), under: 'log' },
  trends: { path: '/log/trends', name: say('trends'), says: say('howBatchesWent'), under: 'log' },
  transcribed: { path: '/log/transcribed', name: say('transcribed'), says: say('keptElsewhere'), under: 'log' },
  packets: { path: '/log/packets', name: say('packets'), says: say('recordsToHandOut'), under: 'log' },
  changes: { path: '/log/changes', name: say('changes'), says: say('whatCameLate'), under: 'log' },
  batch: { path: '/log/batch', name: say('batchPage'), says: say('oneBatchForEver'), under: 'log' },
  methods: { path: '/methods', name: say('found_method'), says: say('howEachDessertMade'), under: 'more' },
  more: { path: '/more', name: say('more'), says: say('everyOtherPlaceSearch') },
  start: { path: '/start', name: say('startBatch'), says: say('chooseMethodAmount'), under: 'line' },
  round: {
    path: '/round',
    name: say('readRound'),
    says: say('readEveryPanDue'),
    under: 'line',
  },
  handover: {
    path: '/handover',
    name: say('handover'),
    says: say('whoAskedNextWhich'),
    under: 'line',
  },
  lists: { path: '/lists', name: say('dailyLists'), says: say('whatIsLookedAt'), under: 'line' },
  list: {
    path: '/store/list',
    name: say('stockList'),
    says: say('whatHeldAsTable'),
    under: 'store',
  },
  unitRound: {
    path: '/store/round',
    name: say('temperatureRound'),
    says: say('readEveryRefrigeratorFreezer'),
    under: 'store',
  },
  bin: { path: '/store/bin', name: say('binRound'), says: say('whatGoNowTonight'), under: 'store' },
  receive: {
    path: '/store/receive',
    name: say('receiveDelivery'),
    says: say('eggsDairyAllElse'),
    under: 'store',
  },
  item: { path: '/store/item', name: say('item'), says: say('oneThingColdStore'), under: 'store' },
  lineage: {
    path: '/store/lineage',
    name: say('trace'),
    says: say('whatMadeWhatBecame'),
    under: 'store',
  },
  method: {
    path: '/methods',
    name: say('method'),
    says: say('oneMethodStepsAmounts'),
    under: 'methods',
  },
  newMethod: { path: '/methods/new', name: say('newMethod'), says: say('writtenCopiedPasted'), under: 'methods' },
  cooldown: { path: '/cooldown', name: say('cooldown'), says: say('whichPanWhichPlace'), under: 'more' },
  temper: { path: '/temper', name: say('tempering'), says: say('whatEachLadleDoes'), under: 'more' },
  limits: { path: '/limits', name: say('limits'), says: say('limitsForceWhereEach'), under: 'more' },
  unit: { path: '/store/unit', name: say('unitPage'), says: say('oneUnit'), under: 'store' },
  person: { path: '/people', name: say('personPage'), says: say('onePerson'), under: 'people' },
  people: {
    path: '/people',
    name: say('peoplePlace'),
    says: say('whoWorksHere'),
    under: 'more',
  },
  traces: { path: '/traces', name: say('tracesPlace'), says: say('canItBeFound'), under: 'more' },
  fitness: { path: '/fitness', name: say('fitness'), says: say('whoMayNotWork'), under: 'more' },
  instruments: {
    path: '/instruments',
    name: say('instruments'),
    says: say('whatReadsAndWhere'),
    under: 'more',
  },
  settings: {
    path: '/settings',
    name: say('settings'),
    says: say('howKitchenIsSet'),
    under: 'more',
  },
  hours: {
    path: '/hours',
    name: say('openingHours'),
    says: say('whenOpenWhoSigns'),
    under: 'settings',
  },
  instrument: {
    path: '/instruments',
    name: say('instrument'),
    says: say('oneInstrument'),
    under: 'instruments',
  },
  instrumentCheck: {
    path: '/instruments',
    name: say('instrumentCheck'),
    says: say('checkedStepByStep'),
    under: 'instruments',
  },
  lookBack: {
    path: '/instruments',
    name: say('lookBack'),
    says: say('whatFailedInstrumentRead'),
    under: 'instruments',
  },
  missing: { path: '/nowhere', name: say('notFound'), says: '', under: 'line' },
} as const satisfies Record<string, Place>

/** A place by its key. */
export const places: Record<PlaceKey, Place & { under?: PlaceKey }> = PLACES

/** What the bar at the edge of the screen shows. */
export const IN_BAR: readonly PlaceKey[] = ['line', 'bench', 'store', 'log', 'more']

/** What the page of all places shows beside the bar, by where the hands are. */
export const IN_MORE: readonly { name: string; of: readonly PlaceKey[] }[] = [
  { name: say('onStove'), of: ['start', 'round', 'cooldown', 'temper', 'lists', 'handover'] },
  { name: say('coldStore'), of: ['list', 'unitRound', 'bin', 'receive', 'traces'] },
  {
    name: say('rulesPeople'),
    of: [
      'review',
      'changes',
      'trends',
      'week',
      'packets',
      'transcribed',
      'methods',
      'limits',
      'instruments',
      'people',
      'fitness',
      'settings',
    ],
  },
]
