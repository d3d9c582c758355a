import { useState } from 'react'
import { batchStanding, lastAir, type BatchState, type Typed, type UnitKind } from '@logged-thermal/core'
import { degrees, placeWord, type Reader, benchSheetsMessages } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useLine, type JudgedBatch } from '../app/kitchen'
import { Key } from '../kit/Key'
import { NumberPad } from '../kit/NumberPad'
import { Sheet } from '../kit/Sheet'
import { NameKeys } from '../kit/NameKeys'
import styles from './coolingSheet.module.css'
import { speaks } from '../kit/language'

const say = speaks(benchSheetsMessages)

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
    <Sheet open onClose={onClose} title={unit ? say('intoWhatDoesIts', { unit: unit.name }) : placeWord(kind, reader)}>
      {units.length > 1 && (
        <NameKeys>
          {units.map(({ id, name, air }) => (
            <Key key={id} look={id === chosen ? 'primary' : 'plain'} onClick={() => setChosen(id)}>
              {name}
              <small>
                {air ? say('airWas', { degrees: degrees(air.celsius, reader, 'under') }) : say('airNotReadYet')}
              </small>
            </Key>
          ))}
        </NameKeys>
      )}
      <div className={styles.placeSheet}>
        {unit && (
          <NumberPad
            key={unit.id}
            name={say('airUnit')}
            unit={`°${reader.scale}`}
            decimals={1}
            signed
            take={say('airRead')}
            onTake={(value) => put({ value, unit: reader.scale })}
          />
        )}
        <section>
          {unit && <ColdInside unit={unit.id} batches={others} />}
          {(unit || units.length === 0) && (
            <Key look="outlined" onClick={() => put(null)}>
              {unit ? say('airNotRead') : say('itIsIn')}
            </Key>
          )}
        </section>
      </div>
      {units.length === 0 && <p className="muted">{say('noUnitKindRegistered')}</p>}
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
  if (inside.length === 0) return <p className="muted">{say('nothingFinishedColdKnown')}</p>
  return (
    <div className={styles.coldInside} role="note">
      <strong>{say('coldFinishedKeepHot')}</strong>
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
