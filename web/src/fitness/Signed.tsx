import { sentenceOf } from '../app/api'
import type { PersonOnList } from '../app/lineData'
import { PinPad } from '../kit/PinPad'
import { useFitnessMutation, type FitnessAsked, type UnfitPeople } from './fitnessApi'

interface Props {
  lead: PersonOnList
  asked: FitnessAsked
  onDone: (list: UnfitPeople) => void
}

/** Asks or says it with the lead's PIN. */
export function Signed({ lead, asked, onDone }: Props) {
  const [ask, { isLoading, error }] = useFitnessMutation()
  const put = async (pin: string) => {
    const result = await ask({ ...asked, signed: { signer: lead.id, pin } })
    if (result.data) onDone(result.data)
  }
  return (
    <PinPad of={lead} busy={isLoading} sentence={error ? sentenceOf(error) : null} onPin={(pin) => void put(pin)} />
  )
}
