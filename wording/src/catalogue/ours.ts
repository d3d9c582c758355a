/** Ingredients of the kitchen's own, as the lead puts them right. */
export const oursMessages = {
  ownIngredients: 'Ingredients of our own',
  ownIngredientsCount: 'Own ingredients ({count})',
  whatTheyAre:
    'What no list has, as somebody named it. What you change counts from now on, in every method that has it.',
  noneYet: 'None yet. Where something goes in, tap “Not on the list”.',
  likeWhat: 'like {like}',
  sameAs: 'the same as {other}',
  takenNoLonger: 'not taken any more',
  allergensOf: '{allergens, select, unread {allergens not known} none {no allergen} other {{allergens}}}',
  putRight: 'Put right',
  putRightOne: 'Put {name} right',
  retire: 'Not taken any more',
  takeAgain: 'Taken again',
  sameAsWhich: 'The same as, if it is on the list',
  byItself: 'Leave empty where it stands by itself. What is known of both counts then.',
  heldWith:
    '{count, plural, one {# item in the cold has it in. If its label says less than is known then, you decide about it} other {# items in the cold have it in. If their labels say less than is known then, you decide about them}}.',
  saveIt: 'Save',
  leadOnly: 'Only the lead changes them.',
} as const
