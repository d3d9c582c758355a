export interface Bend {
  /** Share of the width, 0 to 1. */
  at: number
  celsius: number
}

/** Through the bends without a kink: each step eases into its end. */
export function eased(bends: readonly Bend[]): Bend[] {
  return bends.flatMap((to, i) => {
    const from = bends[i - 1]
    if (!from) return [to]
    return Array.from({ length: 12 }, (_, k) => {
      const share = (k + 1) / 12
      const on = share * share * (3 - 2 * share)
      return { at: from.at + (to.at - from.at) * share, celsius: from.celsius + (to.celsius - from.celsius) * on }
    })
  })
}
