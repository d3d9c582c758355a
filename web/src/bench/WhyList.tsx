import { memo, useEffect, useRef } from 'react'
import type { BatchState, Finding } from '@logged-thermal/core'
import {
  checkTitle,
  clock,
  deedsOf,
  findingSentence,
  needSentence,
  sourceLine,
  standingWord,
  type Reader,
  benchMessages,
} from '@logged-thermal/wording'
import { AlreadyIn } from '../decide/AlreadyIn'
import { LateEntries } from '../decide/LateEntries'
import { Glyph } from '../parts/Glyph'
import { RowKey } from '../kit/RowKey'
import { clsx } from 'clsx'
import styles from './bench.module.css'
import { speaks } from '../kit/language'

const say = speaks(benchMessages)

interface Props {
  batch: BatchState
  findings: Finding[]
  reader: Reader
  /** The check that is explained, here and on the trace. */
  explained: string | null
  onExplain: (key: string | null) => void
}

/** Every check with its standing and the reason; tapped, it says what decides it and what reading would prove it. */
export const WhyList = memo(function WhyList({ batch, findings, reader, explained, onExplain }: Props) {
  return (
    <section className={styles.whyList} aria-label={say('why')}>
      <div className={styles.whyHead}>
        <h2 className="title">{say('why')}</h2>
        <small>{say('startingPointCheckYour')}</small>
      </div>
      <ul>
        {findings.map((finding) => {
          const { key } = finding.check
          const open = key === explained
          return (
            <li key={key} data-check={key} data-standing={finding.standing} className={clsx(open && styles.open)}>
              <RowKey aria-expanded={open} onClick={() => onExplain(open ? null : key)}>
                <Glyph standing={finding.standing} />
                <span>
                  <strong>
                    {checkTitle(finding, reader)}
                    <span className="visually-hidden">: {standingWord(finding.standing, reader)}</span>
                  </strong>
                  <span className="sentence">{findingSentence(finding, reader)}</span>
                  <small>{sourceLine(finding.check, reader)}</small>
                </span>
              </RowKey>
              {open && <Explained batch={batch} finding={finding} reader={reader} />}
            </li>
          )
        })}
        {deedsOf(batch, reader).map(({ entry, at, words }) => (
          <li key={entry} className={styles.note}>
            <span aria-hidden="true">✓</span>
            <span className="sentence">
              {clock(at, reader)} {words}.
            </span>
          </li>
        ))}
        {batch.facts.noted
          .filter(({ void: gone }) => !gone)
          .map(({ entry, value, at }) => (
            <li key={entry} className={styles.note}>
              <span aria-hidden="true">❙</span>
              <span className="sentence">
                {clock(at, reader)} {value.text}
                {value.cue && <small> {say('cueMovesNoStanding')}</small>}
              </span>
            </li>
          ))}
      </ul>
    </section>
  )
})

function Explained({ batch, finding, reader }: { batch: BatchState; finding: Finding; reader: Reader }) {
  const { start, end, deciding } = finding
  const between = (name: string, bracket: Finding['start']) => {
    if (!bracket || bracket.latest === null) return null
    if (bracket.earliest === bracket.latest) return `${name} ${clock(bracket.latest, reader)}.`
    if (bracket.earliest === null) return say('beforeNobodyReadWhen', { name, time: clock(bracket.latest, reader) })
    return say('somewhereBetween', {
      name,
      time: clock(bracket.earliest, reader),
      time2: clock(bracket.latest, reader),
    })
  }
  const said = [between(say('clockStarted'), start), between(say('gotThere'), end), needSentence(finding, reader)]
  const box = useRef<HTMLDivElement>(null)
  useEffect(() => box.current?.scrollIntoView({ block: 'nearest' }), [])
  return (
    <div className={styles.explained} ref={box}>
      {said.map((sentence) => sentence && <p key={sentence}>{sentence}</p>)}
      {deciding.length > 0 && (
        <p>{say('decidedByWhatRead', { deciding: deciding.map((at) => clock(at, reader)).join(', ') })}</p>
      )}
      <LateEntries batch={batch} />
      {isFloor(finding) && <AlreadyIn batch={batch} reader={reader} />}
    </div>
  )
}

/** Of what went in raw only a floor is opened again. */
function isFloor({ check: { limit, evidence } }: Finding): boolean {
  return ['hold', 'equivalent'].includes(limit.rule.kind) && evidence.of === 'mixture'
}
