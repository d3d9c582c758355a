import { useState } from 'react'
import {
  backingDoubt,
  celsiusRead,
  type BatchState,
  type CorrectionReason,
  type Fact,
  type Id,
  type ReadingBody,
} from '@logged-thermal/core'
import {
  backingWords,
  clockWithSeconds,
  correctionReason,
  degrees,
  type Reader,
  benchSheetsMessages,
} from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useLine } from '../app/kitchen'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { DegreeBoard } from '../board/DegreeBoard'
import { NameKeys } from '../kit/NameKeys'
import styles from './bench.module.css'
import { KeyRow } from '../kit/KeyRow'
import { speaks, spoken } from '../kit/language'

const say = speaks(benchSheetsMessages)

interface Props {
  open: boolean
  onClose: () => void
  batch: BatchState
  others: BatchState[]
  reader: Reader
  mayWrite: boolean
}

type Correcting = { fact: Fact<ReadingBody>; how: 'choose' | 'mistyped' | 'wrong pot' }

/** Every reading with what was corrected, the old value struck through; each can be corrected with one tap for the reason. */
export function ReadingsSheet({ open, onClose, batch, others, reader, mayWrite }: Props) {
  const [correcting, setCorrecting] = useState<Correcting | null>(null)
  const enter = useEnter()
  const amend = (
    target: Id,
    reason: CorrectionReason,
    now: 'void' | { at: number; reading: ReadingBody; batch: Id | null },
  ) => {
    enter('corrected', batch.id, { target, reason, now, item: null })
    setCorrecting(null)
  }
  const close = () => {
    setCorrecting(null)
    onClose()
  }
  return (
    <Sheet
      open={open}
      onClose={close}
      title={correcting ? say('whatWrongWith') : say('readingsOf', { method: batch.method.name })}
    >
      {!correcting && (
        <ul className={styles.readings}>
          {[...batch.facts['reading-taken']]
            .sort((a, b) => b.at - a.at)
            .map((fact) => (
              <Row
                key={`${fact.entry} ${fact.at}`}
                fact={fact}
                fails={batch.failedProbes}
                reader={reader}
                onCorrect={mayWrite && !fact.void ? () => setCorrecting({ fact, how: 'choose' }) : null}
              />
            ))}
          {batch.facts['reading-taken'].length === 0 && <li>{say('nothingReadYet')}</li>}
        </ul>
      )}
      {correcting?.how === 'choose' && correcting.fact.value.file && (
        <KeyRow>
          <Key onClick={() => amend(correcting.fact.entry, 'wrong pot', 'void')}>
            {say('takeFileBack', { file: correcting.fact.value.file.name })}
          </Key>
        </KeyRow>
      )}
      {correcting?.how === 'choose' && !correcting.fact.value.file && (
        <KeyRow>
          <Key onClick={() => setCorrecting({ ...correcting, how: 'mistyped' })}>{say('mistyped')}</Key>
          <Key
            why={others.length === 0 && say('noOtherPot')}
            onClick={() => setCorrecting({ ...correcting, how: 'wrong pot' })}
          >
            {say('wrongPot')}
          </Key>
          <Key onClick={() => amend(correcting.fact.entry, 'touched the pan', 'void')}>{say('touchedPan')}</Key>
        </KeyRow>
      )}
      {correcting?.how === 'mistyped' && (
        <DegreeBoard
          scale={correcting.fact.value.typed.unit}
          centre={correcting.fact.value.typed.value}
          marks={[]}
          rows={3}
          disabled={false}
          ask={say('tapWhat')}
          controls={null}
          onValue={(value) => {
            const { at, value: was, entry } = correcting.fact
            amend(entry, 'mistyped', { at, reading: { ...was, typed: { value, unit: was.typed.unit } }, batch: null })
          }}
        />
      )}
      {correcting?.how === 'wrong pot' && (
        <NameKeys>
          {others.map(({ id, method, code }) => (
            <Key
              key={id}
              onClick={() =>
                amend(correcting.fact.entry, 'wrong pot', {
                  at: correcting.fact.at,
                  reading: correcting.fact.value,
                  batch: id,
                })
              }
            >
              {method.name}
              <small>{code}</small>
            </Key>
          ))}
        </NameKeys>
      )}
    </Sheet>
  )
}

function Row({
  fact,
  fails,
  reader,
  onCorrect,
}: {
  fact: Fact<ReadingBody>
  fails: BatchState['failedProbes']
  reader: Reader
  onCorrect: (() => void) | null
}) {
  const line = useLine()
  const { value, at, recordedAt, amends } = fact
  const name = (id: Id) => line?.people.find((person) => person.id === id)?.name ?? 'somebody'
  const probe = line?.instruments.find(({ id }) => id === value.instrument)?.code ?? say('noInstrument')
  const shown = ({ typed }: ReadingBody) => `${typed.value.toFixed(1)}°${typed.unit}`
  const { readBy } = value
  const backing = backingDoubt(fact, fails) ?? (readBy?.backing === 'overdue' ? 'overdue' : null)
  const behind = backing && backingWords(backing, spoken)
  const late = recordedAt !== null && recordedAt - at > 60_000
  return (
    <li>
      <span className={styles.value}>
        {amends.map(({ entry, was }) => (
          <s key={entry}>{shown(was)} </s>
        ))}
        {!fact.void && shown(value)}
      </span>
      <span className={styles.said}>
        {clockWithSeconds(at, reader)}
        {late && say('recordedTime', { time: clockWithSeconds(recordedAt, reader) })} · {name(fact.by)} · {probe},{' '}
        {value.of === 'mixture' ? value.where : say('ofThe', { part: value.of.part })}
        {behind && `, ${behind}`}
        {readBy && readBy.off !== 0 && say('countsAs', { degrees: degrees(celsiusRead(value), reader) })}
        {value.portion !== undefined && say('panPortion', { portion: value.portion })}
        {value.file && say('outOfFile', { file: value.file.name })}
        {recordedAt === null && say('keptHereNotSent')}
        {fact.late && say('enteredLate')}
        {fact.postedBy !== null &&
          fact.postedBy !== fact.by &&
          say('enteredByFor', { name: name(fact.postedBy), name2: name(fact.by) })}
        {fact.waiting.length > 0 && say('correctionWaitsForLead')}
        {fact.accepted && say('letCountBy', { name: name(fact.accepted.by), reason: fact.accepted.reason })}
        {fact.accepted?.by === fact.by && say('bySamePerson')}
        {fact.accepted?.second !== undefined && say('besideThem', { name: name(fact.accepted.second) })}
        {fact.refused && say('notLetCountBy', { name: name(fact.refused.by), reason: fact.refused.reason })}
        {amends.map(({ reason, by }) => ` · ${correctionReason(reason, spoken)}, ${name(by)}`)}
      </span>
      {onCorrect && (
        <Key look="outlined" onClick={onCorrect}>
          {say('correct')}
        </Key>
      )}
    </li>
  )
}
