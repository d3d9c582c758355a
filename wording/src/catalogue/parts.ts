/** The ribbons and the badge. */
export const partsMessages = {
  n4HAgo: '4 h ago',
  n1HAgo: '1 h ago',
  binDay: 'bin {day}',
  gateCheckStanding: 'gate {check}, {standing}',
  discardWall: '; discard wall',
} as const
