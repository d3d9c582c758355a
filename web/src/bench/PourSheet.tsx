import { useMemo, useState } from 'react'
import {
  isPiece,
  litresOf,
  outcomeOf,
  pansFor,
  piecesFor,
  stagesOf,
  timelineOf,
  type BatchState,
  type Load,
  type Outcome,
  type VesselState,
} from '@logged-thermal/core'
import { centimetres, outcomeWords, placeWord, type Reader, benchSheetsMessages } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useLine } from '../app/kitchen'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { colourOf } from '../parts/temperatureScale'
import { VesselPicture } from '../parts/VesselPicture'
import styles from './coolingSheet.module.css'
import { speaks } from '../kit/language'

const say = speaks(benchSheetsMessages)

interface Props {
  batch: BatchState
  /** How many pans are asked for to begin with. */
  pans: number
  now: number
  onClose: () => void
  reader: Reader
}

const NONE: VesselState[] = []
/** Nobody says which pan cools slowest: then every one is read. */
const NOT_SAID = ''

/** Into which vessel, and how many: how deep it then stands, and whether it makes its gates so, as it goes. */
export function PourSheet({ batch, pans: asked, now, onClose, reader }: Props) {
  const enter = useEnter()
  const vessels = useLine()?.vessels ?? NONE
  const [pans, setPans] = useState(asked)
  const [slowest, setSlowest] = useState<string | null>(null)
  const load = loadOf(batch, now)
  const choices = useMemo(() => outcomes(batch, load, vessels, pans), [batch, load, vessels, pans])
  const setting = timelineOf(batch).setting
  const pour = ({ choice, depth }: Outcome) => {
    const { id, name, inside, wall } = choice.vessel
    enter('poured', batch.id, {
      vessel: { id, name, inside, wall },
      pans: choice.pans,
      depth: Math.round(depth * 1e4) / 1e4,
      ...(slowest !== null && choice.pans > 1 && Number(slowest) <= choice.pans ? { slowest } : {}),
    })
    onClose()
  }
  return (
    <Sheet open onClose={onClose} title={say('intoWhatPoured')}>
      <div className={styles.pourPans} role="group" aria-label={say('howManyPans')}>
        <Key aria-label={say('onePanFewer')} disabled={pans <= 1} onClick={() => setPans(pans - 1)}>
          −
        </Key>
        <span className={styles.count}>{pans}</span>
        <Key aria-label={say('onePanMore')} disabled={pans >= 24} onClick={() => setPans(pans + 1)}>
          +
        </Key>
        <p className={styles.pourSays}>
          {say('oneVesselVesselsAlike', {
            pans,
            kilograms: (load?.kilograms ?? 0).toFixed(1),
            value: setting.place ? placeWord(setting.place, reader).toLowerCase() : say('iceBath'),
          })}
        </p>
      </div>
      {pans > 1 && (
        <ChoiceKeys
          name={say('whichOneCoolsSlowest')}
          options={[NOT_SAID, ...Array.from({ length: pans }, (_, i) => String(i + 1))]}
          chosen={slowest ?? NOT_SAID}
          words={(each) => (each === NOT_SAID ? say('slowestNotSaid') : each)}
          onChoose={(each) => setSlowest(each === NOT_SAID ? null : each)}
        />
      )}
      {load === null && <p>{say('methodGivesNoAmounts')}</p>}
      <div className={styles.pourVessels}>
        {choices.map((outcome) => {
          const { choice, depth, refused, makes } = outcome
          return (
            <Key
              key={choice.vessel.id}
              look={refused ? 'shut' : 'plain'}
              disabled={refused !== null}
              onClick={() => pour(outcome)}
            >
              <VesselPicture inside={choice.vessel.inside} depth={depth} colour={colourOf(load?.celsius ?? 60)} />
              {isPiece(choice.vessel.inside)
                ? say('piecesOf', { count: choice.pans, vessel: choice.vessel.name })
                : choice.vessel.name}
              <small>
                <strong>{centimetres(depth, reader)}</strong>{' '}
                {say('deepMakesOutcomewords', { makes, outcomeWords: outcomeWords(outcome, reader) })}
              </small>
            </Key>
          )
        })}
      </div>
      {vessels.length === 0 && <p className="muted">{say('noVesselRegisteredYet')}</p>}
    </Sheet>
  )
}

/** What there is to pour, as warm as it was last read. */
function loadOf(batch: BatchState, now: number): Load | null {
  const { product } = batch.terms
  return product && { ...product, celsius: timelineOf(batch).warmth(now) }
}

function outcomes(batch: BatchState, load: Load | null, vessels: readonly VesselState[], pans: number): Outcome[] {
  if (!load) return []
  const stages = stagesOf(batch.checks)
  const { place, cover } = timelineOf(batch).setting
  return vessels
    .map((vessel) => {
      // Of cups and moulds as many as it fills, whatever was asked of pans.
      const many = isPiece(vessel.inside) ? piecesFor(litresOf(load), vessel.inside) : pans
      return outcomeOf(load, { vessel, pans: many, place: place ?? 'ice bath', cover }, stages)
    })
    .filter(
      ({ choice }) =>
        pans > 1 || isPiece(choice.vessel.inside) || pansFor(litresOf(load), choice.vessel.inside, 1) <= MOST,
    )
    .sort((a, b) => Number(b.makes) - Number(a.makes) || Number(a.refused !== null) - Number(b.refused !== null))
}

const MOST = 3
