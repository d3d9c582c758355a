import { anz322 } from './anz322'
import { printedElsewhere } from './printed'

/**
 * New Zealand: chapter 3 of the joint code does not apply there. The figures of plans under its Food Act, as far as we
 * know them: each with medium confidence.
 */
export const nz2014 = printedElsewhere(anz322, {
  key: 'nz-2014',
  name: 'New Zealand, Food Act 2014',
  edition: '2014',
  document: 'Food Act 2014 plan guidance',
  confidence: 'medium',
  guidance: 'Food Act 2014 plan guidance',
})
