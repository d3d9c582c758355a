import { isUnitKind, MINUTE, PLACES, timelineOf, type BatchState, type Cover, type Place } from '@logged-thermal/core'
import { coverWord, placeWord, pouredWords, benchSheetsMessages, span, waysMessages } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import type { BenchSheet } from './benchSheet'
import { NameKeys } from '../kit/NameKeys'
import styles from './coolingSheet.module.css'
import { useEnteredHere } from '../app/useEnteredHere'
import { speaks, spoken } from '../kit/language'

const say = speaks(benchSheetsMessages)
const waysSay = speaks(waysMessages)

const COVERS: [Cover, string][] = [
  ['open', say('coolsFastestSkinForms')],
  ['film on the surface', say('noSkinLittleSlower')],
  ['lid', say('slowestWarmAirStands')],
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
  const counter = timelineOf(batch).onCounter(useNow(60_000))
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
    <Sheet saved={entered} open onClose={onClose} title={say('howDoesCool')}>
      <div className={styles.coolingSheet}>
        <section>
          <h3>{say('whereStands')}</h3>
          {counter >= MINUTE && <p>{waysSay('onCounter', { span: span(counter, spoken) })}</p>}
          <NameKeys>
            {places.map((place) => (
              <Key key={place} look={place === now.place ? 'primary' : 'plain'} onClick={() => goTo(place)}>
                {place === now.place && unit ? unit.name : placeWord(place, spoken)}
                {place === now.place && <small>{say('standsHere')}</small>}
              </Key>
            ))}
          </NameKeys>
        </section>
        <section>
          <h3>{say('overIt')}</h3>
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
                {coverWord(cover, spoken)}
                <small>{why}</small>
              </Key>
            ))}
          </NameKeys>
          <h3>{say('inWhat')}</h3>
          <p>{poured ? pouredWords(poured, spoken) : say('asMethodSays2', { vessel: batch.vessel.name })}</p>
          <NameKeys>
            <Key onClick={() => onSheet({ pour: { pans: 1 } })}>
              {say('pourOrSplit')}
              <small>{say('intoWhichVesselHow')}</small>
            </Key>
            <Key
              onClick={() => {
                enter('stirred', batch.id, {})
                onClose()
              }}
            >
              {say('stirredThrough')}
              <small>{say('middleAsColdAs')}</small>
            </Key>
          </NameKeys>
        </section>
      </div>
    </Sheet>
  )
}
