/** What each view is for and what to do next, in three sentences; the trade's words; the keys of a keyboard. */
export const helpMessages = {
  helpOn: 'Help: {place}',
  words: 'Words',
  keyboard: 'With a keyboard',
  showTour: 'Show the tour',

  line: 'Every batch that is not finished stands here, the most urgent on top. Tap a name to open it on the Bench; tap the key beside it to do what it asks for. Start a new one with “Start a batch”.',
  bench:
    'One batch, and all that was read of it. Tap the degree, then the tenth: it is logged. The block on the right says what to do next and by when; “Why” says what is proven and what is missing.',
  unit: 'One cold unit: its air over a week or another time, each time it was outside of what it has to keep, and what stands in it now. Choose a longer time above. The lists below its shelves are to hand out.',
  person:
    'What one person logged in a month or another time, how it stands, and what was entered late or put right. Open a batch to see how it went. The Log shows all of it.',
  store:
    'What is held, door by door, what has to go first on top. The key beside each thing does what comes next; the three dots show everything else. Read a door by tapping it.',
  log: 'What was made on a day, on one clock, how each stands, and what happened between. Go to another day with the arrows; look for a dish, a lot or a name. Tap a batch to open its page; CSV is what you see, as a file.',
  review:
    'Everything that is open stands here, the most urgent on top, and what only follows from it below it. Settle each with its key; close it with what was done, why, and what stops it next time. With nothing of the day open, sign the day.',
  packets:
    'Records for an inspector. Choose a time: the packet holds a cover with what is open first, a sheet a day with every record, tables, and the entries they rest on. The checker in it needs no network and nobody of ours: it must show the signs that are printed on the cover.',
  week: 'For the chef: which methods did not hold in a week, in which of their checks, and what would have held them. Open the method to change it, or a batch to see how it went.',
  transcribed:
    'Coolings out of logs that were kept elsewhere, as history: what they show to be too slow is said, and nothing of them is ever proven. The lead brings in a file: say what each column is, look at what is understood and what is left out, and sign.',
  trends:
    'How the batches of a time went. The chart has what was to spare at one gate, batch by batch: a disc is proven, a square missed, a hatch is where it may lie when it is not proven. What is out of the usual says so. Tap a point to open its batch; the table has the same numbers.',
  changes:
    'Everything that was not entered at once and for good: what came late, what was corrected, what was taken back, with what stood before and who did it. What waits stands on top: it betters nothing until the lead lets it count, and what the lead refuses stays as late as it is.',
  batch:
    'One batch, for ever. Readings that prove a limit are ringed; tap a limit to ring only its own. What was corrected shows its old value. Below: who read it, how it was cooked, what it was made of and what became of it.',
  methods:
    'How each dessert is made, and which limits it is held to. Open one to read or change it. A change counts once the lead has approved it.',
  newMethod:
    'Start a method from a name and a family, from a copy, from the text of a recipe or a table of many. In pasted text every guess is marked: check each one, and what is missing. The draft counts once the lead has put it in force.',
  more: 'Every place of the program. What is not in the bar below is here. Search finds batches, things, lots, methods and people.',
  start:
    'Choose the method, then how much of it. What it will be held to is shown before you start. Check the eggs: some methods ask for pasteurized ones.',
  round:
    'Every pan that is due is read here, one after the other. Put the probe into the pan that is named, tap what it shows. The round goes on by itself.',
  handover:
    'Who is asked from now on, and what runs on. Gates that fall while nobody is here are listed: do now what they ask for. Hand over when all is said.',
  lists:
    'What is looked at each day or week. One tap where all of it is right; tap what is not, and say why: that becomes a matter for the lead. What nobody goes through in time is missed, and stays missed.',
  traces:
    'Twice a year one lot and one thing are looked for, both ways, by the clock. Take one of the list, go and look, tick what you found and count what is left. A sample is kept through its day; then it may go.',
  fitness:
    'Who may not work with open food, and until when by your rule set. It opens with the food-safety lead’s PIN, each time. Below each name: what they had in hand since it began, what nothing heated after first. Follow it to where it is, and hold it there.',
  list: 'Everything that is held, as a table. Filter by allergen or diet; sort by any column. What is not known to be without an allergen is never shown as without it.',
  unitRound:
    'Read every refrigerator and freezer. Tap the number its display shows. When one is out of limits, read one thing inside as well.',
  bin: 'What has to go now stands on top; what ends tonight follows. Bin each, or all of one reason at once. A tub without a date is entered here and goes too.',
  receive:
    'What came in, from whom, how cold, with which date. Read the temperature before you sign. What is not in order is held apart, or sent back.',
  item: 'One thing from the cold store: how cold it was, what sets its date, what was done with it. Do the next thing with the keys on the right: Finish puts a topping on it, Send out says who gets it. Its label is printed here.',
  lineage:
    'What it was made of, and what became of it. From a lot a recall starts here. A drill does the same and holds nothing.',
  method:
    'The steps, the amounts, and what each step is held to. Tap a row to change it. Save keeps a draft; the lead approves it.',
  cooldown:
    'Before you cook: which pan and which place cool it in time. Every way is tried with its give-or-take. Choose one and it becomes the plan of the batch.',
  temper: 'How much hot liquid can go to the eggs at once. Each ladle is shown with what it does. Slower is kinder.',
  limits:
    'The limits in force, with the document that prints each. The house may be stricter by itself, and looser only by a written variance. The lead signs each version.',
  people:
    'Change your PIN here. The lead says which tablets belong to the kitchen. A tablet that is lost is forgotten at once.',
  instruments:
    'What the kitchen reads with, the most urgent first. The ribbon shows how far each was found to be out; it passes between the dotted lines. Tap the key to check one: a probe that was never checked proves nothing.',
  settings:
    'How this kitchen is set, as it stands now. The lead changes its name, address and degrees here; the rest has a view of its own. Each change is an entry with its author.',
  hours:
    'When the kitchen is open, and who can sign what needs the lead in which hours. Tap a day to change it. The lead signs the whole week, and it counts from then on.',
  instrument:
    'Every check of this instrument, and its error over the weeks. Say so when it fell or got a new battery: then it is due at once. Tap a check for its certificate.',
  instrumentCheck:
    'Make the slush as in the picture, put the tip in, and wait. Tap what it shows, three times, stirred in between. Nothing is entered before you log the result.',
  lookBack:
    'What the failed instrument read since its last pass, judged again with its error both ways. What breaks stands on top. The lead decides each, or lets those that hold count again with a reason.',
  missing: 'There is nothing at this address. Go back to the Line, or search. A label may come from another kitchen.',

  floor: 'Floor',
  floorMeans: 'The temperature that has to be reached, and held for its time, so that the heat has done its work.',
  ceiling: 'Ceiling',
  ceilingMeans: 'The temperature above which the dessert is spoiled: it curdles, or catches.',
  gate: 'Gate',
  gateMeans: 'A limit with a time: be under 21° within two hours. A gate is open, passed, missed or not proven.',
  hold: 'Hold',
  holdMeans: 'The lead has to decide before it may be used. It is still cooled, read and kept as before.',
  proven: 'Proven',
  provenMeans: 'Readings from a checked probe show that every limit was met.',
  unproven: 'Not proven',
  unprovenMeans:
    'There are too few readings, or the probe cannot be trusted. It counts against the batch until the lead decides.',
  missed: 'Missed',
  missedMeans: 'The readings show that a limit was broken. The lead decides what becomes of it.',
  discardDay: 'Discard day',
  discardDayMeans: 'The last day on which it may be used. At midnight it goes into the bin.',

  keyFind: 'find anything',
  keyHelp: 'help for this view',
  keyDigits: 'a reading on the Bench, or a PIN',
  keyEnter: 'log it',
  keyBack: 'take back a digit',
  keyEscape: 'close what is open',
} as const

/** The words that help explains, in the order a batch meets them. */
export const TERMS = ['floor', 'ceiling', 'gate', 'proven', 'unproven', 'missed', 'hold', 'discardDay'] as const
