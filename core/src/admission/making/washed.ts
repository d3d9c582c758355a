import { tickOf } from './tick'

/** One tick for the fresh fruit, herbs and flowers of a step: washed in running water before they went in. */
export const washed = tickOf('washed')
