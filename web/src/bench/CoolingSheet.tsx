import { isUnitKind, PLACES, timelineOf, type BatchState, type Cover, type Place } from '@logged-thermal/core'
import { coverWord, placeWord, pouredWords } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useLine } from '../app/kitchen'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import type { BenchSheet } from './benchSheet'
import { NameKeys } from '../kit/NameKeys'
import styles from './coolingSheet.module.css'
import { useEnteredHere } from '../app/useEnteredHere'

const COVERS: [Cover, string][] = [
  ['open', 'cools fastest, and a skin forms'],
  ['film on the surface', 'no skin; a little slower'],
  ['lid', 'slowest: warm air stands under it'],
]

interface Props {
  batch: BatchState
  onClose: () => void
  onSheet: (sheet: BenchSheet) => void
}

/** How it stands to cool: where, under what, in how many pans. Each change begins another stretch of the forecast. */
export function CoolingSheet({ batch, onClose, onSheet }: Props) {
  const enter = useEnter()
  const entered = useEnteredHere()
  const line = useLine()
  const now = timelineOf(batch).setting
  const covered = batch.facts.covered.some(({ void: gone }) => !gone)
  const poured = batch.facts.poured.findLast(({ void: gone }) => !gone)?.value
  const kinds = new Set(line?.units.map(({ kind }) => kind))
  const unit = line?.units.find(({ id }) => id === now.unit)
  // What the kitchen does not have is not offered.
  const places = PLACES.filter((place) => !isUnitKind(place) || kinds.has(place))
  const goTo = (place: Place) => {
    if (isUnitKind(place)) return onSheet({ place })
    enter('placed', batch.id, { place, unit: null, air: null })
    onClose()
  }
  return (
    <Sheet saved={entered} open onClose={onClose} title="How does it cool?">
      <div className={styles.coolingSheet}>
        <section>
          <h3>Where it stands</h3>
          <NameKeys>
            {places.map((place) => (
              <Key key={place} look={place === now.place ? 'primary' : 'plain'} onClick={() => goTo(place)}>
                {place === now.place && unit ? unit.name : placeWord[place]}
                {place === now.place && <small>it stands here</small>}
              </Key>
            ))}
          </NameKeys>
        </section>
        <section>
          <h3>Over it</h3>
          <NameKeys>
            {COVERS.map(([cover, why]) => (
              <Key
                key={cover}
                look={covered && cover === now.cover ? 'primary' : 'plain'}
                onClick={() => {
                  enter('covered', batch.id, { cover })
                  onClose()
                }}
              >
                {coverWord[cover]}
                <small>{why}</small>
              </Key>
            ))}
          </NameKeys>
          <h3>In what</h3>
          <p>{poured ? pouredWords(poured) : `${batch.vessel.name}, as the method says`}</p>
          <NameKeys>
            <Key onClick={() => onSheet({ pour: { pans: 1 } })}>
              Pour or split
              <small>into which vessel, how many pans</small>
            </Key>
            <Key
              onClick={() => {
                enter('stirred', batch.id, {})
                onClose()
              }}
            >
              Stirred through
              <small>the middle is as cold as the rest</small>
            </Key>
          </NameKeys>
        </section>
      </div>
    </Sheet>
  )
}
