import { limitFormsMessages } from '@logged-thermal/wording'
import type { Variance } from '@logged-thermal/core'
import { Field } from '../kit/Field'
import { DateField } from '../kit/DateField'
import { speaks } from '../kit/language'

const say = speaks(limitFormsMessages)

const FIELDS = { authority: say('authority'), reference: say('reference'), reason: say('whyAllowed') } as const

/** A written permission: who allowed it, where it stands, why, and to which day. */
export function VarianceFields({ variance, onChange }: { variance: Variance; onChange: (variance: Variance) => void }) {
  return (
    <>
      {(['authority', 'reference', 'reason'] as const).map((field) => (
        <Field
          key={field}
          label={FIELDS[field]}
          value={variance[field]}
          max={120}
          onValue={(typed) => onChange({ ...variance, [field]: typed })}
        />
      ))}
      <DateField
        label={say('validEnd')}
        value={variance.validUntil}
        onValue={(typed) => onChange({ ...variance, validUntil: typed })}
      />
    </>
  )
}

/** What a written permission still lacks; null when it is whole. */
export function varianceProblem({ authority, reference, reason, validUntil }: Variance): string | null {
  if (![authority, reference, reason].every((text) => text.trim() !== '')) return say('whoAllowedWhereWhy')
  return validUntil === '' ? say('untilWhichDayVariance') : null
}
