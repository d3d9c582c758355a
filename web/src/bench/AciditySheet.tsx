import { useState } from 'react'
import {
  acidityResult,
  acidKeeping,
  batchStanding,
  type AcidityMeasure,
  type BatchState,
  type Finding,
} from '@logged-thermal/core'
import { acidKeepingSentence, aciditySentence, clock, type Reader, benchSheetsMessages } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useNow } from '../app/now'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { FieldRow } from '../kit/FieldRow'
import styles from './addSheet.module.css'
import { useEnteredHere } from '../app/useEnteredHere'
import { speaks } from '../kit/language'
import { shutUnless } from '../app/shut'

const say = speaks(benchSheetsMessages)

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
  const now = useNow()
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
    <Sheet saved={entered} open={open} onClose={onClose} title={say('doesNeedTemperatureControl')}>
      <div className={styles.addSheet}>
        <section aria-label={say('measured')}>
          <FieldRow>
            {field('ph', say('phProduct'))}
            {field('tolerance', say('rightPhEitherWay'))}
            {field('low', say('meterBuffer401'))}
            {field('high', say('meterBuffer700'))}
            {field('water', say('waterActivityWhereKnown'))}
            {field('meter', say('whichMeter'))}
          </FieldRow>
          {wrong && <p role="alert">{wrong}</p>}
          <Key look="primary" why={shutUnless(mayWrite)} onClick={log}>
            {say('logIt')}
          </Key>
        </section>
        <section aria-label={say('result')}>
          <p className="sentence">
            <strong>{aciditySentence(acidityResult(last?.value ?? null, acidity, finished), reader)}</strong>
          </p>
          <p role="status">{acidKeepingSentence(acidKeeping(batch, reader.zone, now), reader)}</p>
          {last && (
            <p>
              {say('phWaterActivityWith', {
                ph: last.value.ph,
                waterActivity: last.value.waterActivity,
                hasWaterActivity: last.value.waterActivity !== null,
                meter: last.value.meter,
                time: clock(last.at, reader),
              })}
            </p>
          )}
          {acidity && (
            <p className="muted">
              {acidity.source.document} {acidity.source.section}
            </p>
          )}
          <p className="muted">{say('alcoholEarnsNothingHere')}</p>
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
  if (ph === null || !(ph >= 0 && ph <= 14)) return say('phNumberFrom0')
  const phTolerance = number('tolerance')
  if (phTolerance === null || !(phTolerance >= 0 && phTolerance <= 2)) return say('howFarMayMeter')
  const waterActivity = number('water')
  if (waterActivity !== null && !(waterActivity >= 0 && waterActivity <= 1)) return say('waterActivityNumberFrom')
  if (typed.meter.trim() === '') return say('whichMeter2')
  const buffers = (['low', 'high'] as const).flatMap((key, i) => {
    const read = number(key)
    return read === null ? [] : [{ nominal: BUFFERS[i]!, read }]
  })
  if (buffers.some(({ read }) => !(read >= 0 && read <= 14))) return say('whatMeterReadBuffer')
  return { ph, phTolerance, waterActivity, waterTolerance: 0.01, meter: typed.meter.trim(), buffers }
}
