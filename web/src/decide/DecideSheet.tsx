import { useState } from 'react'
import {
  contestedOf,
  CORE_VERSION,
  decisionShut,
  standingsOf,
  toAssess,
  unanswered,
  type BatchState,
  type Decision,
  type Finding,
  type Shut,
} from '@logged-thermal/core'
import {
  checkTitle,
  findingSentence,
  forceWord,
  shutSentence,
  sourceOf,
  standingWord,
  toldAfterWords,
  decideMessages,
} from '@logged-thermal/wording'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { PinPad } from '../kit/PinPad'
import { useLeadSigns } from '../login/useLeadSigns'
import { Glyph } from '../parts/Glyph'
import { Sheet } from '../kit/Sheet'
import { Contradictions } from './Contradictions'
import { Silhouette } from './Silhouette'
import { Field } from '../kit/Field'
import { RowKey } from '../kit/RowKey'
import styles from './decide.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(decideMessages)

const DECISIONS: Decision[] = ['release', 'hold', 'rework', 'discard']

const BEGINS: Record<Decision, string[]> = {
  release: [say('everyLimitProven')],
  hold: [say('waitingForReading'), say('limitNotProven'), say('instrumentChecked')],
  rework: [say('coolingTooSlowly')],
  discard: [say('limitMissed'), say('pastItsLastDay'), say('spoiledOrDropped')],
}

/** What only the lead may do: a decision that the standings allow, the reason in writing, and the lead's own PIN. */
export function DecideSheet({
  batch,
  findings,
  first = null,
  onClose,
}: {
  batch: BatchState
  findings: Finding[]
  first?: Decision | null
  onClose: () => void
}) {
  const now = useNow()
  const line = useLine()
  const { reader } = useHand(line)
  const { lead, standsIn, sign, busy, refusal } = useLeadSigns('disposed', onClose)
  const [decision, setDecision] = useState<Decision | null>(first)
  const [reason, setReason] = useState('')
  const shutOf = (each: Decision): Shut | null => decisionShut(each, reason, batch, findings, now)
  const shut = decision && shutOf(decision)
  const answered = reason.trim() !== '' && shut === null

  const decide = (pin: string) => {
    if (!decision || !answered) return
    const body = { decision, reason: reason.trim(), findings: standingsOf(findings), core: CORE_VERSION }
    void sign(pin, batch.id, body)
  }
  const notProven = toAssess(findings)
  const open = unanswered(batch)
  const told = batch.reached.flatMap((fact) => (open.some(({ entry }) => entry === fact.entry) ? [fact.value] : []))
  const shown = findings.filter(
    ({ standing, check }) => standing === 'missed' || notProven.some(({ check: { key } }) => key === check.key),
  )
  return (
    <Sheet open onClose={onClose} title={say('decideMethodCode', { method: batch.method.name, code: batch.code })}>
      <div className={styles.decide}>
        <section aria-label={say('whatStands')}>
          <h3 className="title">
            {shown.length || told.length ? say('needsDecision') : say('nothingMissedOrUnproven')}
          </h3>
          {told.length > 0 && <p>{toldAfterWords(told, spoken)}</p>}
          <Contradictions of={{ batch }} facts={contestedOf(batch)} reader={reader} />
          <ul>
            {(shown.length ? shown : findings).map((finding) => (
              <li key={finding.check.key}>
                <Glyph standing={finding.standing} />
                <div>
                  <strong>
                    {checkTitle(finding, reader)}
                    <span className="visually-hidden">: {standingWord(finding.standing, reader)}</span>
                  </strong>
                  <p>{findingSentence(finding, reader)}</p>
                  <small>
                    {forceWord(finding.check.limit.force, reader)} · {sourceOf(finding.check.limit)}
                  </small>
                </div>
              </li>
            ))}
          </ul>
        </section>
        <section aria-label={say('decision')}>
          <div className={styles.silhouettes}>
            {DECISIONS.map((each) => (
              <Silhouette
                key={each}
                decision={each}
                chosen={each === decision}
                shut={isShutForGood(shutOf(each))}
                onChoose={() => setDecision(each)}
              />
            ))}
          </div>
          <p className={styles.why} role="status">
            {shut ? shutSentence(shut, reader) : decision ? '' : say('chooseWhatBecomes')}
          </p>
          {decision && !isShutForGood(shut) && (
            <div>
              <Field label={say('reasonWriting')} rows={3} value={reason} onValue={setReason} />
              <span className={styles.starts}>
                {(decision === 'release' && notProven.length ? [] : BEGINS[decision]).map((each) => (
                  <RowKey key={each} onClick={() => setReason(each)}>
                    {each}
                  </RowKey>
                ))}
              </span>
            </div>
          )}
        </section>
        <section aria-label={say('signature')}>
          {decision && answered && lead ? (
            <>
              {standsIn && <p className="muted">{say('youStandForLead')}</p>}
              <p className="muted">
                {say('recordWillPrintNot', { hasNotProven: notProven.length > 0 && decision === 'release' })}
              </p>
              <PinPad of={lead} busy={busy} sentence={refusal} onPin={decide} />
            </>
          ) : (
            <p className="muted">{say('foodSafetyLeadSigns')}</p>
          )}
        </section>
      </div>
    </Sheet>
  )
}

/** Shut whatever is written: only then the shape is broken. */
function isShutForGood(shut: Shut | null): boolean {
  return shut !== null && shut.code !== 'needs assessment'
}
