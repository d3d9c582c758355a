import { useState } from 'react'
import { addDays, movable, SIGNED_DAYS, type Check, type SignedLine } from '@logged-thermal/core'
import { lineName, limitTitle, sourceLine, type Reader, methodFormsMessages } from '@logged-thermal/wording'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { DateField } from '../kit/DateField'
import { FieldRow } from '../kit/FieldRow'
import { KeyRow } from '../kit/KeyRow'
import styles from './methods.module.css'
import { speaks } from '../kit/language'

const say = speaks(methodFormsMessages)

/** A line in place of one limit that is guidance: how far it may go, why, and until when. */
export function GuidanceForm({
  check,
  day,
  reader,
  onClose,
  onDone,
}: {
  check: Check
  day: string
  reader: Reader
  onClose: () => void
  onDone: (line: Omit<SignedLine, 'limit'>) => void
}) {
  const last = addDays(day, SIGNED_DAYS)
  const [most, setMost] = useState('')
  const [reason, setReason] = useState('')
  const [validUntil, setValidUntil] = useState(last)
  const bound = movable(check.limit.rule)
  if (!bound) return null
  const value = Number(most.replace(',', '.'))
  const problem = !(value > bound.printed && value <= bound.most)
    ? say('moreThanAtMost', { printed: bound.printed, most: bound.most, unit: bound.unit })
    : reason.trim() === ''
      ? say('whyMayGoSo')
      : validUntil < day || validUntil > last
        ? say('fromTodayThenLooked', { last })
        : null
  return (
    <Sheet open onClose={onClose} title={say('placeGuidance', { lineName: lineName(check.limit.key, reader) })}>
      <div className={styles.signedRows}>
        <p>
          {say('printed')} <strong>{limitTitle(check, reader)}</strong>. {sourceLine(check, reader)}
        </p>
        <FieldRow>
          <Field label={say('atMost', { unit: bound.unit })} value={most} mode="decimal" onValue={setMost} />
          <DateField label={say('validEnd')} least={day} most={last} value={validUntil} onValue={setValidUntil} />
        </FieldRow>
        <Field label={say('why')} value={reason} max={300} onValue={setReason} />
        <p role="status">{problem ?? say('insideNobodyAskedBeyond')}</p>
        <KeyRow>
          <Key look="primary" why={problem} onClick={() => onDone({ most: value, reason: reason.trim(), validUntil })}>
            {say('signIt')}
          </Key>
        </KeyRow>
      </div>
    </Sheet>
  )
}
