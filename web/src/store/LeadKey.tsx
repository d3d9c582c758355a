import { itemMessages } from '@logged-thermal/wording'
import { useState } from 'react'
import { ASSESSMENT_LENGTH, wentOutOf, type ItemState } from '@logged-thermal/core'
import { Key } from '../kit/Key'
import { SignedSheet } from '../login/SignedSheet'
import { speaks } from '../kit/language'

const say = speaks(itemMessages)

/** The lead lets an item go on, in writing and with a PIN. */
export function LeadKey({ item, disabled }: { item: ItemState; disabled: boolean }) {
  const [open, setOpen] = useState(false)
  const wentOut = wentOutOf(item).length > 0
  return (
    <>
      <Key disabled={disabled} onClick={() => setOpen(true)}>
        {say('leadDecides')}
      </Key>
      {open && wentOut && (
        <SignedSheet
          title={say('wentOutWhatDone', { item: item.name, code: item.code })}
          ask={say('whoToldWhatFetched', { assessmentLength: ASSESSMENT_LENGTH })}
          least={ASSESSMENT_LENGTH}
          kind="went-out-answered"
          about={item.id}
          body={(reason) => ({ reason })}
          onClose={() => setOpen(false)}
        />
      )}
      {open && !wentOut && (
        <SignedSheet
          title={say('mayGoOn', { item: item.name, code: item.code })}
          ask={say('whyMayGoOn', { assessmentLength: ASSESSMENT_LENGTH })}
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
