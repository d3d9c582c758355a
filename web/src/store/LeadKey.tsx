import { useState } from 'react'
import { ASSESSMENT_LENGTH, type ItemState } from '@logged-thermal/core'
import { Key } from '../parts/Key'
import { SignedSheet } from './SignedSheet'

/** The lead lets an item go on, in writing and with a PIN. */
export function LeadKey({ item, disabled }: { item: ItemState; disabled: boolean }) {
  const [open, setOpen] = useState(false)
  return (
    <>
      <Key disabled={disabled} onClick={() => setOpen(true)}>
        The lead decides
      </Key>
      {open && (
        <SignedSheet
          title={`May ${item.name} ${item.code} go on?`}
          ask={`Why it may go on, in at least ${ASSESSMENT_LENGTH} characters. What is past its day, or proven too warm for too long, cannot.`}
          least={ASSESSMENT_LENGTH}
          kind="item-released"
          about={item.id}
          body={(reason) => ({ reason })}
          onClose={() => setOpen(false)}
        />
      )}
    </>
  )
}
