/** Papers that labels come on. A roll has a page a label; a sheet has many. mm. */
export const PAPERS = {
  roll: {
    name: 'Roll, 62 × 40 mm',
    page: { width: 62, height: 40 },
    label: { width: 62, height: 40 },
    across: 1,
    down: 1,
  },
  a4: {
    name: 'A4 sheet, 24 of 70 × 37 mm',
    page: { width: 210, height: 297 },
    label: { width: 70, height: 37 },
    across: 3,
    down: 8,
  },
  letter: {
    name: 'Letter sheet, 10 of 4 × 2 in',
    page: { width: 215.9, height: 279.4 },
    label: { width: 101.6, height: 50.8 },
    across: 2,
    down: 5,
  },
} as const

export type Paper = keyof typeof PAPERS
