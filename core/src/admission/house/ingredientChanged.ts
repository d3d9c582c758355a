import { flag, id, list, object, text } from '../../ground/field'
import type { OwnChanged } from '../../ledger/ownIngredient'
import type { Lacking, Traces } from '../../ledger/tool'
import { claimsBeside, NO_TRACES, tracesBeside } from '../../judgement/lineage/carryOver'
import { factsWithLacking, isLacking } from '../../judgement/lineage/lacking'
import { together } from '../../judgement/lineage/toolTrail'
import { factOf } from '../../state/fact'
import { catalogue } from '../../recipe/ingredient/catalogue'
import type { Ingredient } from '../../recipe/ingredient/ingredient'
import { ourFood } from '../../recipe/ingredient/ours'
import { CLAIMS, claimsOf } from '../../recipe/method/facts'
import type { Id } from '../../ledger/subject'
import type { KitchenState } from '../../state/kitchen'
import type { Read } from '../../state/state'
import type { ToolState } from '../../state/tool'
import type { KindOf } from '../guard/kindOf'
import { throughTools } from '../guard/throughTools'
import { OWN, parseOwn } from './ingredientNamed'

declare module '../../ledger/entry' {
  interface Bodies {
    'ingredient-changed': OwnChanged
  }
}

/** As many held items as one change reaches at once. */
const MOST = 5000

/**
 * The lead says otherwise of one of the kitchen's own: its name, what it is like, its allergens; that it is another one by
 * another name, or is taken no longer. Held items that it is named with and that it makes more of ask the lead.
 */
export const ingredientChanged: KindOf<'ingredient-changed'> = {
  kind: 'ingredient-changed',
  v: 1,
  about: 'kitchen',
  may: ['lead'],
  signed: false,
  parse(body) {
    const fields = object(body, [...OWN, 'gone', 'into', 'items', 'lacks', 'through', 'read'])
    const { gone, into, items, lacks, through, read, ...own } = fields
    return {
      ...parseOwn(own),
      gone: flag(gone),
      into: into.value === null ? null : text(into, 40),
      items: list(items, id, MOST),
      // What they lack, and what was read, needs no parsing: what core finds is taken and not this.
      lacks: lacks.value as Lacking,
      ...(through.value === undefined ? {} : { through: list(through, id, MOST) }),
      read: read.value as string | null,
    }
  },
  writes: ({ about, body: { items } }) => [about, ...items.map((item) => ({ type: 'item' as const, id: item }))],
  reads: () => [],
  readsThen({ kitchen }, read) {
    const batches = throughTools(kitchen, read).flatMap(({ id: of }) => [...withParts(of, read)])
    const methods = batches.flatMap((of) => read('batch', of)?.method.id ?? [])
    return [
      ...batches.map((of) => ({ type: 'batch' as const, id: of })),
      ...methods.map((of) => ({ type: 'method' as const, id: of })),
    ]
  },
  refuse({ about, kitchen, body }, read) {
    if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
    const { ingredients } = read('kitchen', kitchen) ?? { ingredients: [] }
    if (!ingredients.some(({ key }) => key === body.key))
      return { code: 'not there', field: 'body.key', what: 'ingredient' }
    if (body.items.some((item) => !read('item', item))) return { code: 'not there', field: 'body.items', what: 'item' }
    const other = body.into === null ? null : ingredients.find(({ key }) => key === body.into)
    // The same as one that is itself called otherwise: that would go round in a circle.
    const stands =
      body.into === null || body.into in catalogue || (other && other.into === null && other.key !== body.key)
    const others = ingredients.some(({ into }) => into === body.key)
    return stands && !(body.into !== null && others)
      ? null
      : { code: 'not there', field: 'body.into', what: 'ingredient' }
  },
  derive({ kitchen, body }, read) {
    const { ingredients } = read('kitchen', kitchen)!
    const next = changed({ ingredients }, body).ingredients
    const [before, now] = [ourFood(body.key, ingredients)!, ourFood(body.key, next)!]
    // Of two of one name the other may still be unread.
    const unread = next.some(({ key }) => {
      const food = ourFood(key, next)
      return food?.unchecked && food.name === before.name
    })
    const lacks = lackingBetween(before, now)
    const through = tracesBeside(lacks.contains, NO_TRACES) ? withItIn(calledSo(body.key, next), kitchen, read) : []
    return {
      lacks,
      ...(through.length > 0 ? { through } : {}),
      read: before.unchecked && !now.unchecked && !unread ? before.name : null,
    }
  },
  folds: {
    kitchen: (state, { claim: { body } }) => ({ ...changed(state, body), tools: leftWith(state.tools, body) }),
    item(state, entry) {
      const { at, body } = entry.claim
      const unknown = state.facts.unknown.filter((name) => name !== body.read)
      const known = { ...state, facts: { ...state.facts, unknown } }
      if (!isLacking(body.lacks)) return known
      const fact = factOf(entry, at, { ...body.lacks, labels: state.labels })
      return { ...known, facts: factsWithLacking(known.facts, body.lacks), reached: [...state.reached, fact] }
    },
  },
}

function changed<K extends Pick<KitchenState, 'ingredients'>>(state: K, body: OwnChanged): K {
  const { key, name, like, allergens, gone, into } = body
  const next = { key, name, like, allergens, gone, into }
  return { ...state, ingredients: state.ingredients.map((own) => (own.key === key ? next : own)) }
}

/** What those batches left in the tools that they went through has it in it as well. */
function leftWith(tools: readonly ToolState[], { through = [], lacks }: OwnChanged): ToolState[] {
  return tools.map((tool) => ({
    ...tool,
    uses: tool.uses.map((use) =>
      through.includes(use.batch) ? { ...use, holds: together([use.holds, lacks.contains]) } : use,
    ),
  }))
}

/** Its key, and those of what is the same by another name: that changes with it. */
function calledSo(key: Id, ingredients: KitchenState['ingredients']): ReadonlySet<Id> {
  return new Set([key, ...ingredients.filter(({ into }) => into === key).map((own) => own.key)])
}

/** The batches that went through the kitchen's tools with one of these in them. */
function withItIn(keys: ReadonlySet<Id>, kitchen: Id, read: Read): Id[] {
  const isIn = (of: Id) => {
    const batch = read('batch', of)
    if (!batch) return false
    const { id: method, version } = batch.method
    const made = read('method', method)?.versions.find((each) => each.version === version)
    const went = [
      ...(made?.own ?? []),
      ...batch.facts.added.flatMap(({ value }) => value.own ?? []),
      ...batch.facts['lots-used'].flatMap(({ value }) => value.uses.flatMap(({ own }) => own ?? [])),
    ]
    return went.some((food) => keys.has(food.key))
  }
  return throughTools(kitchen, read).flatMap(({ id: of }) => ([...withParts(of, read)].some(isIn) ? [of] : []))
}

/** A batch, and all that its parts were made of, through every generation; what is not read yet is named too. */
function withParts(batch: Id, read: Read): ReadonlySet<Id> {
  const all = new Set([batch])
  // A set goes on to what is put into it meanwhile.
  for (const of of all)
    for (const { value } of read('batch', of)?.facts['part-used'] ?? [])
      for (const from of value.part.from ?? []) all.add(from)
  return all
}

/** What labels of before lack of a food that is known otherwise now. */
function lackingBetween(before: Ingredient, now: Ingredient): Lacking {
  const traces = ({ allergens, unchecked, name }: Ingredient): Traces => ({
    allergens,
    unknown: unchecked ? [name] : [],
  })
  const kept = claimsBeside(claimsOf([now]), traces(now))
  return {
    contains: tracesBeside(traces(now), traces(before)) ?? NO_TRACES,
    mayContain: NO_TRACES,
    claims: before.unchecked
      ? []
      : CLAIMS.filter((claim) => claimsOf([before]).includes(claim) && !kept.includes(claim)),
  }
}
