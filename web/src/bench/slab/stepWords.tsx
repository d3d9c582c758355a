import type { ReactNode } from 'react'
import {
  leftOf,
  nextReading,
  timelineOf,
  type BatchState,
  type CoolTarget,
  type Finding,
  type Instruction,
  type StepKind,
  type Todo,
} from '@logged-thermal/core'
import {
  bakeShownWords,
  beginWord,
  clock,
  degrees,
  limitDegrees,
  type Reader,
  markWord,
  ovenWords,
  readAgainWords,
  stepName,
  targetSentence,
  throughWords,
  largeSpan,
  slabMessages,
  leftSpan,
} from '@logged-thermal/wording'
import { useEnter } from '../../app/enter'
import { asSentence } from '../../methods/sentence'
import { Key } from '../../kit/Key'
import type { SlabProps } from './slabProps'
import { speaks } from '../../kit/language'
import { shutUnless } from '../../app/shut'

const say = speaks(slabMessages)

/** Steps after the heat at which somebody tastes. */
const TASTED: StepKind[] = ['strain', 'add after heat', 'fold', 'whip', 'assemble']

/** What the slab says: what to do, the number, why, and the keys. */
export interface Told {
  title: string
  count?: [number: string, unit: string] | undefined
  why?: string | undefined
  keys: ReactNode
}

/** What ends or begins a step, as large words and keys. */
export function stepWords(
  props: SlabProps & { todo: Extract<Todo, { kind: 'begin' | 'end' }> },
  told: Instruction | undefined,
): Told {
  const { todo, one, guide, now, reader, open, onMark, onSheet } = props
  const text = told?.text ? asSentence(told.text) : ''
  // Every gate is settled: it may set, age and harden where it is kept.
  const settled = one.asks.kind === 'step'
  const putAway = (look: 'primary' | 'outlined') => (
    <Key look={look} why={shutUnless(open)} onClick={() => onSheet('put away')}>
      {say('putAway')}
    </Key>
  )
  if (todo.kind === 'begin') {
    const hardens = settled && todo.of === 'freeze'
    return {
      title: text || stepName(todo.of, reader),
      why: todo.of === 'boil out' ? say('minuteCountsFromTwo') : hardens ? say('hardensWherePut') : undefined,
      keys: (
        <>
          {hardens && putAway('primary')}
          <Key
            look={hardens ? 'outlined' : 'primary'}
            why={shutUnless(open)}
            onClick={() => onMark(todo.step, 'started')}
          >
            {beginWord(todo.of, reader) ?? say('begin')}
          </Key>
        </>
      ),
    }
  }
  const joins = todo.edge === 'combined'
  const boil = todo.of === 'boil out' ? one.findings.find(({ check }) => check.limit.key === 'boil-out') : undefined
  const boiling = boil && boil.standing !== 'proven' ? minuteOf(boil, now) : null
  const left = guide.now?.timer == null ? 0 : guide.now.timer - now
  const waits = guide.now?.until != null
  return {
    title:
      boiling !== null
        ? boiling.readInMs > 0
          ? say('keepBoilingThenRead')
          : readAgainWords(boiling.leftMs === 0, reader)
        : text || stepName(todo.of, reader),
    count:
      boiling !== null
        ? [String(Math.ceil(boiling.leftMs / 1000)), say('sBoilingLeft')]
        : left > 0
          ? largeSpan(left, reader)
          : undefined,
    why: boil ? boilWords(boil, boiling, reader) : endsWords({ ...props, todo }, told),
    keys: (
      <>
        {todo.of === 'add after heat' && (
          <Key why={shutUnless(open)} onClick={() => onSheet('add')}>
            {say('add')}
          </Key>
        )}
        {joins && todo.of === 'temper' && (
          <Key look="outlined" onClick={() => onSheet('temper')}>
            {say('tempering')}
          </Key>
        )}
        {waits && settled && putAway('outlined')}
        <Key
          look={waits && left > 0 ? 'outlined' : 'primary'}
          why={shutUnless(open)}
          onClick={() => onMark(todo.step, todo.edge)}
        >
          {markWord(todo.of, joins ? 'combined' : 'done', reader)}
        </Key>
      </>
    ),
  }
}

function boilWords(boil: Finding, boiling: ReturnType<typeof minuteOf>, reader: Reader): string {
  if (boil.standing === 'proven') return say('boiledOutByTwo')
  const between =
    boiling !== null && boiling.readInMs < boiling.leftMs
      ? say('readInBetween', { left: leftSpan(boiling.readInMs, reader) })
      : ''
  return `${between} ${say('qualityStarchHoldsOnly')}`.trim()
}

/** What there is to know as a step ends. */
function endsWords(
  { todo, one, guide, now, reader }: SlabProps & { todo: Extract<Todo, { kind: 'end' }> },
  told: Instruction | undefined,
): string | undefined {
  const { timer = null, until = null } = guide.now ?? {}
  if (timer !== null && until !== null) return waitWords(timer, until, now, reader)
  if (guide.window) return windowWords(guide.window, one.batch, reader)
  // What goes in after the heat makes no parts of what was read.
  const joins = timelineOf(one.batch).phase.next
  if (todo.edge === 'combined' && joins?.edge === 'combined' && joins.step === todo.step)
    return say('thenReadMixtureReadings')
  if (timer !== null && timer <= now) return say('itsTimeUpAt', { time: clock(timer, reader) })
  if (todo.of === 'brown') return say('browningColoursHeatsNothing')
  if (TASTED.includes(todo.of)) return say('tastingCleanSpoonEach')
  return targetSentence(told?.target ?? null, reader) || undefined
}

/** What waits: when it is ready, and when it should have gone on. */
function waitWords(ready: number, until: number, now: number, reader: Reader): string {
  const by = clock(until, reader)
  if (now > until) return say('wasToGoOn', { until: by })
  const time = clock(ready, reader)
  return now < ready ? say('readyThenBy', { ready: time, until: by }) : say('readySinceBy', { ready: time, until: by })
}

/** It goes on warm: between which temperatures, and how it was read last. */
function windowWords(target: CoolTarget, batch: BatchState, reader: Reader): string {
  const celsius = timelineOf(batch).coreOf().at(-1)?.celsius ?? null
  const from = limitDegrees(target.from, 'C', reader, 'reach')
  const to = limitDegrees(target.to, 'C', reader, 'under')
  if (celsius === null) return say('goesOnBetween', { from, to })
  const read = degrees(celsius, reader, 'under')
  return celsius < target.from.c ? say('colderThanMeant', { from, to, read }) : say('doneWarmRead', { from, to, read })
}

/** The minute at the boil as one countdown; and when it is read in between, for it counts on only where readings lie close. */
function minuteOf(boil: Finding, now: number): { leftMs: number; readInMs: number } | null {
  const left = leftOf(boil, now)
  const next = nextReading(boil, now)
  if (left === null || next === null) return null
  return { leftMs: next.proves ? next.inMs : left, readInMs: next.inMs }
}

/** Crumb comes out with the heat of the oven told: by it, its minutes and its look a validated bake closes the floor. */
export function bakedWords(
  {
    todo,
    one: { batch, findings },
    guide,
    now,
    reader,
    open,
    onMark,
  }: SlabProps & { todo: Extract<Todo, { kind: 'end' }> },
  told: Instruction | undefined,
  enter: ReturnType<typeof useEnter>,
): Told {
  const bake = findings.flatMap(({ check }) => check.bake ?? [])[0]
  const oven = bake?.oven ?? told?.oven ?? null
  const began = guide.now?.began ?? null
  const ready = bake && began !== null ? began + bake.minutes * 60_000 : (guide.now?.timer ?? null)
  const left = ready === null ? 0 : ready - now
  const out = () =>
    enter('step-marked', batch.id, { step: todo.step, edge: 'done', reason: null, ...(oven ? { oven } : {}) })
  return {
    title: left > 0 ? say('leaveOven') : bake ? say('outWhen', { cue: bake.cue }) : say('readMiddleThenOut'),
    count: left > 0 ? largeSpan(left, reader) : undefined,
    why: bake
      ? say('soonerCoolerOrDeeper', { bakeShownWords: bakeShownWords(bake, reader) })
      : say('threeBakesReadAt', { throughWords: throughWords(reader) }),
    keys: (
      <>
        {oven && (
          <Key look={left > 0 ? 'outlined' : 'primary'} why={shutUnless(open)} onClick={out}>
            {say('outOvenAt', { ovenWords: ovenWords(oven, reader) })}
          </Key>
        )}
        <Key look={oven ? 'outlined' : 'primary'} why={shutUnless(open)} onClick={() => onMark(todo.step, 'done')}>
          {oven ? say('outOtherHeat') : say('outOven')}
        </Key>
      </>
    ),
  }
}
