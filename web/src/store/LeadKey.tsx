import { useState } from 'react'
import { ASSESSMENT_LENGTH, wentOutOf, type ItemState } from '@logged-thermal/core'
import { Key } from '../kit/Key'
import { SignedSheet } from '../login/SignedSheet'

/** The lead lets an item go on, in writing and with a PIN. */
export function LeadKey({ item, disabled }: { item: ItemState; disabled: boolean }) {
  const [open, setOpen] = useState(false)
  const wentOut = wentOutOf(item).length > 0
  return (
    <>
      <Key disabled={disabled} onClick={() => setOpen(true)}>
        The lead decides
      </Key>
      {open && wentOut && (
        <SignedSheet
          title={`${item.name} ${item.code} went out: what was done about it?`}
          ask={`Who was told, what was fetched back, in at least ${ASSESSMENT_LENGTH} characters. What is left of it is decided apart.`}
          least={ASSESSMENT_LENGTH}
          kind="went-out-answered"
          about={item.id}
          body={(reason) => ({ reason })}
          onClose={() => setOpen(false)}
        />
      )}
      {open && !wentOut && (
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
