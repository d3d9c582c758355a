import { useMemo } from 'react'
import {
  isUnitKind,
  mayBeStirred,
  nearestThatMakes,
  PLACES,
  stagesOf,
  tellingStage,
  timelineOf,
  waysToCool,
  type BatchState,
  type Means,
  type Outcome,
  type Place,
} from '@logged-thermal/core'
import {
  centimetres,
  placeWord,
  plannedInShort,
  pouredWords,
  slabMessages,
  waysMessages,
} from '@logged-thermal/wording'
import { useEnter } from '../../app/enter'
import { useLine, useMeans } from '../../app/kitchen'
import { Key } from '../../kit/Key'
import { colourOf } from '../../parts/temperatureScale'
import { VesselPicture } from '../../parts/VesselPicture'
import { Also } from './Also'
import type { SlabProps } from './slabProps'
import { clsx } from 'clsx'
import slabStyles from '../../board/slab.module.css'
import coolingSheetStyles from '../coolingSheet.module.css'
import { speaks, spoken } from '../../kit/language'
import { shutUnless } from '../../app/shut'

const say = speaks(slabMessages)
const waysSay = speaks(waysMessages)

/** Off the heat: where does it cool? Each place with what comes of it as it stands, and the nearest way where that misses. */
export function BeginCooling(props: SlabProps) {
  const { one, now, reader, open, guide, onSheet } = props
  const { batch } = one
  const enter = useEnter()
  const line = useLine()
  const means = useMeans(line)
  const minute = Math.floor(now / 60_000)
  const { ways, nearest, depth } = useMemo(
    () => begun(batch, means, line?.vessels ?? [], minute * 60_000),
    [batch, means, line?.vessels, minute],
  )
  const plan = batch.facts['cooling-planned'].findLast(({ void: gone }) => !gone)?.value
  const goTo = (place: Place) => {
    if (isUnitKind(place)) onSheet({ place })
    else enter('placed', batch.id, { place, unit: null, air: null })
  }
  const follow = ({ choice, depth: filled }: Outcome) => {
    const { id, name, inside, wall } = choice.vessel
    const vessel = { id, name, inside, wall }
    enter('poured', batch.id, { vessel, pans: choice.pans, depth: Math.round(filled * 1e4) / 1e4 })
    goTo(choice.place)
  }
  return (
    <section className={clsx(slabStyles.slab, coolingSheetStyles.beginCooling)} aria-label={say('doNow')}>
      <p className={slabStyles.do}>{say('whereDoesCool')}</p>
      {batch.terms.counterFirst && <p className={slabStyles.why}>{waysSay('counterFirst')}</p>}
      {plan && (
        <div className={slabStyles.keys}>
          <Key
            look="primary"
            why={shutUnless(open)}
            onClick={() => {
              const { vessel, pans, depth: deep, place, cover } = plan
              enter('poured', batch.id, { vessel, pans, depth: deep })
              enter('covered', batch.id, { cover })
              goTo(place)
            }}
          >
            {say('asPlanned')}
            <small>
              {pouredWords(plan, reader)}, {placeWord(plan.place, reader).toLowerCase()}
            </small>
          </Key>
        </div>
      )}
      {[true, false].map((good) => (
        <div
          key={String(good)}
          className={good ? clsx(coolingSheetStyles.ways, coolingSheetStyles.makes) : coolingSheetStyles.ways}
        >
          {ways
            .filter(({ makes }) => makes === good)
            .map(({ place, stages }) => {
              const shown = tellingStage(stages)
              return (
                <Key key={place} look={good ? 'plain' : 'outlined'} why={shutUnless(open)} onClick={() => goTo(place)}>
                  {placeWord(place, reader)}
                  {shown && <small>{plannedInShort(shown, reader)}</small>}
                </Key>
              )
            })}
        </div>
      ))}
      {nearest && <Nearest nearest={nearest} depth={depth} open={open} onFollow={() => follow(nearest)} />}
      <Also {...props} todos={guide.todos.filter(({ kind }) => kind !== 'place')}>
        <Key look="outlined" why={shutUnless(open)} onClick={() => onSheet({ pour: { pans: 1 } })}>
          {say('pourOrSplit')}
        </Key>
      </Also>
    </section>
  )
}

/** As deep as it stands it misses in the cold unit: the picture says why, the key does it. */
function Nearest({
  nearest: { choice, depth: filled },
  depth,
  open,
  onFollow,
}: {
  nearest: Outcome
  depth: number
  open: boolean
  onFollow: () => void
}) {
  const colour = colourOf(70)
  return (
    <div className={coolingSheetStyles.nearest}>
      <p>{say('deepTooSlowRefrigerator', { centimetres: centimetres(depth, spoken) })}</p>
      <Key look="primary" why={shutUnless(open)} onClick={onFollow}>
        <VesselPicture inside={choice.vessel.inside} depth={filled} colour={colour} />
        <span>
          {pouredWords({ ...choice, depth: filled }, spoken)}
          <small>{placeWord(choice.place, spoken)}</small>
        </span>
      </Key>
    </div>
  )
}

/** Nobody cools hot food there by choice; it is said under Cooling. The counter is asked where the method has it first. */
const NOT_ASKED: Place[] = ['counter', 'freezer']

function begun(batch: BatchState, means: Means, vessels: Parameters<typeof nearestThatMakes>[3], at: number) {
  const { product, cover } = timelineOf(batch).setting
  const celsius = timelineOf(batch).warmth(at)
  const stages = stagesOf(batch.checks)
  const offered = PLACES.filter(
    (place) =>
      (!NOT_ASKED.includes(place) || (place === 'counter' && batch.terms.counterFirst)) &&
      (place !== 'stirred ice bath' || mayBeStirred(batch)) &&
      (!isUnitKind(place) || means.places.includes(place)),
  )
  const ways = waysToCool(product, celsius, cover, offered, stages).sort((a, b) => Number(b.makes) - Number(a.makes))
  const load = batch.terms.product && { ...batch.terms.product, celsius }
  const cold = (['fan refrigerator', 'refrigerator'] as const).find((place) => offered.includes(place))
  const first = vessels[0]
  const misses = cold && ways.some(({ place, makes }) => place === cold && !makes)
  const nearest =
    misses && load && first && mayBeStirred(batch)
      ? nearestThatMakes(load, { vessel: first, pans: 1, place: cold, cover }, stages, vessels, [])
      : null
  return { ways, nearest, depth: product.shape.height }
}
