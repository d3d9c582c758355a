import {
  lackedOf,
  contestedAbout,
  wentOutOf,
  dayOf,
  eggGrams,
  eggOf,
  type AdviceKind,
  type DiscardReason,
  type HeatStatus,
  type HoldingKind,
  type Instant,
  type ItemAsks,
  type HotCheck,
  type ThermalLag,
  type Reheating,
  type ItemStanding,
  type ItemState,
  type Keep,
  type Measure,
  type MoveHow,
  type Level,
  type LotState,
} from '@logged-thermal/core'
import {
  clock,
  timeOfDay,
  clockWithSeconds,
  dayName,
  degrees,
  levelDegrees,
  limitDegreesOf,
  span,
  type Reader,
} from './figures'
import { speaker, type Spoken } from './catalogue/say'
import { holdingMessages } from './catalogue/holding'
import { toldAfterWords } from './toolWords'

const say = speaker(holdingMessages)

export function holdingWord(key: HoldingKind, reader: Spoken): string {
  return say(reader, `holding_${key}`)
}

/** A received lot in a list: 'Whole milk L-14, to Fri 5 Mar'. */
export function lotWords({ name, code, useBy }: Pick<LotState, 'name' | 'code' | 'useBy'>, reader: Reader): string {
  return useBy === null
    ? say(reader, 'lotNamed', { name, code })
    : say(reader, 'lotUntil', { name, code, day: dayName(useBy, reader) })
}

/** '14 portions', '1.2 kg', '3 L'. */
export function measureWords({ value, unit }: Measure, reader: Spoken): string {
  if (unit === 'g' && value >= 1000) return say(reader, 'kgValue', { value: tenths(value / 1000) })
  if (unit === 'ml' && value >= 1000) return `${tenths(value / 1000)} L`
  const count = tenths(value)
  switch (unit) {
    case 'g':
      return `${count} g`
    case 'ml':
      return say(reader, 'mlCount', { count })
    case 'portion':
      return `${count} ${value === 1 ? 'portion' : 'portions'}`
    case 'piece':
      return `${count} ${value === 1 ? 'piece' : 'pieces'}`
  }
}

/** '560 g, about 17 eggs' of a part of the egg. */
export function leftInEggs(item: ItemState, left: Measure, reader: Spoken): string {
  const part = eggOf(item)
  const said = measureWords(left, reader)
  if (part === null || left.unit !== 'g' || left.value === 0) return said
  const count = Math.max(1, Math.round(left.value / eggGrams(part)))
  return say(reader, 'about1EggEggs', { said, count })
}

function tenths(value: number): string {
  return String(Math.round(value * 10) / 10)
}

export function heatStatusWord(key: HeatStatus, reader: Spoken): string {
  return say(reader, `heatStatus_${key}`)
}

export function discardReasonWord(key: DiscardReason, reader: Spoken): string {
  return say(reader, `discardReason_${key}`)
}

/** The reason that stands first for an item that goes. */
export function discardReasonOf({ why, asks }: Pick<ItemStanding, 'why' | 'asks'>): DiscardReason {
  switch (why) {
    case 'past its day':
      return 'past its day'
    case 'undated':
      return 'undated'
    case 'time up':
    case 'hot holding':
      return 'time up'
    case 'exposure':
      return 'too warm'
    case 'recalled':
      return 'recalled'
    default:
      return asks === 'use today' ? 'left over' : 'other'
  }
}

export function moveWord(key: MoveHow, reader: Spoken): string {
  return say(reader, `move_${key}`)
}

/** Shortly, for a key or a chip. */
export function asksWord(key: ItemAsks, reader: Spoken): string {
  return say(reader, `asks_${key}`)
}

/** Why an item asks for what it asks, as a sentence. */
export function itemSentence(item: ItemState, standing: ItemStanding, reader: Reader): string {
  const { asks, why, walls, advice, timeUp } = standing
  const [wall] = walls
  switch (why) {
    case 'undated':
      return say(reader, 'nobodyKnowsItsDate')
    case 'past its day': {
      const until = wall?.keep?.what === 'hours' ? wall.until : null
      return say(reader, 'ranOutAtAt', {
        time: until && timeOfDay(until, reader),
        isHours: until !== null,
        day: dayName(wall?.lastDay ?? '', reader),
        setBy: setBy(standing, reader),
      })
    }
    case 'time up':
      return timeUp
        ? say(reader, 'outSinceItsTime', { time: clock(timeUp.since, reader), time2: clock(timeUp.at, reader) })
        : ''
    case 'its own clock':
      return timeUp
        ? say(reader, 'outSinceThrownAway', { time: clock(timeUp.since, reader), time2: clock(timeUp.at, reader) })
        : ''
    case 'hot holding':
      return standing.hot ? hotSentence(standing.hot, reader) : ''
    case 'exposure':
      return exposureSentence(advice.kind, standing, reader)
    case 'held':
      return say(reader, 'heldReason', { reason: item.holds.findLast(({ void: gone }) => !gone)?.value.reason ?? '' })
    case 'recalled':
      return say(reader, 'calledBack', { reason: item.holds.findLast(({ void: gone }) => !gone)?.value.reason ?? '' })
    case 'still cooling':
      return say(reader, 'nobodyReadColdYet')
    case 'thawing':
      return say(reader, 'itsFreezerTooWarm', { degrees: degrees(0, reader).replace('.0', '') })
    case 'label lacks':
      return toldAfterWords(
        lackedOf(item).map(({ value }) => value),
        reader,
      )
    case 'went out':
      return [
        wentOutOf(item).length > 0 && wentOutSentence(item, reader),
        contestedAbout(item).length > 0 && say(reader, 'contradicts'),
      ]
        .filter(Boolean)
        .join(' ')
    case 'setting':
      return item.ready === null ? '' : say(reader, 'setFromOnQuality', { time: clock(item.ready, reader) })
    default:
      return asks === 'frozen'
        ? say(reader, 'itsDateClockStopped', { days: daysWord(standing.walls[0]?.daysLeft ?? 0, reader) })
        : say(reader, 'itsDateComesFrom', { setBy: setBy(standing, reader) })
  }
}

/** Where it went although something stood against that, one after the other. */
function wentOutSentence(item: ItemState, reader: Reader): string {
  const out = wentOutOf(item).map(({ at, value }) => {
    const { measure } = value
    const where =
      'part' in value
        ? say(reader, 'intoBatch')
        : 'name' in value
          ? say(reader, 'toName', { name: String(value.name) })
          : 'then' in value
            ? String(value.then)
            : 'out'
    return say(reader, 'atAmountWhereTime', {
      amount: measureWords(measure, reader),
      where,
      time: timeOfDay(at, reader),
      day: dayName(dayOf(at, reader.zone), reader),
    })
  })
  return say(reader, 'wentOutAgainstHold', { out: out.join('; ') })
}

/** How hot it was read, and what the hot line asks. */
function hotSentence({ asks, level, read, by, reheating }: HotCheck, reader: Reader): string {
  const line = levelDegrees(level, reader)
  const was = read
    ? say(reader, 'readAtAtUnder', {
        degrees: degrees(read.celsius, reader, 'reach'),
        time: clock(read.at, reader),
        line,
      })
    : ''
  const floor = reheating ? reheatWords(reheating, reader) : ''
  switch (asks) {
    case 'reheat':
      if (reheating?.again) {
        const { from, to } = reheating.again
        return say(reader, 'hotEnoughKeepSo', {
          time: clockWithSeconds(from, reader),
          time2: clockWithSeconds(to, reader),
        })
      }
      return say(reader, 'coldHeatBeforeThen', {
        floor,
        time: by === null ? null : clock(by, reader),
        hasBy: by !== null,
      })
    case 'read it':
      return say(reader, 'readItsCoreHeld', { line })
    case 'use now':
      return say(reader, 'useBeforeOnceOr', { was, value: by === null ? '' : clock(by, reader) })
    case 'lead decides':
      if (reheating?.doneAt === null) return say(reader, 'coldNotReadAt', { floor })
      return say(reader, 'leadDecidesThroughHeat', { was })
    case 'discard':
      return say(reader, 'onePeriodUnderOver', { was })
    default:
      return say(reader, 'heldHotAtOr', { line })
  }
}

/** '74° for 15 s, by two readings,', '63°'. */
function reheatWords({ rows }: Reheating, reader: Reader): string {
  const [row] = rows
  if (!row) return ''
  const held = row.seconds === 0 ? '' : say(reader, 'forByTwoReadings', { span: span(row.seconds * 1000, reader) })
  return `${limitDegreesOf(row.celsius, reader)}${held}`
}

/** How far food lags behind the air, said so that nobody takes it for a proof. */
export function lagSentence(
  { air, from, grams, assumed, earliest, latest }: ThermalLag,
  level: Level,
  reader: Reader,
): string {
  const [was, is] = [from, air].map((celsius) => degrees(celsius, reader, 'under'))
  const line = levelDegrees(level, reader)
  const days = [earliest, latest].map((at) => dayOf(at, reader.zone))
  const until =
    days[0] === days[1] ? timeOfDay(latest, reader) : `${timeOfDay(latest, reader)} ${dayName(days[1]!, reader)}`
  const weighed = measureWords({ value: Math.round(grams), unit: 'g' }, reader)
  const mass = assumed ? say(reader, 'eachTakenAs', { weighed }) : weighed
  return say(reader, 'thermalLagWhichProves', { mass, was, is, line, time: clock(earliest, reader), until })
}

function exposureSentence(kind: AdviceKind, { exposure: { time }, advice }: ItemStanding, reader: Reader): string {
  const known =
    time.least === time.most
      ? say(reader, 'aboveItsLimitFor', { span: span(time.most, reader) })
      : say(reader, 'aboveItsLimitForAt', {
          span: span(time.least, reader),
          hasLeast: time.least > 0,
          span2: span(time.most, reader),
        })
  const by = advice.by === null ? '' : say(reader, 'beforeTime', { time: clock(advice.by, reader) })
  const then: Record<AdviceKind, string> = {
    nothing: '',
    'chill again': say(reader, 'anotherUnit', { by }),
    'use now': say(reader, 'useNowOrChill', { by }),
    'read it': time.likely === 0 ? say(reader, 'nobodyLookedAtIts') : say(reader, 'airAloneDoesNot'),
    'lead decides': say(reader, 'ruleSetGivesNo'),
    discard: say(reader, 'binIt'),
  }
  return `${then[kind]} ${known}`
}

/** What sets the date: 'Pouring custard 281-4', 'The house', 'The law', 'Its use-by'. */
export function setBy({ walls: [wall] }: Pick<ItemStanding, 'walls'>, reader: Spoken): string {
  if (!wall) return say(reader, 'nothing')
  if (wall.keep) return keepWords(wall.keep, reader)
  return wall.ruledBy === 'useBy' ? say(reader, 'makersUseBy') : wall.ruledBy
}

/** 'House rule: 3 days', 'Law: 7 days', 'Once opened: 3 days, house rule'. */
export function keepWords({ what, count, force }: Keep, reader: Spoken): string {
  const who =
    force === 'law' ? say(reader, 'law') : force === 'house' ? say(reader, 'houseRule') : say(reader, 'guidance')
  if (what === 'hours') return say(reader, 'hFromCombining', { who, count })
  return what === 'once opened'
    ? say(reader, 'onceOpened', { days: daysWord(count, reader), who: who.toLowerCase() })
    : `${who}: ${daysWord(count, reader)}`
}

export function daysWord(count: number, reader: Spoken): string {
  return count === 1 ? say(reader, 'n1Day') : say(reader, 'daysCount', { count })
}

/** How much time an item has: '3 h', '2 days'; what stands for it where no clock runs. */
export function leftWords(
  { asks, until, daysLeft, walls }: ItemStanding,
  now: Instant,
  reader: Spoken,
): { big: string; small: string } {
  const thawed = walls[0]?.daysLeft ?? 0
  if (asks === 'frozen') return { big: String(thawed), small: say(reader, 'dayDaysOnceThaws', { thawed }) }
  if (until === null) return { big: '–', small: say(reader, 'noDate') }
  const ms = until - now
  if (ms <= 0) return { big: span(ms, reader), small: say(reader, 'past') }
  const hours = ms / 3_600_000
  if (hours < 24 || daysLeft === null || daysLeft <= 1) {
    return hours < 2
      ? { big: String(Math.floor(ms / 60_000)), small: say(reader, 'min') }
      : { big: String(Math.floor(hours)), small: 'h' }
  }
  return { big: String(daysLeft), small: say(reader, 'daysWithToday') }
}

/** What a part brings along: its time above the limit where it has some, else what sets its date. */
export function partSentence(standing: Pick<ItemStanding, 'exposure' | 'walls'>, reader: Spoken): string {
  const { most } = standing.exposure.time
  return most > 0 ? say(reader, 'aboveItsLimitForUp', { span: span(most, reader) }) : setBy(standing, reader)
}
