import type { Instant } from '../../ground/instant'
import type { Finding } from '../finding'
import { pansNeeded, type Pans } from '../timeline/pans'

/** What a reading says that is of the slowest pan, where nobody gave that a number. */
const SLOWEST = 'slowest'

/** A gate that was passed in pans is proven once enough of them are read: one pan is one pan. */
export function pansCounted(
  finding: Finding,
  found: readonly { finding: Finding; pan: string | undefined }[],
  { pourings }: Pans,
  now: Instant,
): Finding {
  const { rule } = finding.check.limit
  if (rule.kind !== 'reach' || rule.direction !== 'falling') return finding
  // As it stood when it passed: what it is poured into later proves nothing of before.
  const passed = finding.end?.latest ?? Infinity
  const pouring = pourings.findLast(({ at }) => at <= passed)
  if (!pouring || pouring.value.pans < 2) return finding
  const { value } = pouring
  const own = new Set(found.flatMap(({ pan }) => panNamed(pan, value.pans) ?? []))
  const needed = own.has(value.slowest ?? SLOWEST) ? own.size : pansNeeded(value)
  const pans = { read: own.size, needed, of: value.pans }
  if (finding.standing !== 'proven' || own.size >= needed) return { ...finding, pans }
  const { deadline } = finding
  return {
    ...finding,
    pans,
    standing: deadline !== null && now <= deadline ? 'open' : 'unproven',
    because: { code: 'pans unread', ...pans },
    nextAt: deadline !== null && now <= deadline ? deadline + 1 : null,
  }
}

/** A pan by its number, however that is written, or by a name of its own; null for one that is not among them. */
function panNamed(pan: string | undefined, pans: number): string | null {
  const name = pan?.trim().toLowerCase()
  if (name === undefined || name === '') return null
  if (!/^\d+$/.test(name)) return name
  const number = Number(name)
  return number >= 1 && number <= pans ? String(number) : null
}
