import { useState } from 'react'
import { batchStanding, lastAir, type BatchState, type Typed, type UnitKind } from '@logged-thermal/core'
import { degrees, placeWord, type Reader } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useLine, type JudgedBatch } from '../app/kitchen'
import { Key } from '../kit/Key'
import { NumberPad } from '../kit/NumberPad'
import { Sheet } from '../kit/Sheet'
import { NameKeys } from '../kit/NameKeys'
import styles from './coolingSheet.module.css'

interface Props {
  batch: BatchState
  others: readonly JudgedBatch[]
  kind: UnitKind
  onClose: () => void
  reader: Reader
}

/** Hot product goes into a unit: which one, what its air says now, and what is in it that must stay cold. */
export function PlaceSheet({ batch, others, kind, onClose, reader }: Props) {
  const enter = useEnter()
  const units = (useLine()?.units ?? [])
    .filter((unit) => unit.kind === kind)
    .map((unit) => ({ ...unit, air: lastAir(unit) }))
  const [chosen, setChosen] = useState<string | null>(units.length === 1 ? units[0]!.id : null)
  const unit = units.find(({ id }) => id === chosen) ?? null
  const put = (air: Typed | null) => {
    enter('placed', batch.id, { place: kind, unit: unit?.id ?? null, air })
    onClose()
  }
  return (
    <Sheet open onClose={onClose} title={unit ? `Into ${unit.name}: what does its air read?` : placeWord[kind]}>
      {units.length > 1 && (
        <NameKeys>
          {units.map(({ id, name, air }) => (
            <Key key={id} look={id === chosen ? 'primary' : 'plain'} onClick={() => setChosen(id)}>
              {name}
              <small>{air ? `air was ${degrees(air.celsius, reader, 'under')}` : 'air not read yet'}</small>
            </Key>
          ))}
        </NameKeys>
      )}
      <div className={styles.placeSheet}>
        {unit && (
          <NumberPad
            key={unit.id}
            name="Air of the unit"
            unit={`°${reader.scale}`}
            decimals={1}
            signed
            take="It is in, air read"
            onTake={(value) => put({ value, unit: reader.scale })}
          />
        )}
        <section>
          {unit && <ColdInside unit={unit.id} batches={others} />}
          {(unit || units.length === 0) && (
            <Key look="outlined" onClick={() => put(null)}>
              {unit ? 'In it, air not read' : 'It is in'}
            </Key>
          )}
        </section>
      </div>
      {units.length === 0 && <p className="muted">No unit of this kind is registered. Vessels and units: Cooldown.</p>}
    </Sheet>
  )
}

/** What is finished and stands in the same unit: hot product beside it warms it. */
function ColdInside({ unit, batches }: { unit: string; batches: readonly JudgedBatch[] }) {
  const inside = batches.filter(
    ({ batch, findings }) =>
      batch.facts.placed.findLast(({ void: gone }) => !gone)?.value.unit === unit &&
      batchStanding(findings) === 'proven',
  )
  if (inside.length === 0) return <p className="muted">Nothing finished and cold is known to stand in it.</p>
  return (
    <div className={styles.coldInside} role="note">
      <strong>Cold and finished in it: keep the hot one away from them.</strong>
      <ul>
        {inside.map(({ batch }) => (
          <li key={batch.id}>
            {batch.method.name} {batch.code}
          </li>
        ))}
      </ul>
    </div>
  )
}
