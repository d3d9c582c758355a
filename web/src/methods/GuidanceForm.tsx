import { useState } from 'react'
import { addDays, movable, SIGNED_DAYS, type Check, type SignedLine } from '@logged-thermal/core'
import { lineName, limitTitle, sourceLine, type Reader } from '@logged-thermal/wording'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { DateField } from '../kit/DateField'
import { FieldRow } from '../kit/FieldRow'
import { KeyRow } from '../kit/KeyRow'
import styles from './methods.module.css'

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
    ? `More than ${bound.printed} and at most ${bound.most} ${bound.unit}.`
    : reason.trim() === ''
      ? 'Why may it go so far?'
      : validUntil < day || validUntil > last
        ? `From today to ${last}: then it is looked at again.`
        : null
  return (
    <Sheet open onClose={onClose} title={`${lineName(check.limit.key)}: in place of guidance`}>
      <div className={styles.signedRows}>
        <p>
          Printed: <strong>{limitTitle(check, reader)}</strong>. {sourceLine(check)}
        </p>
        <FieldRow>
          <Field label={`At most, ${bound.unit}`} value={most} mode="decimal" onValue={setMost} />
          <DateField label="Valid to the end of" least={day} most={last} value={validUntil} onValue={setValidUntil} />
        </FieldRow>
        <Field label="Why" value={reason} max={300} onValue={setReason} />
        <p role="status">{problem ?? 'Inside it nobody is asked; beyond it the lead is. The record prints both.'}</p>
        <KeyRow>
          <Key
            look={problem ? 'shut' : 'primary'}
            disabled={problem !== null}
            onClick={() => onDone({ most: value, reason: reason.trim(), validUntil })}
          >
            Sign it
          </Key>
        </KeyRow>
      </div>
    </Sheet>
  )
}
