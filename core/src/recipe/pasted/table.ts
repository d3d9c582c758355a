/** A recipe out of a table, as text that reads like one on paper. */
export interface TableRecipe {
  title: string
  text: string
}

export type TableRead =
  | { kind: 'recipes'; recipes: TableRecipe[] }
  /** What its first row does not name. */
  | { kind: 'no column'; column: 'method' | 'ingredient' }

/** How its columns may be called. */
const COLUMNS = {
  method: ['method', 'recipe', 'dessert', 'title', 'name'],
  ingredient: ['ingredient', 'ingredients', 'item', 'material'],
  amount: ['amount', 'quantity', 'qty', 'weight', 'grams'],
  unit: ['unit', 'units', 'measure'],
  step: ['step', 'steps', 'instruction', 'instructions', 'directions', 'work'],
} as const

type Column = keyof typeof COLUMNS

/**
 * The recipes of a table with a row for every ingredient or step: the first row names the columns, a row without a name
 * goes on with the recipe before. Rows are cells as they stand in the file.
 */
export function recipesInTable(rows: readonly (readonly string[])[]): TableRead {
  const [head = [], ...body] = rows
  const names = head.map((cell) => cell.trim().toLowerCase())
  const at = Object.fromEntries(
    Object.entries(COLUMNS).map(([column, called]) => [
      column,
      names.findIndex((name) => (called as readonly string[]).includes(name)),
    ]),
  ) as Record<Column, number>
  for (const column of ['method', 'ingredient'] as const) if (at[column] < 0) return { kind: 'no column', column }
  const gramsOnly = names[at.amount] === 'grams'
  const found = new Map<string, { materials: string[]; steps: string[] }>()
  let title = ''
  for (const row of body) {
    const cell = (column: Column) => (row[at[column]] ?? '').trim()
    title = cell('method') || title
    if (title === '') continue
    const recipe = found.get(title) ?? { materials: [], steps: [] }
    found.set(title, recipe)
    const unit = cell('unit') || (gramsOnly && cell('amount') ? 'g' : '')
    const material = [cell('amount'), unit, cell('ingredient')].filter(Boolean).join(' ')
    if (cell('ingredient')) recipe.materials.push(material)
    const step = cell('step')
    if (step && recipe.steps.at(-1) !== step) recipe.steps.push(step)
  }
  return { kind: 'recipes', recipes: [...found].map(([name, recipe]) => ({ title: name, text: textOf(name, recipe) })) }
}

function textOf(title: string, { materials, steps }: { materials: string[]; steps: string[] }): string {
  const work = steps.length ? ['', 'Method', ...steps.map((step, i) => `${i + 1}. ${step}`)] : []
  return [title, '', 'Ingredients', ...materials, ...work].join('\n')
}
