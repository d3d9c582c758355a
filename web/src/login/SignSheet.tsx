import { shellMessages } from '@logged-thermal/wording'
import { useState } from 'react'
import { sentenceOf, usePostSignedMutation } from '../app/api'
import { useHand, useLine } from '../app/kitchen'
import { settle } from '../app/keep'
import { isToSign } from '../app/outbox'
import { useAppDispatch, useAppSelector } from '../app/store'
import { Sheet } from '../kit/Sheet'
import { PinPad } from '../kit/PinPad'
import { speaks } from '../kit/language'

const say = speaks(shellMessages)

/**
 * Whose shift it is may not enter everything in another's name: what the server asks a PIN for is signed here by the one
 * whose name is in it, or dropped.
 */
export function SignSheet() {
  const dispatch = useAppDispatch()
  const line = useLine()
  const { reader } = useHand(line)
  const waiting = useAppSelector((state) => state.outbox).find(isToSign)
  const [post, { isLoading }] = usePostSignedMutation()
  const [refusal, setRefusal] = useState<string | null>(null)
  const person = line?.people.find(({ id }) => id === waiting?.claim.by)
  if (!waiting || !person) return null
  const { claim } = waiting
  const drop = () => {
    setRefusal(null)
    settle(dispatch, claim.id, null)
  }
  const sign = async (pin: string) => {
    const result = await post({ claim, signer: person.id, pin, scale: reader.scale, hours: reader.hours })
    if (result.error) return setRefusal(sentenceOf(result.error))
    const [answer] = result.data.results
    if (answer?.outcome === 'refused') return setRefusal(answer.sentence)
    drop()
  }
  return (
    <Sheet open onClose={drop} title={say('signsThis', { person: person.name })}>
      <p className="sentence">{say('shiftBelongsSomebodyElse')}</p>
      <PinPad of={person} busy={isLoading} sentence={refusal} onPin={(pin) => void sign(pin)} />
    </Sheet>
  )
}
