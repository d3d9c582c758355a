import type { SeedPerson } from '../kitchens/newKitchen'

/** Who works in the kitchens of the tests. */
export const PEOPLE: SeedPerson[] = [
  { key: 'ilse', name: 'Ilse Varrow', role: 'lead', job: 'food-safety lead', pin: '4071' },
  { key: 'mina', name: 'Mina Osk', role: 'cook', job: 'cook, sauce bench', pin: '1182' },
  { key: 'noor', name: 'Noor Hallet', role: 'chef', job: 'pastry chef', pin: '6025' },
  { key: 'teo', name: 'Teo Brandt', role: 'cook', job: 'cook, induction 2', pin: '3394' },
]
