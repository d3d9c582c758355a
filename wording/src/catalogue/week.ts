/** The week’s review for whoever writes the methods. */
export const weekMessages = {
  looking: 'Looking it up …',
  nothing: 'No batch was settled in that time.',
  allHeld: 'Every method held.',
  failed: '{count, plural, one {One method did not hold every time.} other {# methods did not hold every time.}}',
  heldCount:
    '{count, plural, =0 {} one {One other method held each time: {names}.} other {# other methods held each time: {names}.}}',
  counts:
    '{all, plural, one {One batch} other {# batches}}: {proven} proven{missed, plural, =0 {} other {, # missed}}{unproven, plural, =0 {} other {, # not proven}}',
  missedIn: 'missed in',
  unprovenIn: 'not proven in',
  openMethod: 'Open {name}',
  onlyLatest: 'There are more batches than are reviewed at once: these are the latest.',
  says: 'What would have held it is for you to weigh: nothing changes by itself.',
  'remedy_cool faster':
    'It cools too slowly as it is poured. Shallower, in more pans, or into the ice sooner; Cooldown shows how deep it may be.',
  'remedy_read in time': 'It was read after the gate. Somebody has to be asked for a reading before it.',
  'remedy_read oftener': 'Too long passed between two readings. Have it asked for oftener as it nears the gate.',
  'remedy_read off the heat': 'Nobody read it as it came off the heat, so its clock began at its last hot reading.',
  'remedy_read every pan': 'Some pans were not read. Fewer and shallower pans, or a round that names each.',
  'remedy_heat further': 'It came off the heat before its floor. Say in the step how hot and for how long.',
  'remedy_read at the floor': 'It was heated, and nobody read it at its floor. Ask for the reading in the step.',
  'remedy_name the lots': 'Nobody said which eggs went in. Have the step ask for their lot.',
  'remedy_out for less': 'It stood in the warm for too long. Take out less at a time.',
  'remedy_make less': 'It was kept past its day. Make less of it.',
  'remedy_enter at once':
    'What was read could not count: late, or with an instrument that failed. Enter at once, with a checked one.',
  remedy_look: 'Open one of its batches: its checks say what was wanting.',
}
