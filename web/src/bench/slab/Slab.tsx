import type { SlabProps } from './slabProps'
import { coolingTo, leading, timelineOf, type BatchState, type StepKind } from '@logged-thermal/core'
import { beginWord, checkTitle, findingSentence, markWord, slabMessages } from '@logged-thermal/wording'
import { useEnter } from '../../app/enter'
import { Key } from '../../kit/Key'
import { BeginCooling } from './BeginCooling'
import { CoolToSlab } from './CoolToSlab'
import { ReadSlab } from './ReadSlab'
import { LostSlab, RescueSlab } from './RescueSlab'
import { ServeSlab } from './ServeSlab'
import { TodoSlab } from './TodoSlab'
import { ProvenSlab } from './ProvenSlab'
import { WindowSlab } from './WindowSlab'
import { clsx } from 'clsx'
import styles from '../../board/slab.module.css'
import { speaks } from '../../kit/language'
import { shutUnless } from '../../app/shut'

const say = speaks(slabMessages)

/** The one thing this batch asks for: what to do, the number, what happens otherwise, one key. */
export function Slab(props: SlabProps) {
  const enter = useEnter()
  const { one, phase, guide, now, reader, open, onLead, onMark } = props
  const { asks, batch } = one
  const first = leading(asks, guide, now)
  if (first !== 'asks' && first.kind === 'place') return <BeginCooling {...props} />
  if (first !== 'asks') return <TodoSlab {...props} todo={first} />
  const boil = guide.todos.find((todo) => todo.kind === 'begin')
  const next = boil ? { step: boil.step, edge: 'started' as const } : phase.next
  const markKey = next && (
    <Key
      look={asks.kind === 'mark' ? 'primary' : 'outlined'}
      why={shutUnless(open)}
      onClick={() => onMark(next.step, next.edge)}
    >
      {boil
        ? (beginWord(boil.of, reader) ?? say('begin'))
        : markWord(stepKind(batch, next.step), next.edge === 'combined' ? 'combined' : 'done', reader)}
    </Key>
  )
  switch (asks.kind) {
    case 'rescue':
      return <RescueSlab {...props} />
    case 'lost':
      return <LostSlab {...props} />
    case 'mark':
      return <WindowSlab {...props} markKey={markKey} />
    case 'read': {
      const target = coolingTo(batch, timelineOf(batch))
      if (target) return <CoolToSlab {...props} target={target} />
      return phase.cooking ? <WindowSlab {...props} markKey={markKey} /> : <ReadSlab {...props} markKey={markKey} />
    }
    case 'decide':
      return (
        <section
          className={clsx(styles.slab, asks.finding.standing === 'missed' ? styles.missed : styles.unproven)}
          aria-label={say('leadDecides')}
        >
          <p className={styles.do}>{checkTitle(asks.finding, reader)}</p>
          <p className={styles.why}>{say('setApartFoodSafety', { finding: findingSentence(asks.finding, reader) })}</p>
          <div className={styles.keys}>
            <Key look="primary" why={shutUnless(open)} onClick={() => onLead('hold')}>
              {say('putOnHold')}
            </Key>
            <Key look="outlined" why={shutUnless(open)} onClick={() => onLead(null)}>
              {say('decide')}
            </Key>
            {batch.method.cooling === 'none' && (
              <Key
                look="outlined"
                why={shutUnless(open)}
                onClick={() => enter('served', batch.id, { discarded: null, happened: true })}
              >
                {say('servedAlready')}
              </Key>
            )}
          </div>
        </section>
      )
    case 'discard':
      return (
        <section className={clsx(styles.slab, styles.missed)} aria-label={say('doNow')}>
          <p className={styles.do}>{say('binIt')}</p>
          <p className={styles.why}>{findingSentence(asks.finding, reader)}</p>
          <div className={styles.keys}>
            <Key look="primary" why={shutUnless(open)} onClick={() => onLead('discard')}>
              {say('itIsInThe')}
            </Key>
          </div>
        </section>
      )
    case 'held':
      return (
        <section className={clsx(styles.slab, styles.unproven)} aria-label={say('onHold')}>
          <p className={styles.do}>{say('onHoldDoNot')}</p>
          <p className={styles.why}>{batch.disposition?.value.reason}</p>
          <div className={styles.keys}>
            <Key look="primary" why={shutUnless(open)} onClick={() => onLead(null)}>
              {say('decide')}
            </Key>
          </div>
        </section>
      )
    case 'serve':
      return <ServeSlab {...props} by={asks.by} />
    // Its step is asked above; where none is to be tapped, it stands as proven.
    case 'step':
    case 'use today':
    case 'keep':
      return <ProvenSlab {...props} />
    case 'closed':
      return null
  }
}

function stepKind({ method }: BatchState, key: string): StepKind {
  return method.steps.find((step) => step.key === key)?.kind ?? 'cook'
}
