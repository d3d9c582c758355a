import type { Variance } from '@logged-thermal/core'

const FIELDS = { authority: 'Authority', reference: 'Reference', reason: 'Why it is allowed' } as const

/** A written permission: who allowed it, where it stands, why, and to which day. */
export function VarianceFields({ variance, onChange }: { variance: Variance; onChange: (variance: Variance) => void }) {
  return (
    <>
      {(['authority', 'reference', 'reason'] as const).map((field) => (
        <label key={field} className="form-field">
          {FIELDS[field]}
          <input
            value={variance[field]}
            maxLength={120}
            onChange={({ target }) => onChange({ ...variance, [field]: target.value })}
          />
        </label>
      ))}
      <label className="form-field">
        Valid to the end of
        <input
          type="date"
          value={variance.validUntil}
          onChange={({ target }) => onChange({ ...variance, validUntil: target.value })}
        />
      </label>
    </>
  )
}

/** What a written permission still lacks; null when it is whole. */
export function varianceProblem({ authority, reference, reason, validUntil }: Variance): string | null {
  if (![authority, reference, reason].every((text) => text.trim() !== '')) return 'Who allowed it, where, and why?'
  return validUntil === '' ? 'Until which day is the variance valid?' : null
}
