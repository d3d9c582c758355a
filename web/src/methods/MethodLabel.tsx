import type { Check, Method, MethodFacts } from '@logged-thermal/core'
import { advisory, claimWord, grams, methodsMessages } from '@logged-thermal/wording'
import methodsStyles from './methods.module.css'
import startStyles from '../start/start.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(methodsMessages)

/** What the label will say: computed from the parts, so that a swap withdraws a claim by itself. */
export function MethodLabel({ method, facts, checks }: { method: Method; facts: MethodFacts; checks: Check[] }) {
  const law = checks.find(({ limit }) => limit.key === 'date-marking')?.limit.rule
  const { allergens, claims, alcoholByVolume, grams: mass } = facts
  const unknown = [...facts.unchecked, ...facts.unknown]
  return (
    <div className={methodsStyles.methodLabel} role="region" aria-label={say('label')}>
      <p>
        {say('label2')} <b>{allergens.join(', ') || say('noAllergenKnown')}</b>.{' '}
        {claims.map((claim) => claimWord(claim, spoken)).join('. ')}
        {claims.length ? '.' : ''}
      </p>
      <p>
        {keeps(method)}
        {law?.kind === 'days' && method.cooling !== 'none' && !method.raw
          ? say('lawAllows', { days: law.days })
          : ''}. {grams(mass)}
        {method.portions ? say('portionsPortions', { portions: method.portions }) : ''}, {method.vessel.name}.
        {alcoholByVolume > 0.001
          ? say('alcoholWhichEarnsNothing', { alcoholByVolume: (alcoholByVolume * 100).toFixed(1) })
          : ''}
      </p>
      {method.raw && <p className={startStyles.advisory}>{advisory(spoken)}</p>}
      {unknown.length > 0 && <p>{say('nothingClaimedNotKnown', { unknown: unknown.join(', ') })}</p>}
    </div>
  )
}

function keeps({ cooling, raw, houseDays }: Method): string {
  if (cooling === 'none') return say('servedAtOnceWhat')
  return raw ? say('keeps24HoursFrom') : say('keepsDaysHouse', { houseDays })
}
