import {
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
  type LineageBar,
  type ItemState,
  type Keep,
  type Measure,
  type MeasureUnit,
  type MoveHow,
  type MoveShut,
  type PartShut,
  type ReceivingReason,
  type Level,
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

export const holdingWord: Record<HoldingKind, string> = {
  refrigerator: 'Refrigerator',
  'fan refrigerator': 'Fan refrigerator',
  'blast chiller': 'Blast chiller',
  freezer: 'Freezer',
  'egg refrigerator': 'Egg refrigerator',
  'display case': 'Display case',
  'ambient shelf': 'Ambient shelf',
  'hot well': 'Hot well',
}

const UNIT_WORDS: Record<MeasureUnit, [one: string, many: string]> = {
  g: ['g', 'g'],
  ml: ['ml', 'ml'],
  portion: ['portion', 'portions'],
  piece: ['piece', 'pieces'],
}

/** '14 portions', '1.2 kg', '3 L'. */
export function measureWords({ value, unit }: Measure): string {
  if (unit === 'g' && value >= 1000) return `${tenths(value / 1000)} kg`
  if (unit === 'ml' && value >= 1000) return `${tenths(value / 1000)} L`
  const [one, many] = UNIT_WORDS[unit]
  return `${tenths(value)} ${value === 1 ? one : many}`
}

/** '560 g, about 17 eggs' of a part of the egg. */
export function leftInEggs(item: ItemState, left: Measure): string {
  const part = eggOf(item)
  const said = measureWords(left)
  if (part === null || left.unit !== 'g' || left.value === 0) return said
  const count = Math.max(1, Math.round(left.value / eggGrams(part)))
  return `${said}, about ${count === 1 ? '1 egg' : `${count} eggs`}`
}

function tenths(value: number): string {
  return String(Math.round(value * 10) / 10)
}

export const heatStatusWord: Record<HeatStatus, string> = {
  cooked: 'cooked',
  pasteurized: 'pasteurized egg',
  raw: 'raw',
  'no heat asked': 'no heat asked',
}

export const discardReasonWord: Record<DiscardReason, string> = {
  'past its day': 'Past its day',
  'too warm': 'Too warm too long',
  'time up': 'Time without cold is up',
  'not proven': 'Not proven',
  undated: 'No date',
  recalled: 'Called back',
  damaged: 'Damaged',
  'not kept': 'Not kept',
  'left over': 'Left over',
  other: 'Other',
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

export const moveWord: Record<MoveHow, string> = {
  move: 'Move',
  freeze: 'Freeze',
  thaw: 'Thaw',
  out: 'Pull',
  serve: 'Put out for service',
  hot: 'Hot well',
}

/** Shortly, for a key or a chip. */
export const asksWord: Record<ItemAsks, string> = {
  discard: 'Bin it now',
  'lead decides': 'The lead decides',
  held: 'Do not use',
  'read it': 'Read it',
  'chill again': 'Into the cold',
  'use now': 'Use it now',
  'use today': 'Last day',
  'use first': 'Use first',
  'not ready': 'Not ready',
  keep: 'Keep cold',
  frozen: 'Frozen',
  gone: 'Gone',
}

/** Why an item asks for what it asks, as a sentence. */
export function itemSentence(item: ItemState, standing: ItemStanding, reader: Reader): string {
  const { asks, why, walls, advice, timeUp } = standing
  const [wall] = walls
  switch (why) {
    case 'undated':
      return 'Nobody knows its date: it goes to discard.'
    case 'past its day':
      return `Ran out ${wall?.keep?.what === 'hours' && wall.until ? `at ${timeOfDay(wall.until, reader)}` : 'at the end of'} ${dayName(wall?.lastDay ?? '', reader)}. ${setBy(standing)}.`
    case 'time up':
      return timeUp
        ? `Out since ${clock(timeUp.since, reader)}: its time without cold ended at ${clock(timeUp.at, reader)}.`
        : ''
    case 'its own clock':
      return timeUp
        ? `Out since ${clock(timeUp.since, reader)}. It is thrown away at ${clock(timeUp.at, reader)}, and does not go back into the cold.`
        : ''
    case 'hot holding':
      return standing.hot ? hotSentence(standing.hot, reader) : ''
    case 'exposure':
      return exposureSentence(advice.kind, standing, reader)
    case 'held':
      return `Held: ${item.holds.findLast(({ void: gone }) => !gone)?.value.reason ?? ''}`
    case 'recalled':
      return `Called back: ${item.holds.findLast(({ void: gone }) => !gone)?.value.reason ?? ''}`
    case 'still cooling':
      return 'Nobody has read it cold yet: read its core.'
    case 'thawing':
      return `Its freezer is too warm: read its core. Over ${degrees(0, reader).replace('.0', '')} its date clock runs again.`
    case 'went out':
      return wentOutSentence(item, reader)
    case 'setting':
      return item.ready === null ? '' : `Set from ${clock(item.ready, reader)} on. That is quality, not safety.`
    default:
      return asks === 'frozen'
        ? `Its date clock stopped. ${daysWord(standing.walls[0]?.daysLeft ?? 0)} left once it thaws.`
        : `Its date comes from: ${setBy(standing)}.`
  }
}

/** Where it went although something stood against that, one after the other. */
function wentOutSentence(item: ItemState, reader: Reader): string {
  const out = wentOutOf(item).map(({ at, value }) => {
    const { measure } = value
    const where = 'part' in value ? 'into a batch' : 'then' in value ? String(value.then) : 'out'
    return `${measureWords(measure)} ${where} at ${timeOfDay(at, reader)} ${dayName(dayOf(at, reader.zone), reader)}`
  })
  return `It went out against a hold or a limit: ${out.join('; ')}. The lead answers for it.`
}

/** How hot it was read, and what the hot line asks. */
function hotSentence({ asks, level, read, by, reheating }: HotCheck, reader: Reader): string {
  const line = levelDegrees(level, reader)
  const was = read
    ? `Read at ${degrees(read.celsius, reader, 'reach')} at ${clock(read.at, reader)}, under ${line}.`
    : ''
  const floor = reheating ? reheatWords(reheating, reader) : ''
  switch (asks) {
    case 'reheat':
      if (reheating?.again) {
        const { from, to } = reheating.again
        return `Hot enough: keep it so and read it again from ${clockWithSeconds(from, reader)} to ${clockWithSeconds(to, reader)}.`
      }
      return `It was cold: heat it to ${floor}${by === null ? '' : ` before ${clock(by, reader)}`}, then hold it hot.`
    case 'read it':
      return `Read its core: held hot it stays at ${line} or over.`
    case 'use now':
      return `${was} Use it before ${by === null ? '' : clock(by, reader)}, once, or bin it.`
    case 'lead decides':
      if (reheating?.doneAt === null) return `It was cold and was not read at ${floor} in time. The lead decides.`
      return `${was} The lead decides: through the heat again at once, or into the bin.`
    case 'discard':
      return `${was} The one period under it is over. Bin it.`
    default:
      return `Held hot at ${line} or over.`
  }
}

/** '74° for 15 s, by two readings,', '63°'. */
function reheatWords({ rows }: Reheating, reader: Reader): string {
  const [row] = rows
  if (!row) return ''
  const held = row.seconds === 0 ? '' : ` for ${span(row.seconds * 1000)}, by two readings,`
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
  const weighed = measureWords({ value: Math.round(grams), unit: 'g' })
  const mass = assumed ? `each, taken as ${weighed},` : weighed
  return `Thermal lag, which proves nothing: the core of ${mass} at ${was}, left in ${is}, passes ${line} between about ${clock(earliest, reader)} and ${until}.`
}

function exposureSentence(kind: AdviceKind, { exposure: { time }, advice }: ItemStanding, reader: Reader): string {
  const known =
    time.least === time.most
      ? `Above its limit for ${span(time.most)}.`
      : `Above its limit for ${time.least > 0 ? `at least ${span(time.least)}, ` : ''}at most ${span(time.most)}.`
  const by = advice.by === null ? '' : ` before ${clock(advice.by, reader)}`
  const then: Record<AdviceKind, string> = {
    nothing: '',
    'chill again': `Another unit${by}.`,
    'use now': `Use it now${by}, or chill it no more.`,
    'read it':
      time.likely === 0
        ? 'Nobody looked at its unit for too long: read its core.'
        : 'Air alone does not condemn it: read its core.',
    'lead decides': 'The rule set gives no time: the lead decides.',
    discard: 'Bin it.',
  }
  return `${then[kind]} ${known}`
}

/** What sets the date: 'Pouring custard 281-4', 'The house', 'The law', 'Its use-by'. */
export function setBy({ walls: [wall] }: Pick<ItemStanding, 'walls'>): string {
  if (!wall) return 'Nothing'
  if (wall.keep) return keepWords(wall.keep)
  return wall.ruledBy === 'useBy' ? "The maker's use-by" : wall.ruledBy
}

/** 'House rule: 3 days', 'Law: 7 days', 'Once opened: 3 days, house rule'. */
export function keepWords({ what, count, force }: Keep): string {
  const who = force === 'law' ? 'Law' : force === 'house' ? 'House rule' : 'Guidance'
  if (what === 'hours') return `${who}: ${count} h from combining`
  return what === 'once opened' ? `Once opened: ${daysWord(count)}, ${who.toLowerCase()}` : `${who}: ${daysWord(count)}`
}

export function daysWord(count: number): string {
  return count === 1 ? '1 day' : `${count} days`
}

/** How much time an item has: '3 h', '2 days'; what stands for it where no clock runs. */
export function leftWords(
  { asks, until, daysLeft, walls }: ItemStanding,
  now: Instant,
): { big: string; small: string } {
  const thawed = walls[0]?.daysLeft ?? 0
  if (asks === 'frozen') return { big: String(thawed), small: `${thawed === 1 ? 'day' : 'days'} once it thaws` }
  if (until === null) return { big: '–', small: 'no date' }
  const ms = until - now
  if (ms <= 0) return { big: span(ms), small: 'past' }
  const hours = ms / 3_600_000
  if (hours < 24 || daysLeft === null || daysLeft <= 1) {
    return hours < 2
      ? { big: String(Math.floor(ms / 60_000)), small: 'min' }
      : { big: String(Math.floor(hours)), small: 'h' }
  }
  return { big: String(daysLeft), small: 'days, with today' }
}

/** What a part brings along: its time above the limit where it has some, else what sets its date. */
export function partSentence(standing: Pick<ItemStanding, 'exposure' | 'walls'>): string {
  const { most } = standing.exposure.time
  return most > 0 ? `above its limit for up to ${span(most)}, which goes along` : setBy(standing)
}

const LINEAGE: Record<LineageBar['why'], string> = {
  held: 'held',
  discarded: 'thrown away',
  recalled: 'called back',
  'law missed': 'past a law that it missed',
  'not proven': 'not proven',
  'lot not accepted': 'not accepted',
}

/** What an item was made of holds it: which, and why. */
export function barSentence({ code, why }: Pick<LineageBar, 'code' | 'why'>): string {
  return `${code} is in it, however far back, and is ${LINEAGE[why]}.`
}

/** Why some of an item may not go there, and what to do. */
export function partShutSentence(why: PartShut, reader: Reader): string {
  switch (why.code) {
    case 'to discard':
      return why.why === 'undated' ? 'it has no date. Bin it.' : 'its time is up. Bin it.'
    case 'held':
      return 'it is held. The lead decides first.'
    case 'asks first':
      return why.asks === 'read it'
        ? 'read its core first.'
        : 'it was too warm for too long to say. The lead decides first.'
    case 'frozen':
      return 'it is frozen. Thaw it first.'
    case 'not proven':
      return `${why.batch} is not proven and not released. The lead decides first.`
    case 'lot not accepted':
      return `lot ${why.lot} is held or called back. The lead decides first.`
    case 'lineage':
      return `${why.of}, which it was made of, is ${LINEAGE[why.what]}. The lead decides first.`
    case 'too warm':
      return `at ${degrees(why.celsius, reader, 'under')} it is over ${limitDegreesOf(why.level, reader, 'under')}. Chill it first, or say that it is poured warm.`
    case 'out for good':
      return 'it went out to the guests or into the hot well: it is served from there.'
    case 'raw egg unheated':
      return 'it is raw egg, and no step heats it. Take a pasteurized one.'
    case 'fruit not treated':
      return 'nothing is known that was done against viruses. Boil it for a minute first.'
    case 'not looked at':
      return 'look at it again: good, or not.'
    case 'looked bad':
      return 'it did not look good. It does not go in.'
    case 'more than is left':
      return `only ${measureWords(why.left)} are left.`
  }
}

export function moveShutSentence(why: MoveShut): string {
  const words: Record<MoveShut, string> = {
    'went out for good': 'it went out with time as its only control. It does not go back into the cold.',
    'not a freezer': 'freezing needs a freezer.',
    'frozen already': 'it is frozen. Thaw it first.',
    'not frozen': 'it is not frozen.',
    'thaws in the cold': 'it thaws in a refrigerator.',
    'not a hot well': 'hot holding needs a hot well.',
    'went hot for good': 'it is held hot: it is served from there, and the rest goes into the bin.',
    'out is no unit': 'out on the bench is in no unit.',
    'no unit': 'say into which unit.',
    'not a cold unit': 'it needs a cold unit.',
    'that is freezing': 'into a freezer is freezing it. Say so: its clock stops.',
    'that is thawing': 'out of the freezer is thawing it. Say so: its clock runs on.',
  }
  return words[why]
}

/** What is the matter with a lot at the door. */
export function receivingSentence(why: ReceivingReason, reader: Reader): string {
  switch (why.code) {
    case 'too warm':
      return `At ${degrees(why.celsius, reader, 'under')} it is over ${levelDegrees(why.level, reader)}: refuse it. ${why.level.limit.source.document}, ${why.level.limit.source.section}.`
    case 'milk by its law':
      return `At ${degrees(why.celsius, reader, 'under')} it is over ${levelDegrees(why.level, reader)}. Milk may come up to ${levelDegrees(why.own, reader)} where a law of its own sets that: hold it, the lead knows. ${why.own.limit.source.document}, ${why.own.limit.source.section}.`
    case 'not read':
      return `Its temperature was not read: hold it, or read it. ${levelDegrees(why.level, reader)} or under.`
    case 'past its best':
      return `Best before ${dayName(why.bestBefore, reader)} is past: how good it is, not whether it may be used. Look at it.`
    case 'past its day':
      return `Its use-by was ${dayName(why.useBy, reader)}: refuse it.`
    case 'no use-by':
      return 'No use-by stands on it: hold it until the lead dates it.'
    case 'no scheme':
      return 'For susceptible people the eggs name an assurance scheme: hold it.'
    case 'fruit not treated':
      return 'Frozen fruit with no treatment known: hold it, it is boiled before it goes in.'
    case 'looks bad':
      return `It does not look good${why.why ? `: ${why.why}` : ''}. Refuse it.`
    case 'not looked at':
      return 'Herbs, fruit and nuts are looked at: good, or not.'
  }
}
