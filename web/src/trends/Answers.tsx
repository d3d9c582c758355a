import { IN_TIME, MINUTE, type Answered } from '@logged-thermal/core'
import { trendsMessages } from '@logged-thermal/wording'
import { speaks } from '../kit/language'

const say = speaks(trendsMessages)

/** How soon hands followed when a reading was asked for, and how often nobody came. */
export function Answers({ answered: { inTime, late, unread, medianMs } }: { answered: Answered }) {
  return (
    <section aria-label={say('answers')}>
      <h2 className="title">{say('answers')}</h2>
      <p>
        {medianMs === null
          ? say('answersNone')
          : say('answersOf', {
              inTime,
              all: inTime + late,
              minutes: IN_TIME / MINUTE,
              half: Math.max(1, Math.ceil(medianMs / MINUTE)),
            })}
      </p>
      {unread > 0 && <p>{say('answersUnread', { unread })}</p>}
      <p className="muted">{say('answersSays')}</p>
    </section>
  )
}
