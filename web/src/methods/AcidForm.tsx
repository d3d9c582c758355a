import { useState } from 'react'
import {
  ACID_BY,
  ACID_DOCUMENT_DAYS,
  addDays,
  LONGEST_ACID_DAYS,
  type AcidBy,
  type AcidDocument,
  type Day,
  type Method,
} from '@logged-thermal/core'
import { acidByWord, methodFormsMessages } from '@logged-thermal/wording'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { DateField } from '../kit/DateField'
import { Field } from '../kit/Field'
import { FieldRow } from '../kit/FieldRow'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { Sheet } from '../kit/Sheet'
import { speaks, spoken } from '../kit/language'
import styles from './methods.module.css'

const say = speaks(methodFormsMessages)

interface Props {
  method: Method
  /** What holds now: it is written anew from there. */
  first: AcidDocument | null
  day: Day
  onClose: () => void
  onDone: (document: AcidDocument) => void
}

type Typed = Record<'issuer' | 'number' | 'least' | 'most' | 'how' | 'days', string>

/** The document that says how long a method keeps by its pH: whose it is, between which pH, how measured, what follows. */
export function AcidForm({ method, first, day, onClose, onDone }: Props) {
  const last = addDays(day, ACID_DOCUMENT_DAYS)
  const [by, setBy] = useState<AcidBy>(first?.by ?? 'house')
  const [needsCold, setNeedsCold] = useState(first?.needsCold ?? true)
  const [validUntil, setValidUntil] = useState(first?.validUntil ?? last)
  const [typed, setTyped] = useState<Typed>({
    issuer: first?.issuer ?? '',
    number: first?.number ?? '',
    least: first?.least == null ? '' : String(first.least),
    most: first ? String(first.most) : '',
    how: first?.how ?? '',
    days: first ? String(first.days) : '',
  })
  const field = (key: keyof Typed, label: string, mode: 'text' | 'decimal' | 'numeric' = 'text', max = 120) => (
    <Field
      label={label}
      value={typed[key]}
      mode={mode}
      max={max}
      onValue={(value) => setTyped({ ...typed, [key]: value })}
    />
  )
  const least = typed.least.trim() === '' ? null : numberIn(typed.least)
  const most = numberIn(typed.most)
  const days = numberIn(typed.days)
  const problem = problemOf({ ...typed, leastPh: least, mostPh: most, dayCount: days, validUntil }, day, last)
  const [issuer, number, how] = [typed.issuer.trim(), typed.number.trim(), typed.how.trim()]
  return (
    <Sheet open onClose={onClose} title={say('keptByItsPh', { method: method.name })}>
      <div className={styles.signedRows}>
        <ChoiceKeys
          name={say('whoseDocument')}
          options={ACID_BY}
          chosen={by}
          words={(each) => acidByWord(each, spoken)}
          onChoose={setBy}
        />
        <p className="muted">{by === 'house' ? say('houseOnlyShortens') : say('loosensByThem')}</p>
        <FieldRow>
          {field('issuer', say('issuedBy'))}
          {field('number', say('itsNumber'))}
          <DateField label={say('validEnd')} least={day} most={last} value={validUntil} onValue={setValidUntil} />
        </FieldRow>
        <FieldRow>
          {field('least', say('phAtLeast'), 'decimal', 6)}
          {field('most', say('phAtMost'), 'decimal', 6)}
          {field('days', say('keepsDays'), 'numeric', 3)}
        </FieldRow>
        {field('how', say('howMeasured'), 'text', 300)}
        <ChoiceKeys
          name={say('doesItNeedCold')}
          options={['cold', 'no cold'] as const}
          chosen={needsCold ? 'cold' : 'no cold'}
          words={(each) => (each === 'cold' ? say('keptCold') : say('needsNoCold'))}
          onChoose={(each) => setNeedsCold(each === 'cold')}
        />
        <p role="status">{problem ?? say('eachBatchIsMeasured')}</p>
        <KeyRow>
          <Key
            look="primary"
            why={problem}
            onClick={() =>
              onDone({ version: method.version, by, issuer, number, least, most, how, days, needsCold, validUntil })
            }
          >
            {say('signIt')}
          </Key>
        </KeyRow>
      </div>
    </Sheet>
  )
}

function numberIn(text: string): number {
  return text.trim() === '' ? NaN : Number(text.trim().replace(',', '.'))
}

/** What the document still lacks; null when it is whole. */
function problemOf(
  told: Typed & { leastPh: number | null; mostPh: number; dayCount: number; validUntil: Day },
  day: Day,
  last: Day,
): string | null {
  const { issuer, number, how, leastPh, mostPh, dayCount, validUntil } = told
  if (issuer.trim() === '' || number.trim() === '') return say('whoIssuedIt')
  if (!(mostPh > 0 && mostPh <= 14)) return say('phAtMostMissing')
  if (leastPh !== null && !(leastPh >= 0 && leastPh < mostPh)) return say('phEndsTheWrongWay')
  if (!(Number.isInteger(dayCount) && dayCount >= 1 && dayCount <= LONGEST_ACID_DAYS))
    return say('keepsDaysMissing', { most: LONGEST_ACID_DAYS })
  if (how.trim() === '') return say('howMeasuredMissing')
  return validUntil < day || validUntil > last ? say('fromTodayThenLooked', { last }) : null
}
