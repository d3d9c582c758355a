import {
  batchStanding,
  rulingDate,
  type BatchState,
  type Decision,
  type Finding,
  type Phase,
} from '@logged-thermal/core'
import { checkTitle, dayName, findingSentence, limitTitle, standingWord, type Reader } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import type { JudgedBatch } from '../app/kitchen'
import { asksWords } from '../line/asksWords'
import { Key } from '../parts/Key'

interface Props {
  one: JudgedBatch
  phase: Phase
  now: number
  reader: Reader
  open: boolean
  onLead: (decision: Decision | null) => void
}

/** The one thing this batch asks for: what to do, the number, what happens otherwise, one key. */
export function Slab({ one, phase, now, reader, open, onLead }: Props) {
  const { batch, findings, asks } = one
  const enter = useEnter()
  const markKey = phase.next && (
    <Key
      look={asks.kind === 'mark' ? 'primary' : 'outlined'}
      disabled={!open}
      onClick={() => phase.next && enter('step-marked', batch.id, phase.next)}
    >
      {phase.next.edge === 'combined' ? 'All combined' : 'Off the heat'}
    </Key>
  )
  switch (asks.kind) {
    case 'rescue': {
      const words = asksWords(asks, now, reader)!
      return (
        <section className="slab rescue" aria-label="Do this now">
          <p className="do">Cool it faster: ice bath, stir</p>
          <p className="count">
            {words.number}
            <small>{words.unit}</small>
          </p>
          <p className="why">{words.reason}: it misses as it goes.</p>
        </section>
      )
    }
    case 'mark':
      return (
        <section className="slab" aria-label="Do this now">
          <p className="do">
            {asks.edge === 'combined'
              ? 'Combine everything, then read the mixture'
              : 'The floor is proven. Off the heat'}
          </p>
          <p className="why">
            {asks.edge === 'combined'
              ? 'Readings until then are of the milk, and prove nothing about the mixture.'
              : ceilingWords(findings, reader)}
          </p>
          <div className="keys">{markKey}</div>
        </section>
      )
    case 'read':
      return <ReadSlab one={one} now={now} reader={reader} markKey={markKey} />
    case 'decide':
      return (
        <section
          className={`slab ${asks.finding.standing === 'missed' ? 'missed' : 'unproven'}`}
          aria-label="The lead decides"
        >
          <p className="do">{checkTitle(asks.finding, reader)}</p>
          <p className="why">{findingSentence(asks.finding, reader)} Set it apart; the food-safety lead decides.</p>
          <div className="keys">
            <Key look="primary" disabled={!open} onClick={() => onLead('hold')}>
              Put on hold
            </Key>
            <Key look="outlined" disabled={!open} onClick={() => onLead(null)}>
              Decide
            </Key>
          </div>
        </section>
      )
    case 'discard':
      return (
        <section className="slab missed" aria-label="Do this now">
          <p className="do">Bin it</p>
          <p className="why">{findingSentence(asks.finding, reader)}</p>
          <div className="keys">
            <Key look="primary" disabled={!open} onClick={() => onLead('discard')}>
              It is in the bin
            </Key>
          </div>
        </section>
      )
    case 'held':
      return (
        <section className="slab unproven" aria-label="On hold">
          <p className="do">On hold. Do not use</p>
          <p className="why">{batch.disposition?.value.reason}</p>
          <div className="keys">
            <Key look="primary" disabled={!open} onClick={() => onLead(null)}>
              Decide
            </Key>
          </div>
        </section>
      )
    case 'use today':
    case 'keep':
      return <ProvenSlab batch={batch} findings={findings} reader={reader} />
    case 'closed':
      return null
  }
}

function ReadSlab({
  one: { asks, findings },
  now,
  reader,
  markKey,
}: {
  one: JudgedBatch
  now: number
  reader: Reader
  markKey: React.ReactNode
}) {
  if (asks.kind !== 'read') return null
  const { finding, at } = asks
  const { because } = finding
  if (because.code === 'holding') {
    const left = Math.max(0, because.since + because.row.seconds * 1000 - now)
    return (
      <section className="slab" aria-label="Do this now">
        <p className="do">{left > 0 ? 'Hold it there, then read again' : 'Read again to prove it'}</p>
        <p className="count">
          {Math.ceil(left / 1000)}
          <small>s more if it stays there</small>
        </p>
        <p className="why">Zero proves nothing: the next reading does.</p>
        <div className="keys">{markKey}</div>
      </section>
    )
  }
  const words = asksWords(asks, now, reader)!
  const title =
    finding.check.limit.rule.kind === 'hold'
      ? `Read the mixture: ${limitTitle(finding.check, reader)}`
      : `${words.action}. ${checkTitle(finding, reader)}`
  return (
    <section className="slab" aria-label="Do this now">
      <p className="do">{title}</p>
      {words.number !== '0' && (
        <p className="count">
          {words.number}
          <small>
            {words.unit}
            {at > now ? ' until it is due' : ''}
          </small>
        </p>
      )}
      <p className="why">
        {findingSentence(finding, reader)} {markKey ? ceilingWords(findings, reader) : ''}
      </p>
      {markKey && <div className="keys">{markKey}</div>}
    </section>
  )
}

function ProvenSlab({ batch, findings, reader }: { batch: BatchState; findings: Finding[]; reader: Reader }) {
  const date = rulingDate(findings)
  if (!date || !('lastDay' in date.because)) return null
  const law = findings.find(({ check }) => check.limit.rule.kind === 'days' && check.limit.force === 'law')
  const { because } = date
  const standing = batchStanding(findings)
  const released = batch.disposition?.value.decision === 'release'
  return (
    <section className={`slab ${standing === 'proven' ? 'proven' : 'unproven'}`} aria-label={standingWord[standing]}>
      <p className="do">{standing === 'proven' ? 'Every gate is proven' : 'Released, not proven'}</p>
      {released && <p className="why">Released: {batch.disposition?.value.reason}</p>}
      <p className="why">Keep it cold. Bin at the end of</p>
      <p className="big">{dayName(because.lastDay)}</p>
      <p className="why">
        {findingSentence(date, reader)} {date.check.limit.force === 'house' ? "The house's days." : 'The law rules.'}{' '}
        {law && date !== law && law.check.limit.rule.kind === 'days'
          ? `The law allows ${law.check.limit.rule.days}.`
          : ''}
      </p>
    </section>
  )
}

function ceilingWords(findings: readonly Finding[], reader: Reader): string {
  const ceiling = findings.find(({ check }) => check.limit.force === 'quality')
  return ceiling ? `${limitTitle(ceiling.check, reader)}, or it curdles.` : ''
}
