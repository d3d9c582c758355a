import { useEffect, useRef } from 'react'
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
} from '@logged-thermal/wording'
import { AlreadyIn } from '../decide/AlreadyIn'
import { LateEntries } from '../decide/LateEntries'
import { Glyph } from '../parts/Glyph'
import { RowKey } from '../kit/RowKey'
import { clsx } from 'clsx'
import styles from './bench.module.css'

interface Props {
  batch: BatchState
  findings: Finding[]
  reader: Reader
  /** The check that is explained, here and on the trace. */
  explained: string | null
  onExplain: (key: string | null) => void
}

/** Every check with its standing and the reason; tapped, it says what decides it and what reading would prove it. */
export function WhyList({ batch, findings, reader, explained, onExplain }: Props) {
  return (
    <section className={styles.whyList} aria-label="Why">
      <div className={styles.whyHead}>
        <h2 className="title">Why</h2>
        <small>a starting point: check your edition</small>
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
                    <span className="visually-hidden">: {standingWord[finding.standing]}</span>
                  </strong>
                  <span className="sentence">{findingSentence(finding, reader)}</span>
                  <small>{sourceLine(finding.check)}</small>
                </span>
              </RowKey>
              {open && <Explained batch={batch} finding={finding} reader={reader} />}
            </li>
          )
        })}
        {deedsOf(batch).map(({ entry, at, words }) => (
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
                {value.cue && <small> a cue: it moves no standing</small>}
              </span>
            </li>
          ))}
      </ul>
    </section>
  )
}

function Explained({ batch, finding, reader }: { batch: BatchState; finding: Finding; reader: Reader }) {
  const { start, end, deciding } = finding
  const between = (name: string, bracket: Finding['start']) => {
    if (!bracket || bracket.latest === null) return null
    if (bracket.earliest === bracket.latest) return `${name} ${clock(bracket.latest, reader)}.`
    if (bracket.earliest === null) return `${name} before ${clock(bracket.latest, reader)}, nobody read when.`
    return `${name} somewhere between ${clock(bracket.earliest, reader)} and ${clock(bracket.latest, reader)}.`
  }
  const said = [between('The clock started', start), between('It got there', end), needSentence(finding, reader)]
  const box = useRef<HTMLDivElement>(null)
  useEffect(() => box.current?.scrollIntoView({ block: 'nearest' }), [])
  return (
    <div className={styles.explained} ref={box}>
      {said.map((sentence) => sentence && <p key={sentence}>{sentence}</p>)}
      {deciding.length > 0 && (
        <p>Decided by what was read at {deciding.map((at) => clock(at, reader)).join(', ')}: ringed on the trace.</p>
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
