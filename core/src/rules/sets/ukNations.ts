import { printedElsewhere } from './printed'
import { uk2013 } from './uk2013'

/** Wales prints its own regulations of 2006: the same figures as England's of 2013. */
export const ukWales2006 = printedElsewhere(uk2013, {
  key: 'uk-wales-2006',
  name: 'Wales 2006',
  edition: '2006',
  document: 'Food Hygiene (Wales) Regulations 2006',
  confidence: 'medium',
})

/** Northern Ireland prints its own regulations of 2006: the same figures as England's of 2013. */
export const ukNorthernIreland2006 = printedElsewhere(uk2013, {
  key: 'uk-ni-2006',
  name: 'Northern Ireland 2006',
  edition: '2006',
  document: 'Food Hygiene Regulations (Northern Ireland) 2006',
  confidence: 'medium',
})
