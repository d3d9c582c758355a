import { noticesMessages } from '@logged-thermal/wording'
import { sentenceOf } from '../app/api'
import type { PersonOnList } from '../app/lineData'
import { PinPad } from '../kit/PinPad'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { useTryNoticesMutation } from './noticesApi'

const say = speaks(noticesMessages)

/** A trial letter, signed: it leaves the house. */
export function TryNotices({ to, signer, onClose }: { to: string; signer: PersonOnList; onClose: () => void }) {
  const [ask, { isLoading, error }] = useTryNoticesMutation()
  const put = async (pin: string) => {
    const result = await ask({ signer: signer.id, pin })
    if (!result.error) onClose()
  }
  return (
    <Sheet open onClose={onClose} title={say('tryIt')}>
      <p>{say('trySays', { to })}</p>
      <PinPad of={signer} busy={isLoading} sentence={error ? sentenceOf(error) : null} onPin={(pin) => void put(pin)} />
    </Sheet>
  )
}
