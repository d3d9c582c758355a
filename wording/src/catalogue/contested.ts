/** What tablets that could not hear of each other entered, and contradicts itself. */
export const contestedMessages = {
  counts: '{name}, {time}: {what}. It counts.',
  doesNotCount: '{name}, {time}: {what}. It does not count yet: if it is true, enter it again.',
  somethingElse: '“{kind}”',
} as const
