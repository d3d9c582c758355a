import type { ReactNode } from 'react'
import { checkTitle, findingSentence } from '@logged-thermal/wording'
import { asksWords } from '../../line/asksWords'
import { Also } from './Also'
import type { SlabProps } from './Slab'

/** A reading of a pot off the heat is due, now or at a time. */
export function ReadSlab(props: SlabProps & { markKey: ReactNode }) {
  const { now, reader, markKey } = props
  const { asks } = props.one
  const { todos } = props.guide
  if (asks.kind !== 'read') return null
  const words = asksWords(asks, now, reader)!
  return (
    <section className="slab" aria-label="Do this now">
      <p className="do">
        {words.action}. {checkTitle(asks.finding, reader)}
      </p>
      {words.number !== '0' && (
        <p className="count">
          {words.number}
          <small>
            {words.unit}
            {asks.at > now ? ' until it is due' : ''}
          </small>
        </p>
      )}
      <p className="why">{findingSentence(asks.finding, reader)}</p>
      {markKey && <div className="keys">{markKey}</div>}
      <Also {...props} todos={todos} />
    </section>
  )
}
