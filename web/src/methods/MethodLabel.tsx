import type { Check, Method, MethodFacts } from '@logged-thermal/core'
import { ADVISORY, claimWord, grams } from '@logged-thermal/wording'
import methodsStyles from './methods.module.css'
import startStyles from '../start/start.module.css'

/** What the label will say: computed from the parts, so that a swap withdraws a claim by itself. */
export function MethodLabel({ method, facts, checks }: { method: Method; facts: MethodFacts; checks: Check[] }) {
  const law = checks.find(({ limit }) => limit.key === 'date-marking')?.limit.rule
  const { allergens, claims, alcoholByVolume, grams: mass, unknown } = facts
  return (
    <div className={methodsStyles.methodLabel} role="region" aria-label="Label">
      <p>
        Label: <b>{allergens.join(', ') || 'no allergen known'}</b>.{' '}
        {claims.map((claim) => claimWord[claim]).join('. ')}
        {claims.length ? '.' : ''}
      </p>
      <p>
        {keeps(method)}
        {law?.kind === 'days' && method.cooling !== 'none' && !method.raw ? `; law allows ${law.days}` : ''}.{' '}
        {grams(mass)}
        {method.portions ? `, ${method.portions} portions` : ''}, {method.vessel.name}.
        {alcoholByVolume > 0.001
          ? ` ${(alcoholByVolume * 100).toFixed(1)} % alcohol, which earns nothing on the date.`
          : ''}
      </p>
      {method.raw && <p className={startStyles.advisory}>{ADVISORY}</p>}
      {unknown.length > 0 && <p>Nothing is claimed: {unknown.join(', ')} is not known here.</p>}
    </div>
  )
}

function keeps({ cooling, raw, houseDays }: Method): string {
  if (cooling === 'none') return 'Served at once, what is left is discarded'
  return raw ? 'Keeps 24 hours from combining, raw' : `Keeps ${houseDays} days, house`
}
