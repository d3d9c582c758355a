import { itemMessages } from '@logged-thermal/wording'
import { useState } from 'react'
import { ASSESSMENT_LENGTH, contestedAbout, isToAnswer, wentOutOf, type ItemState } from '@logged-thermal/core'
import { useHand, useLine } from '../app/kitchen'
import { Contradictions } from '../decide/Contradictions'
import { Key } from '../kit/Key'
import { SignedSheet } from '../login/SignedSheet'
import { speaks } from '../kit/language'

const say = speaks(itemMessages)

/** The lead lets an item go on, in writing and with a PIN. */
export function LeadKey({ item, disabled }: { item: ItemState; disabled: boolean }) {
  const [open, setOpen] = useState(false)
  const { reader } = useHand(useLine())
  const answers = isToAnswer(item)
  // What two people told otherwise is asked of both first: whether it went out at all hangs on that.
  const contested = contestedAbout(item)
  const wentOut = contested.length === 0 && wentOutOf(item).length > 0
  return (
    <>
      <Key disabled={disabled} onClick={() => setOpen(true)}>
        {say('leadDecides')}
      </Key>
      {open && answers && (
        <SignedSheet
          title={say(wentOut ? 'wentOutWhatDone' : 'whichIsSo', { item: item.name, code: item.code })}
          ask={say(wentOut ? 'whoToldWhatFetched' : 'askedBoth', { assessmentLength: ASSESSMENT_LENGTH })}
          least={ASSESSMENT_LENGTH}
          kind="went-out-answered"
          about={item.id}
          body={(reason) => ({ reason })}
          onClose={() => setOpen(false)}
        >
          <Contradictions of={{ item }} facts={contested} reader={reader} />
        </SignedSheet>
      )}
      {open && !answers && (
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
