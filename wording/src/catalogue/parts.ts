/** The ribbons, the badge, and keys that stand on several views. */
export const partsMessages = {
  n4HAgo: '4 h ago',
  n1HAgo: '1 h ago',
  binDay: 'bin {day}',
  gateCheckStanding: 'gate {check}, {standing}',
  discardWall: '; discard wall',
  listPaper: 'Record (PDF)',
  listTable: 'CSV',
  listData: 'JSON',
} as const
