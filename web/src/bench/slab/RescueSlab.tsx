import { isPressing, isUnitKind, type Action, type Rescue } from '@logged-thermal/core'
import {
  actionDone,
  actionWord,
  clock,
  leftAsItIs,
  limitDegreesOf,
  lostSentence,
  span,
  largeSpan,
  slabMessages,
} from '@logged-thermal/wording'
import { useEnter } from '../../app/enter'
import { Key } from '../../kit/Key'
import type { BenchSheet } from '../benchSheet'
import type { SlabProps } from './slabProps'
import { clsx } from 'clsx'
import slabStyles from '../../board/slab.module.css'
import coolingSheetStyles from '../coolingSheet.module.css'
import { speaks } from '../../kit/language'
import { shutUnless } from '../../app/shut'

const say = speaks(slabMessages)

/** It will miss as it goes: what saves it, until when, and what else there is; what is too late stays in sight. */
export function RescueSlab(props: SlabProps) {
  const { one, now, reader, open } = props
  const act = useAct(props)
  const { asks } = one
  if (asks.kind !== 'rescue') return null
  const [number, unit] = largeSpan(asks.by - now, reader)
  const pressing = isPressing(asks, now)
  return (
    <>
      <section className={clsx(slabStyles.slab, pressing && slabStyles.rescue)} aria-label={say('doNow')}>
        <p className={slabStyles.do}>
          {say('beforeActionwordTime', { actionWord: actionWord(asks.first, reader), time: clock(asks.by, reader) })}
        </p>
        <p className={slabStyles.count}>
          {number}
          <small>
            {say('leftUnit', { unit })}
            <br />
            {say('toSaveIt')}
          </small>
        </p>
        <p className={slabStyles.why}>{leftAsItIs(asks.gate, reader)}</p>
        <div className={slabStyles.keys}>
          <Key
            look={pressing ? 'plain' : 'primary'}
            className={clsx(pressing && coolingSheetStyles.onBerry)}
            why={shutUnless(open)}
            onClick={() => act(asks.first)}
          >
            {actionDone(asks.first, reader)}
          </Key>
        </div>
      </section>
      <Others rescues={asks.all.slice(1)} {...props} />
    </>
  )
}

/** Nothing saves it for certain: the lead decides, and it is on hold until then. */
export function LostSlab(props: SlabProps) {
  const { one, now, reader, open, onLead } = props
  const { asks, batch } = one
  if (asks.kind !== 'lost') return null
  return (
    <>
      <section className={clsx(slabStyles.slab, slabStyles.missed)} aria-label={say('leadDecides')}>
        <p className={slabStyles.do}>
          {say('willLikelyMiss', {
            degrees: limitDegreesOf(asks.gate.level, reader),
            span: span(asks.by - now, reader),
          })}
        </p>
        <p className={slabStyles.why}>
          {leftAsItIs(asks.gate, reader)} {lostSentence(batch, reader)}
        </p>
        <div className={slabStyles.keys}>
          <Key look="primary" why={shutUnless(open)} onClick={() => onLead(null)}>
            {say('decide')}
          </Key>
          <Key look="outlined" why={shutUnless(open)} onClick={() => onLead('hold')}>
            {say('putOnHold')}
          </Key>
        </div>
      </section>
      <Others rescues={asks.all} {...props} />
    </>
  )
}

function Others(props: SlabProps & { rescues: Rescue[] }) {
  const { rescues, now, reader, open } = props
  const act = useAct(props)
  if (rescues.length === 0) return null
  return (
    <div className={coolingSheetStyles.rescues} role="group" aria-label={say('otherWays')}>
      {rescues.map(({ action, by }) => {
        const late = by <= now
        return (
          <Key
            key={action.kind}
            look="outlined"
            className={late ? coolingSheetStyles.tooLate : coolingSheetStyles.inTime}
            why={shutUnless(open)}
            onClick={() => act(action)}
          >
            {actionWord(action, reader)}
            <small>
              {late ? say('tooLateSince', { time: clock(by, reader) }) : say('beforeTime', { time: clock(by, reader) })}
            </small>
          </Key>
        )
      })}
    </div>
  )
}

/** Enters that it is done; what needs more than a tap opens its sheet. */
function useAct({ one: { batch }, onSheet }: { one: SlabProps['one']; onSheet: (sheet: BenchSheet) => void }) {
  const enter = useEnter()
  return ({ place, pans }: Action) => {
    if (pans > 1) onSheet({ pour: { pans } })
    else if (isUnitKind(place)) onSheet({ place })
    else enter('placed', batch.id, { place, unit: null, air: null })
  }
}
