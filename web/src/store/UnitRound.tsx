import useMediaQuery from '@mui/material/useMediaQuery'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import {
  celsiusOf,
  dayOf,
  excursionsOf,
  isOutside,
  levelOf,
  nextRoundAt,
  placeOf,
  roundsOf,
  type Id,
  type LimitSet,
  type Round,
  type UnitReading,
  type UnitState,
} from '@logged-thermal/core'
import {
  clock,
  countWord,
  degrees,
  fieldSentence,
  levelDegrees,
  span,
  type Reader,
  storeRoundMessages,
  timeOfDay,
} from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { View } from '../app/View'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { DegreeBoard } from '../board/DegreeBoard'
import { shownIn } from '../board/degreeEntry'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { Key } from '../kit/Key'
import { AirLane } from './Doors'
import { ReadWith, usualInstrument } from './ReadWith'
import { limitsOfLine } from './useStore'
import { RowKey } from '../kit/RowKey'
import { NameKeys } from '../kit/NameKeys'
import { clsx } from 'clsx'
import roundStyles from '../round/round.module.css'
import unitRoundStyles from './unitRound.module.css'
import slabStyles from '../board/slab.module.css'
import { Notice } from '../kit/Notice'
import { speaks } from '../kit/language'

const say = speaks(storeRoundMessages)

/** A unit counts as read in this round for so long, ms. */
const THIS_ROUND = 45 * 60_000

/** Every unit as one walk: one number moves on to the next. */
export function UnitRound() {
  const now = useNow()
  const line = useLine()
  const { reader, open } = useHand(line)
  const navigate = useNavigate()
  const enter = useEnter()
  const [begun] = useState(now)
  const [left, setLeft] = useState<Id[]>([])
  const [chosen, setChosen] = useState<Id | null>(null)
  const [noted, setNoted] = useState<'as it is' | 'door open' | 'defrost'>('as it is')
  const [readWith, setReadWith] = useState<{ unit: Id; instrument: Id | null } | null>(null)
  const [skipping, setSkipping] = useState(false)
  const [wrong, setWrong] = useState<string | null>(null)
  const [last, setLast] = useState<{ unit: Id; claim: Id; at: number } | null>(null)
  const narrow = useMediaQuery('(max-width: 599px)')
  const limits = limitsOfLine(line, now)
  if (!line || !limits) return null
  const units = line.units.filter(({ kind }) => kind !== 'ambient shelf')
  const isRead = ({ airs }: UnitState) => (airs.at(-1)?.at ?? 0) > begun - THIS_ROUND
  const waiting = units.filter((unit) => !isRead(unit) && !left.includes(unit.id))
  const here = units.find(({ id }) => id === chosen) ?? waiting[0] ?? null
  const rounds = roundsOf(line.units, limits.practice, reader.zone, now)
  const missed = rounds.filter(({ state }) => state === 'missed')
  const next = nextRoundAt(limits.practice, reader.zone, now)
  const instrument =
    readWith && readWith.unit === here?.id ? readWith.instrument : here && usualInstrument(here, line.instruments)
  const byProbe = line.instruments.find(({ id }) => id === instrument)
  const take = (value: number) => {
    if (!here) return
    const typed = { value, unit: reader.scale }
    try {
      celsiusOf(typed)
    } catch {
      setWrong(fieldSentence('value', { code: 'not a temperature', typed: `${value} °${reader.scale}` }, reader))
      return
    }
    const why: UnitReading['noted'] = noted === 'as it is' ? null : noted
    const claim = enter('unit-read', here.id, { typed, instrument, noted: why })
    setLast({ unit: here.id, claim: claim.id, at: now })
    setChosen(null)
    setNoted('as it is')
    setWrong(null)
  }
  const level = here && levelOf(here.kind, limits, dayOf(now, reader.zone))
  return (
    <View
      place="unitRound"
      spoken
      sentence={
        <>
          {here ? (
            <>
              <strong>
                {say('roundRead', {
                  value:
                    units.length === waiting.length ? say('none') : countWord(units.length - waiting.length, reader),
                  count: countWord(units.length, reader),
                })}
              </strong>{' '}
              {say('isNext', { here: here.name })}
            </>
          ) : (
            <>
              <strong>{say('roundDone')}</strong> {next === null ? '' : say('nextAt', { time: clock(next, reader) })}
            </>
          )}
        </>
      }
    >
      <div className={clsx(roundStyles.round, unitRoundStyles.round)}>
        <ol
          className={clsx(roundStyles.walk, unitRoundStyles.roundWalk, unitRoundStyles.unitWalk)}
          aria-label={say('units')}
          tabIndex={0}
        >
          {units.map((unit) => (
            <Stop
              key={unit.id}
              unit={unit}
              here={unit === here}
              read={isRead(unit)}
              skipped={left.includes(unit.id)}
              limits={limits}
              now={now}
              reader={reader}
              onChoose={() => setChosen(unit.id)}
            />
          ))}
        </ol>
        {here && (
          <div className={roundStyles.board}>
            <DegreeBoard
              key={here.id}
              scale={reader.scale}
              centre={shownIn(here.airs.at(-1)?.celsius ?? level?.celsius ?? 4, reader.scale)}
              marks={
                level
                  ? [
                      {
                        value: shownIn(level.celsius, reader.scale),
                        kind: level.side === 'under' ? 'be under' : 'reach',
                      },
                    ]
                  : []
              }
              rows={narrow ? 2 : 3}
              disabled={!open}
              ask={
                byProbe && byProbe.kind !== 'display'
                  ? say('whatProbeShows', { here: here.name, code: byProbe.code })
                  : say('whatDisplayShows', { here: here.name })
              }
              controls={null}
              onValue={take}
            />
          </div>
        )}
        <div className={roundStyles.side}>
          <section className={clsx(slabStyles.slab, roundStyles.slab)} aria-label={say('doNow')}>
            <p className={slabStyles.do}>{here ? say('readHere', { here: here.name }) : say('everyUnitRead')}</p>
            <p className={clsx(slabStyles.count, roundStyles.count)}>
              {waiting.length}
              <small>{say('leftRound')}</small>
            </p>
            <p className={clsx(slabStyles.why, roundStyles.why)}>
              {here ? whyHere(here, line.items, limits, now, reader) : say('backWhatThem')}
            </p>
          </section>
          {here && (
            <div className={unitRoundStyles.unitNotes}>
              <ChoiceKeys
                name={say('noted')}
                options={['as it is', 'door open', 'defrost'] as const}
                chosen={noted}
                words={(each) =>
                  ({ 'as it is': say('asItIs'), 'door open': say('doorOpen'), defrost: say('defrosting') })[each]
                }
                onChoose={setNoted}
              />
              <ReadWith
                instruments={line.instruments}
                chosen={instrument}
                onChoose={(chosenOne) => setReadWith({ unit: here.id, instrument: chosenOne })}
              />
            </div>
          )}
          {missed.length > 0 && (
            <p className={unitRoundStyles.missedRounds} role="status">
              <strong>{say('missed')}</strong>{' '}
              {missed
                .slice(-3)
                .map((round) => missedWords(round, units.length, now, reader))
                .join('; ')}
            </p>
          )}
          {wrong && (
            <Notice title={say('notLogged')}>
              <p>{wrong}</p>
            </Notice>
          )}
          {last && now - last.at < 15_000 && (
            <Key
              look="outlined"
              onClick={() => {
                enter('air-taken-back', last.unit, { target: last.claim })
                setChosen(last.unit)
                setLast(null)
              }}
            >
              {say('undoLastOne')}
            </Key>
          )}
          {skipping && here && (
            <NameKeys>
              {[say('displayDark'), say('doorLocked'), say('beingCleaned')].map((reason) => (
                <Key
                  key={reason}
                  onClick={() => {
                    enter('unit-skipped', here.id, { reason })
                    setLeft([...left, here.id])
                    setChosen(null)
                    setSkipping(false)
                  }}
                >
                  {reason}
                </Key>
              ))}
            </NameKeys>
          )}
          <div className={roundStyles.keys}>
            {here && <Key onClick={() => setSkipping(!skipping)}>{say('cannotRead')}</Key>}
            <Key look={here ? 'plain' : 'primary'} onClick={() => void navigate('/store')}>
              {here ? say('endRound') : say('coldStore')}
            </Key>
          </div>
        </div>
      </div>
    </View>
  )
}

function Stop({
  unit,
  here,
  read,
  skipped,
  limits,
  now,
  reader,
  onChoose,
}: {
  unit: UnitState
  here: boolean
  read: boolean
  skipped: boolean
  limits: LimitSet
  now: number
  reader: Reader
  onChoose: () => void
}) {
  const last = unit.airs.at(-1)
  const level = levelOf(unit.kind, limits, dayOf(now, reader.zone))
  const outside = last && level && isOutside(last.celsius, level)
  return (
    <li className={clsx(here && roundStyles.here)} aria-current={here ? 'step' : undefined} data-unit={unit.name}>
      <RowKey className={unitRoundStyles.unitName} onClick={onChoose}>
        <strong>{unit.name}</strong>
        <small>{level ? say('orDegreesSide', { degrees: levelDegrees(level, reader), side: level.side }) : ''}</small>
      </RowKey>
      <AirLane unit={unit} limits={limits} now={now} reader={reader} width={290} height={44} />
      <div className={roundStyles.says}>
        {read && last ? (
          <>
            <span className={roundStyles.value}>
              {outside ? '' : '✓ '}
              {degrees(last.celsius, reader, 'under')}
            </span>
            <small>{outside ? say('overReadItemInside') : clock(last.at, reader)}</small>
          </>
        ) : (
          <small>
            {skipped
              ? say('couldNotRead')
              : last
                ? say('lastAt', { degrees: degrees(last.celsius, reader, 'under'), time: clock(last.at, reader) })
                : say('neverRead')}
          </small>
        )}
      </div>
    </li>
  )
}

/** 'yesterday 14:00, 1 of 6 not read' */
function missedWords({ at, left }: Round, all: number, now: number, reader: Reader): string {
  return say('missedRound', {
    today: dayOf(at, reader.zone) === dayOf(now, reader.zone),
    time: timeOfDay(at, reader),
    left: left.length === all ? say('nobodyRead') : say('notRead', { left: left.length, all }),
  })
}

/** Why this unit matters now: what was warm, how much is inside. */
function whyHere(
  unit: UnitState,
  items: Parameters<typeof placeOf>[0][],
  limits: LimitSet,
  now: number,
  reader: Reader,
): string {
  const level = levelOf(unit.kind, limits, dayOf(now, reader.zone))
  const inside = items.filter((item) => placeOf(item)?.value.unit === unit.id).length
  const things = inside === 1 ? say('oneThingInside') : say('thingsInside', { inside })
  const warm = level && excursionsOf(unit, level, now).findLast(({ worst }) => now - worst.at < 24 * 3_600_000)
  if (warm)
    return say('atOverForDisplay', {
      degrees: degrees(warm.worst.celsius, reader, 'under'),
      time: clock(warm.worst.at, reader),
      span: span(now - warm.since.latest, reader),
      hasUntil: warm.until !== null,
      things,
    })
  return say('tapNumberItsDisplay', { things })
}
