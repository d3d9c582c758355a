/** The tools that foods go through one after the other, and what they leave behind. */
export const toolsMessages = {
  tool: '{kind, select, churn {Churn} blender {Blender, mixer} sieve {Sieve} mould {Moulds} bag {Piping bag} other {Tool}}',
  throughWhich:
    '{kind, select, churn {Which churn?} blender {Which blender or mixer?} sieve {Which sieve?} mould {Which moulds?} bag {Which piping bag?} other {Which tool?}}',
  lastInIt: 'Last in {tool}: {after}, with {traces}. Not washed since, the label says that it may contain them.',
  soNextKnows: 'So that what goes through it next knows what was in it.',
  washed: 'Washed since',
  unwashed: 'Not washed',
  washedSince: '{tool}, washed since',
  notWashed: '{tool}, not washed',
  noneOfThese: 'None of these',
  mayContain: 'May contain {traces}',
  toldAfter:
    'Told only after some of it was put away: {contains, select, none {} other {it contains {contains}{mayContain, select, none {} other { and }}}}{mayContain, select, none {} other {it may contain {mayContain}}}{claims, select, none {.} other {{only, select, yes {it is not } other {, and it is not }}{claims}.}}',
  toldAfterAlcohol: 'Alcohol that its label does not count was told of only after some of it was put away.',
  thenLabelsAgain:
    'Print the labels again: those of before do not say it. What has gone out already, the lead decides.',
  mayContainOnLabel: 'may contain: {traces}',
  notKnownIn: 'what is in {names}',
  ingredients: 'Ingredients: {list}',
  asOnPackage: 'contents as on its package',
  noticeTitle: 'Allergens in what we make',
  noticePrinted: 'as of {when}',
  noticeContains: 'Contains:',
  noticeMay: 'May contain:',
  noticeNothing: 'none of those that are to be named',
  noticeUnread: 'Not known, ask us:',
  noticeSource:
    'By {source}: check what is asked for where you are. Of one dish it names what any of it holds. Ask us about anything that you must not eat.',
  through: 'Through {tool}{washed, select, yes {, washed before} other {}}',
  throughNone: 'Through none of the registered tools',
  tools: 'Tools',
  newTool: 'New tool',
  whatGoesThrough:
    'What one food after another goes through. What was in it before is asked about where the next does not hold it too.',
  kind: 'Kind',
  registerTool: 'Register tool',
  giveToolName: 'Give it the name that stands on it',
  lastIn: 'last {called}',
  nothingYet: 'nothing yet',
  noLonger: 'Not here any more',
  backInUse: 'Here again',
} as const
