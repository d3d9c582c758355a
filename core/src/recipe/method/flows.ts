import type { FamilyKey, StepKind } from './method'

/** How each family is usually made, in the order of the work: what a new method begins with. House defaults, all to be changed. */
export const FLOWS: Record<FamilyKey, readonly StepKind[]> = {
  'starch-custard': ['eggs', 'heat dairy', 'temper', 'cook', 'boil out', 'add after heat', 'cool', 'hold'],
  'poured-custard': ['eggs', 'heat dairy', 'temper', 'cook', 'strain', 'cool', 'hold'],
  'churned-base': ['eggs', 'heat dairy', 'temper', 'cook', 'strain', 'cool', 'set', 'churn', 'freeze', 'hold'],
  'heated-nog': ['eggs', 'heat dairy', 'temper', 'cook', 'cool', 'add after heat', 'hold'],
  'fruit-curd': ['combine', 'cook', 'strain', 'add after heat', 'cool', 'hold'],
  'yolk-foam': ['combine', 'cook', 'hold'],
  'white-foam': ['whip', 'hold'],
  mousse: ['combine', 'whip', 'fold', 'cool', 'hold'],
  'gelatine-cream': ['mise', 'heat dairy', 'add after heat', 'cool', 'set', 'hold'],
  'acid-cream': ['heat dairy', 'add after heat', 'cool', 'set', 'hold'],
  'fruit-jelly': ['mise', 'cook', 'add after heat', 'cool', 'set', 'hold'],
  'baked-custard': ['eggs', 'heat dairy', 'combine', 'strain', 'bake', 'cool', 'hold'],
  'baked-crumb': ['combine', 'bake', 'hold'],
  'enriched-custard': ['whip', 'fold', 'cool', 'hold'],
  assembly: ['assemble', 'hold'],
  'whipped-cream': ['whip', 'hold'],
  'by-product': ['hold'],
}
