import { storeInMessages } from '@logged-thermal/wording'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { speaks } from '../kit/language'

const say = speaks(storeInMessages)

export type Looks = 'good' | 'not good' | null

/** How herbs, fruit and nuts look: good, or not; null until it is said. */
export function LooksKeys({ looks, onLooks }: { looks: Looks; onLooks: (looks: 'good' | 'not good') => void }) {
  return (
    <ChoiceKeys
      name={say('howLooks')}
      options={['good', 'not good'] as const}
      chosen={looks}
      words={(each) => (each === 'good' ? say('looksGood') : say('doesNotLookGood'))}
      onChoose={onLooks}
    />
  )
}
