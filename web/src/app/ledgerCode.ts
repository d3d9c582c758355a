export { kinds } from '@logged-thermal/core'
export { foldLine } from './foldLine'
export { foldUnsent } from './refusedHere'
