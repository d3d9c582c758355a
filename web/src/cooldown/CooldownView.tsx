import { Suspense, useMemo, useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import {
  COVERS,
  depthOf,
  fillRefusal,
  isSure,
  litresOf,
  pansFor,
  type CoolingPlan,
  type Cover,
} from '@logged-thermal/core'
import { centimetres, coverWord, refusedWords, cooldownMessages } from '@logged-thermal/wording'
import { useEnter, useGoOn } from '../app/enter'
import { View } from '../app/View'
import { useHand, useLine, useMeans } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { useNow } from '../app/now'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { Key } from '../kit/Key'
import { later, useReadAhead } from '../kit/later'
import { Stepper } from '../kit/Stepper'
import { CooldownSentence } from './CooldownSentence'
import { CurvesChart } from './CurvesChart'
import { ownWords } from './ownWords'
import { SimulationProgress } from './SimulationProgress'
import { VesselKey } from './VesselKey'
import { idOf, sourced, sourcesIn, type Source, type Sourced } from './source'
import { useTrials, type Trials } from './useTrials'
import { WaysTable } from './WaysTable'
import { trialOf, waysOf, type Way } from './ways'
import { SelectField } from '../kit/SelectField'
import { Whole } from '../kit/Whole'
import styles from './cooldown.module.css'
import { shutUnless } from '../app/shut'
import { speaks } from '../kit/language'

const say = speaks(cooldownMessages)

const VesselsSheet = later(() => import('./VesselsSheet'), 'VesselsSheet')
const NEXT = [VesselsSheet]

/** Before it is off the stove: how deep, in what, with what cooling it makes its gates. */
export function CooldownView() {
  const line = useLine()
  const { id } = useParams()
  const now = Math.floor(useNow() / 60_000) * 60_000
  const sources = useMemo(() => (line ? sourcesIn(line, now) : []), [line, now])
  const [chosen, setChosen] = useState<string | null>(id ?? null)
  const source = sources.find((each) => idOf(each) === chosen) ?? sources[0]
  const found = source && line ? sourced(source, line, now) : null
  if (!line || !source) return <Whole>{say('kitchenNoMethodCool')}</Whole>
  return (
    <Cooldown
      key={idOf(source)}
      line={line}
      source={source}
      sources={sources}
      found={found}
      onSource={setChosen}
      now={now}
    />
  )
}

interface Props {
  line: LineData
  source: Source
  sources: Source[]
  found: Sourced | null
  onSource: (id: string) => void
  now: number
}

function Cooldown({ line, source, sources, found, onSource }: Props) {
  const navigate = useNavigate()
  const goOn = useGoOn()
  const enter = useEnter()
  useReadAhead(NEXT)
  const { person, reader, open } = useHand(line)
  const [kilograms, setKilograms] = useState(found?.load.kilograms ?? 3)
  const [vesselId, setVessel] = useState<string | null>(null)
  const [pansWanted, setPans] = useState<number | null>(null)
  const [cover, setCover] = useState<Cover>('open')
  const [iceFirst, setIceFirst] = useState(20)
  const [ice, setIce] = useState(6)
  const [chosenWay, setWay] = useState<string | null>(null)
  const [sheet, setSheet] = useState(false)
  const means = useMeans(line)
  const load = useMemo(() => found && { ...found.load, kilograms }, [found, kilograms])
  const vessel =
    line.vessels.find((each) => each.id === vesselId) ?? line.vessels.find(({ hotFill }) => hotFill) ?? null
  const pans =
    load && vessel ? Math.max(pansWanted ?? 1, pansFor(litresOf(load), vessel.inside, vessel.inside.height)) : 1
  const ways = useMemo(() => waysOf(line.units, iceFirst), [line.units, iceFirst])
  const asked = useMemo(
    () =>
      load && vessel && found
        ? { trials: ways.map((way) => trialOf(way, load, vessel, pans, cover, ice)), stages: found.stages }
        : null,
    [load, vessel, found, ways, pans, cover, ice],
  )
  const trials = useTrials(asked)
  const index = Math.max(
    0,
    ways.findIndex(({ name }) => name === (chosenWay ?? bestOf(ways, trials)?.name)),
  )
  const way = ways[index]!
  const use = () => {
    if (!vessel || !load) return
    const { id, name, inside, wall } = vessel
    const depth = Math.round(depthOf(litresOf(load), inside, pans) * 1e4) / 1e4
    const plan: CoolingPlan = { vessel: { id, name, inside, wall }, pans, depth, place: way.place, cover }
    if (source.kind === 'batch') {
      enter('cooling-planned', source.batch.id, plan)
      goOn(`/bench/${source.batch.id}`)
    } else void navigate('/start', { state: { method: source.method.id, plan } })
  }
  const refused = vessel && load && fillRefusal(vessel, load.celsius)
  return (
    <View
      place="cooldown"
      spoken
      sentence={
        <>
          <CooldownSentence ways={ways} trials={trials} index={index} reader={reader} />
        </>
      }
    >
      <div className={styles.cooldown}>
        <div className={styles.controls}>
          <SelectField
            label={say('whatCooling')}
            options={sources.map((each) => ({
              value: idOf(each),
              words: each.kind === 'batch' ? `${each.batch.code} ${each.batch.method.name}` : each.method.name,
            }))}
            chosen={idOf(source)}
            onChoose={onSource}
          />
          <Stepper
            name={say('kilograms')}
            value={say('kgKilograms', { kilograms: kilograms.toFixed(1) })}
            onStep={(step) =>
              setKilograms(Math.min(200, Math.max(0.5, Math.round((kilograms + step * 0.5) * 10) / 10)))
            }
          />
          <h2>{say('inWhat')}</h2>
          <div className={styles.vessels} role="radiogroup" aria-label={say('vessel')}>
            {line.vessels.map((each) => (
              <VesselKey
                key={each.id}
                vessel={each}
                chosen={each === vessel}
                depth={load ? depthOf(litresOf(load), each.inside, each === vessel ? pans : 1) : 0}
                celsius={load?.celsius ?? 70}
                onChoose={() => {
                  setVessel(each.id)
                  setPans(null)
                }}
              />
            ))}
          </div>
          {refused && (
            <p role="alert">
              {say('refusedOnBench', { vessel: vessel.name, refusedWords: refusedWords(refused, reader) })}
            </p>
          )}
          <Stepper
            name={say('pans2')}
            value={`${pans} ${pans === 1 ? 'pan' : 'pans'}`}
            onStep={(step) => setPans(Math.max(1, pans + step))}
          />
          <ChoiceKeys
            name={say('cover')}
            options={COVERS}
            chosen={cover}
            words={(each) => (each === 'film on the surface' ? say('film') : coverWord(each, reader))}
            onChoose={setCover}
          />
          <Stepper
            name={say('stirredIceFirst')}
            value={iceFirst === 0 ? say('noIceFirst') : say('minIceFirst', { iceFirst })}
            onStep={(step) => setIceFirst(Math.min(120, Math.max(0, iceFirst + step * 5)))}
          />
          <Stepper
            name={say('ice')}
            value={say('kgIce', { ice })}
            onStep={(step) => setIce(Math.min(100, Math.max(1, ice + step)))}
          />
          <Key look="outlined" onClick={() => setSheet(true)}>
            {say('vesselsUnits')}
          </Key>
        </div>
        <div className={styles.pane}>
          <div className={styles.pane}>
            {trials.results.every((result) => result) && trials.results.length > 0 ? (
              <CurvesChart
                results={trials.results.flatMap((result) => result ?? [])}
                names={ways.map(({ name }) => name)}
                chosen={index}
                stages={found?.stages ?? []}
                reader={reader}
              />
            ) : (
              <SimulationProgress trials={trials} known={found !== null && vessel !== null} />
            )}
          </div>
          {load && vessel && (
            <WaysTable
              ways={ways}
              trials={trials}
              load={load}
              vessel={vessel}
              chosen={index}
              onChoose={(at) => setWay(ways[at]!.name)}
              reader={reader}
            />
          )}
          <div className={styles.foot}>
            <p className="muted">
              {say('forecastFromEngineeringFigures', {
                ownWords: ownWords(way, vessel, load, cover, pans, found?.stages ?? [], means, reader),
              })}
            </p>
            <Key
              look="primary"
              disabled={!vessel || !load}
              why={shutUnless(open) ?? (refused && refusedWords(refused, reader))}
              onClick={use}
            >
              {source.kind === 'batch' ? say('useThis') : say('startWith')}
              <small>
                {vessel && load
                  ? `${pans} × ${vessel.name}, ${centimetres(depthOf(litresOf(load), vessel.inside, pans), reader)}`
                  : ''}
              </small>
            </Key>
          </div>
        </div>
      </div>
      <Suspense>
        {sheet && (
          <VesselsSheet
            vessels={line.vessels}
            units={line.units}
            tools={line.tools}
            mayWrite={open && (person?.role === 'chef' || person?.role === 'lead')}
            onClose={() => setSheet(false)}
          />
        )}
      </Suspense>
    </View>
  )
}

/** The first way that makes every gate even with the least heat passing, the gentlest first. */
function bestOf(ways: readonly Way[], trials: Trials): Way | undefined {
  return ways.find((_, i) => trials.results[i]?.stages.every(isSure))
}
