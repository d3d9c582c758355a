/** What a new kitchen still lacks. */
export const firstStepsMessages = {
  firstSteps: 'First steps',
  beforeFirst: 'Before the first batch',
  wheneverTime: 'Whenever you have time',
  isThere: 'It is there.',
  probe: 'A probe',
  probeSays: 'Without one no reading proves a core.',
  check: 'The probe checked in ice',
  checkSays: 'A probe that was never checked proves nothing.',
  method: 'A method in force',
  methodSays: 'Look through the drafts, and put the first in force.',
  people: 'The others who work here',
  peopleSays: 'Each logs under their own name.',
  units: 'Fridges, freezers, places to cool',
  unitsSays: 'To say what saves a batch, and what is kept where.',
  vessels: 'Pots, trays and tubs',
  vesselsSays: 'Their size tells how fast a batch cools.',
} as const
