/** What a proof file is found to be, on the checker's page and in a terminal. */
export const proofMessages = {
  title: 'Does this record check out?',
  whatItDoes:
    'Take a proof file, or a whole packet as it was handed out. This page goes through every line of it and judges every batch anew. It asks nothing of any network, and what you take stays on this machine.',
  take: 'Take a file',
  orDrop: 'or drop it on this page',
  reading: 'Going through it: {share} %',
  cancel: 'Cancel',
  ofVersion: 'Judges with core {version}.',
  holds: 'Everything in this file checks out.',
  holdsNot: 'This file does not check out.',
  atLine: 'Line {line}: {what}',
  ofKitchen: '{kitchen}, made {time}',
  shownAll:
    '{count, plural, one {One entry, the whole logbook} other {# entries, the whole logbook}}: none changed, none missing.',
  shownSome:
    '{shown, plural, one {One entry is} other {# entries are}} shown, unchanged. {left, plural, one {One other stands} other {# others stand}} in as hashes: what is in them this file does not tell.',
  headAt: 'Signed up to entry {seq} on {time}.',
  headsMet: '{count, plural, one {One signature} other {# signatures}} met on the way.',
  judgedAgain:
    '{count, plural, =0 {No signed standing was judged again.} one {One standing that somebody signed was judged again, and is the same.} other {# standings that somebody signed were judged again, and are the same.}}',
  unjudged:
    '{count, plural, one {One signed standing is of a batch} other {# signed standings are of batches}} that this file shows only in part: not judged here.',
  onlyShown:
    'How batches stand is judged by the entries shown. That none about them was left out, only the whole logbook can show.',
  batchesStand:
    '{count} batches: {proven} proven, {unproven} not proven, {missed} missed, {open} not finished when it was made.',
  batchStands: '{name} {code}',
  andMore: 'and {count} more, all proven',
  compare: 'Compare with paper',
  compareHow:
    'The file vouches for itself only as far as its key is the kitchen’s. Compare these signs with those on a printed record or on the wall.',
  key: 'Key',
  head: 'Head, entry {seq}',
  known: 'To know',
  // what does not hold
  fault_noProof: 'this is no proof file.',
  fault_unknownForm: 'this file was made by a newer program. Use the checker that came with it.',
  fault_unreadable: 'it cannot be read.',
  fault_outOfPlace: 'it stands where it cannot.',
  fault_altered: 'entry {seq} is not the text that was sealed.',
  fault_order: 'entry {found} stands where entry {seq} belongs.',
  fault_link: 'entry {seq} does not follow the entry before it: one of the two was changed.',
  fault_kitchen: 'entry {seq} is of another kitchen.',
  fault_left: 'what is left out from entry {seq} on does not fit there.',
  fault_signed: 'up to entry {seq} this is not the logbook that was signed.',
  fault_notSigned: 'a signature is of none of these keys.',
  fault_nothing: 'nothing in it is signed, so nothing vouches for it.',
  fault_tailCut: 'entry {seq} was signed, and is not in it any more.',
  fault_tailOpen: 'after entry {seq} nothing is signed.',
  fault_broken: 'it breaks off here.',
  fault_judged: 'entry {seq} says of batch {batch} {said}; its entries give {found}.',
  nothingOf: 'nothing',
  // what proves nothing
  caution_key:
    'Key {key} was not named by a key before it: the logbook moved to another machine, or somebody else signed.',
  caution_earlier: 'Entry {seq} says that it was recorded before the one that it follows.',
  caution_zone:
    'Entry {seq} was sealed in another time zone than this file names. What ends with a day may be judged by another day.',
  caution_unread: 'Entry {seq} was made by a newer program. What it changes is not judged here.',
  caution_version:
    'Entry {seq}: version {core} found batch {batch} {said}, version {own} finds {found}. A difference of versions, and no sign of a change.',
  // files of which nothing can be read
  file_none: 'There is no proof file in this archive.',
  file_endless: 'A line of this file has no end. It is no proof file.',
  file_archive: 'This archive is damaged.',
  file_text: 'This file is no text. It is no proof file.',
  cancelled: 'Cancelled. Nothing was found out.',
}
