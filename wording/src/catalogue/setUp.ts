/** The first start of an installation: its kitchen, rules and lead. */
export const setUpMessages = {
  kitchenIsNew: 'This kitchen is new.',
  sixAnswers: 'Six answers and a PIN, and it can log.',
  nowThePin: 'Now the lead’s PIN.',
  back: 'Back',
  setUpCode: 'Set-up code',
  codeIsOn: 'On the console of the server, as it started. Eight letters and digits.',
  codeHasEight: 'The set-up code has eight letters and digits.',
  kitchenName: 'Name of the kitchen',
  nameTheKitchen: 'Give the kitchen its name: it stands on labels and records.',
  leadName: 'Food-safety lead',
  leadIsWho: 'Who decides and signs here. The others are added afterwards.',
  whoIsLead: 'Who is the food-safety lead?',
  zone: 'Time zone',
  rules: 'Rules that your inspector uses',
  chooseRules: 'Choose the rules that your inspector uses.',
  rulesSecond:
    'If none fits, take the nearest: your own stricter lines are set afterwards, and printed as house lines.',
  rulesAre:
    'Edition {edition}. A starting point: ask your inspector which edition is in force where you are. You answer for the choice, and it is signed with your name.',
  degrees: 'Degrees',
  nothingElse: 'Instruments, cold units, vessels and people come next. Methods are offered as drafts, none in force.',
  thenPin: 'Then a PIN',
} as const
