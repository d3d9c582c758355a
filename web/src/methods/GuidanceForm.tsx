import { useState } from 'react'
import { addDays, movable, SIGNED_DAYS, type Check, type SignedLine } from '@logged-thermal/core'
import { lineName, limitTitle, sourceLine, type Reader } from '@logged-thermal/wording'
import { Key } from '../parts/Key'
import { Sheet } from '../parts/Sheet'

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
      <div className="signed-rows">
        <p>
          Printed: <strong>{limitTitle(check, reader)}</strong>. {sourceLine(check)}
        </p>
        <div className="field-row">
          <label className="form-field">
            At most, {bound.unit}
            <input inputMode="decimal" value={most} onChange={({ target }) => setMost(target.value)} />
          </label>
          <label className="form-field">
            Valid to the end of
            <input
              type="date"
              min={day}
              max={last}
              value={validUntil}
              onChange={({ target }) => setValidUntil(target.value)}
            />
          </label>
        </div>
        <label className="form-field">
          Why
          <input value={reason} maxLength={300} onChange={({ target }) => setReason(target.value)} />
        </label>
        <p role="status">{problem ?? 'Inside it nobody is asked; beyond it the lead is. The record prints both.'}</p>
        <div className="limits-keys">
          <Key
            look={problem ? 'shut' : 'primary'}
            disabled={problem !== null}
            onClick={() => onDone({ most: value, reason: reason.trim(), validUntil })}
          >
            Sign it
          </Key>
        </div>
      </div>
    </Sheet>
  )
}
