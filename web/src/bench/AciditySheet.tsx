import { useState } from 'react'
import { acidityResult, batchStanding, type AcidityMeasure, type BatchState, type Finding } from '@logged-thermal/core'
import { aciditySentence, clock, type Reader } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { FieldRow } from '../kit/FieldRow'
import styles from './addSheet.module.css'
import { useEnteredHere } from '../app/useEnteredHere'

interface Props {
  batch: BatchState
  findings: readonly Finding[]
  open: boolean
  onClose: () => void
  reader: Reader
  mayWrite: boolean
}

type Field = 'ph' | 'tolerance' | 'water' | 'meter' | 'low' | 'high'
const BUFFERS = [4.01, 7]

/** pH of the finished, cooled product from a checked meter, and what the code's table says of it. */
export function AciditySheet({ batch, findings, open, onClose, reader, mayWrite }: Props) {
  const enter = useEnter()
  const entered = useEnteredHere()
  const [typed, setTyped] = useState<Record<Field, string>>({
    ph: '',
    tolerance: '0.05',
    water: '',
    meter: '',
    low: '',
    high: '',
  })
  const [wrong, setWrong] = useState<string | null>(null)
  const last = batch.facts['acidity-measured'].filter(({ void: gone }) => !gone).at(-1) ?? null
  const finished = batchStanding(findings) === 'proven'
  const { acidity } = batch.terms
  const field = (key: Field, name: string) => (
    <Field
      label={name}
      value={typed[key]}
      mode={key === 'meter' ? 'text' : 'decimal'}
      onValue={(value) => setTyped({ ...typed, [key]: value })}
    />
  )
  const log = () => {
    const measure = measureOf(typed)
    if (typeof measure === 'string') return setWrong(measure)
    setWrong(null)
    enter('acidity-measured', batch.id, measure)
  }
  return (
    <Sheet saved={entered} open={open} onClose={onClose} title="Does it need temperature control?">
      <div className={styles.addSheet}>
        <section aria-label="Measured">
          <FieldRow>
            {field('ph', 'pH of the product')}
            {field('tolerance', 'Right to, pH either way')}
            {field('low', 'Meter in buffer 4.01')}
            {field('high', 'Meter in buffer 7.00')}
            {field('water', 'Water activity, where known')}
            {field('meter', 'Which meter')}
          </FieldRow>
          {wrong && <p role="alert">{wrong}</p>}
          <Key look="primary" disabled={!mayWrite} onClick={log}>
            Log it
          </Key>
        </section>
        <section aria-label="Result">
          <p className="sentence">
            <strong>{aciditySentence(acidityResult(last?.value ?? null, acidity, finished))}</strong>
          </p>
          {last && (
            <p>
              pH {last.value.ph}
              {last.value.waterActivity === null ? '' : `, water activity ${last.value.waterActivity}`}, with{' '}
              {last.value.meter} at {clock(last.at, reader)}. The meter's tolerance is added before the table is looked
              at.
            </p>
          )}
          {acidity && (
            <p className="muted">
              {acidity.source.document} {acidity.source.section}
            </p>
          )}
          <p className="muted">Alcohol earns nothing here. The local code and a qualified person decide.</p>
        </section>
      </div>
    </Sheet>
  )
}

/** What was typed as a measurement, or what is wrong with it. */
function measureOf(typed: Record<Field, string>): AcidityMeasure | string {
  const number = (key: Field) => {
    const text = typed[key].trim().replace(',', '.')
    return text === '' ? null : Number(text)
  }
  const ph = number('ph')
  if (ph === null || !(ph >= 0 && ph <= 14)) return 'pH is a number from 0 to 14, as 3.8.'
  const phTolerance = number('tolerance')
  if (phTolerance === null || !(phTolerance >= 0 && phTolerance <= 2))
    return 'How far may the meter be out? A number from 0 to 2, as 0.05.'
  const waterActivity = number('water')
  if (waterActivity !== null && !(waterActivity >= 0 && waterActivity <= 1))
    return 'Water activity is a number from 0 to 1, as 0.91.'
  if (typed.meter.trim() === '') return 'Which meter was it?'
  const buffers = (['low', 'high'] as const).flatMap((key, i) => {
    const read = number(key)
    return read === null ? [] : [{ nominal: BUFFERS[i]!, read }]
  })
  if (buffers.some(({ read }) => !(read >= 0 && read <= 14)))
    return 'What the meter read in a buffer is a pH from 0 to 14.'
  return { ph, phTolerance, waterActivity, waterTolerance: 0.01, meter: typed.meter.trim(), buffers }
}
