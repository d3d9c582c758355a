import { transcribedMessages } from '@logged-thermal/wording'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { speaks } from '../kit/language'
import type { Choice, How } from './howRead'

const say = speaks(transcribedMessages)

interface Props {
  how: How
  choice: Choice
  onChoice: (choice: Choice) => void
}

/** What a file can be read in two ways for, and does not say itself. */
export function HowAsked({ how, choice, onChoice }: Props) {
  return (
    <>
      {how.isOrderAsked && (
        <div>
          <p>{say('orderAsked')}</p>
          <ChoiceKeys
            name={say('order')}
            options={['day first', 'month first']}
            chosen={choice.order}
            words={(order) => say(order === 'day first' ? 'order_dayfirst' : 'order_monthfirst')}
            onChoose={(order) => onChoice({ ...choice, order })}
          />
        </div>
      )}
      {how.isUnitAsked && (
        <div>
          <p>{say('unitAsked')}</p>
          <ChoiceKeys
            name={say('unit')}
            options={['C', 'F']}
            chosen={choice.unit}
            words={(unit) => `°${unit}`}
            onChoose={(unit) => onChoice({ ...choice, unit })}
          />
        </div>
      )}
    </>
  )
}
