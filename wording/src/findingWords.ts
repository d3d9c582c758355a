import { stageOf, type Doubt, type Finding, type Standing } from '@logged-thermal/core'
import {
  clock,
  clockWithSeconds,
  dayName,
  degrees,
  limitDegrees,
  limitDegreesOf,
  minutesSpan,
  span,
  type Reader,
} from './figures'
import { bakeWords, gateName, held, limitTitle, lineName } from './limitWords'

/** What a check asks as it stands: the row that closed it, the clock time that is known: '68° for 17 s', '21° by 15:02'. */
export function checkTitle({ check, deadline, because }: Finding, reader: Reader): string {
  const { rule } = check.limit
  if (rule.kind === 'hold' && 'row' in because) {
    const row = rule.rows.find(({ seconds }) => seconds === because.row.seconds)
    if (row) return `${limitDegrees(row.at, check.unit, reader, 'reach')} ${held(row.seconds)}`
  }
  if (rule.kind === 'reach' && deadline !== null) {
    return `${limitDegrees(rule.to, check.unit, reader, 'under')} by ${clock(deadline, reader)}`
  }
  if (rule.kind === 'days' && 'lastDay' in because) return `Bin at the end of ${dayName(because.lastDay, reader)}`
  if (rule.kind === 'no number') return lineName(check.limit.key)
  return limitTitle(check, reader)
}

/** Why it stands as it does, in one sentence. */
export function findingSentence({ check, because, deadline }: Finding, reader: Reader): string {
  switch (because.code) {
    case 'nothing read':
      return because.waitingFor === 'combined'
        ? 'Counts from when everything is combined. Milk readings are not the mixture.'
        : 'Nothing read of the mixture yet.'
    case 'reached':
      return `${degrees(because.celsius, reader)} at ${clockWithSeconds(because.at, reader)}.`
    case 'held':
      return `${degrees(because.lowest, reader)} to ${degrees(because.highest, reader)}, ${span(because.heldMs)} between readings.`
    case 'not there yet':
      return `${degrees(because.celsius, reader)} at ${clockWithSeconds(because.at, reader)}, not there yet.`
    case 'baked as validated':
      return `${because.minutes} min in the oven, told as validated: ${bakeWords(because.bake, reader)}. Not read in the middle.`
    case 'holding':
      return because.moreMs > 0
        ? `${degrees(because.celsius, reader)}: ${span(because.moreMs)} more if it stays there, then read again to prove it.`
        : `${degrees(because.celsius, reader)}: read again to prove it.`
    case 'closed too cold':
      return `Came off the heat too soon. Highest read ${degrees(because.highest, reader)}.`
    case 'closed unread':
      return because.unread
        ? `${limitDegreesOf(because.unread.row.celsius, reader)} ${held(because.unread.row.seconds)}: ${span(because.unread.ms)} unread between; at most ${span(because.unread.atMostMs)} counts.`
        : `Came off the heat without a reading that proves it. Highest read ${degrees(because.highest, reader)}.`
    case 'never read':
      if (check.limit.force === 'quality') return 'Not read in its core.'
      return 'Nobody read its core for longer than it can take. Silence proves nothing: the lead decides.'
    case 'pans unread':
      return because.needed < because.of
        ? `${because.read} of ${because.needed} pieces read that stand for all ${because.of}.`
        : `${because.read} of ${because.of} read. Read the others, or the slowest of them.`
    case 'missed before it was accepted':
      return 'It was missed by what was known in time. With what the lead accepted later it is not proven.'
    case 'on the heat':
      return check.limit.rule.kind === 'reach' && check.limit.rule.clock === 'event'
        ? 'The clock starts when it is put together.'
        : 'The clock starts when it falls below the start after the heat.'
    case 'cooling':
      return `${degrees(because.celsius, reader, 'under')} at ${clock(because.at, reader)}.`
    case 'not cooling yet':
      return `Still ${degrees(because.celsius, reader, 'under')} at ${clock(because.at, reader)}; the clock may have started then.`
    case 'in time':
      return `${degrees(because.celsius, reader, 'under')} at ${clock(because.at, reader)}, ${span(because.spareMs)} to spare.`
    case 'read too warm':
      return `${degrees(because.celsius, reader, 'under')} at ${clock(because.at, reader)}, after the time was up.`
    case 'somewhere between': {
      const { limit } = check
      const to = limit.rule.kind === 'reach' ? degrees(stageOf(check.key, limit.rule, check).to, reader, 'under') : ''
      const from = because.from === null ? '' : `${clock(because.from, reader)} and `
      return `It passed ${to} somewhere between ${from}${clock(because.to, reader)}. Nobody can say it was in time.`
    }
    case 'not read in time':
      return `${degrees(because.celsius, reader, 'under')} at ${clock(because.at, reader)}, and nothing read${
        deadline === null ? ' since' : ` by ${clock(deadline, reader)}`
      }.`
    case 'start not read':
      return 'Nobody read when it began to cool, so no later reading can prove it was in time.'
    case 'accrued': {
      const { least, likely } = because.minutes
      const more = because.target - least
      if (more <= 0) return `Worth ${minutesSpan(least)} at least, of ${minutesSpan(because.target)} needed.`
      return `Worth ${minutesSpan(least)} for certain, ${minutesSpan(likely)} likely, of ${minutesSpan(because.target)} needed.`
    }
    case 'not there to stay':
      return 'Counts from the first reading at the limit.'
    case 'stayed':
      return `Furthest read ${degrees(because.worst, reader, 'under')} at ${clock(because.at, reader)}.`
    case 'passed':
      return `${degrees(because.celsius, reader, 'under')} at ${clock(because.at, reader)}, past the limit.`
    case 'passed within grace':
      return `${degrees(because.celsius, reader, 'under')} at ${clock(because.at, reader)}. ${
        because.until === null
          ? 'One period past the limit, and no other is allowed.'
          : `Allowed until ${clock(because.until, reader)}.`
      }`
    case 'passed perhaps too long':
      return `${degrees(because.celsius, reader, 'under')} at ${clock(because.at, reader)}, and nobody can say it was back in time.`
    case 'exposed':
      return `${span(because.time.least)} in the band for certain, ${span(because.time.most)} at most: ${because.then}.`
    case 'in date':
      return `Day ${because.day} of ${because.days}.`
    case 'out of date':
      return `Its last day was ${dayName(because.lastDay, reader)}, day ${because.days}.`
    case 'in time to use':
      return `Usable until ${clock(because.until, reader)}, ${span(because.hours * 3_600_000)} from when it was combined.`
    case 'past its hours':
      return `Its ${span(because.hours * 3_600_000)} ended at ${clock(because.until, reader)}.`
    case 'no lot named':
      return 'No pasteurized lot is named for egg that no step heats. Without it nothing proves the egg.'
    case 'pasteurized lots':
      return because.lots === 1 ? 'From one pasteurized lot.' : `From ${because.lots} pasteurized lots.`
    case 'shell egg used':
      return `A shell egg went in at ${clock(because.at, reader)}, and no step heats it.`
    case 'no number':
      return 'This rule set sets no number; a house line is needed. It does not pass.'
    case 'doubtful':
      return because.doubts.map(doubtSentence).join(' ')
  }
}

/** The same in as few words as a row of the Line holds. */
export function findingInShort(finding: Finding, reader: Reader): string {
  const { because, check } = finding
  if (because.code === 'somewhere between')
    return `${gateName(check, reader)} passed unread, before ${clock(because.to, reader)}`
  if (because.code === 'read too warm') {
    return `${degrees(because.celsius, reader, 'under')} at ${clock(because.at, reader)}, limit ${gateName(check, reader)}`
  }
  return findingSentence(finding, reader)
}

export const standingWord: Record<Standing, string> = {
  open: 'Running',
  proven: 'Proven',
  unproven: 'Not proven',
  missed: 'Missed',
}

function doubtSentence(doubt: Doubt): string {
  switch (doubt) {
    case 'late':
      return 'Proven only by what was entered too late. It waits for the lead.'
    case 'which pan':
      return 'Proven only by a reading after the split that names no pan.'
    case 'no instrument':
      return 'Proven only by a reading without an instrument.'
    case 'too fast':
      return 'Proven only by a reading that no pan makes so fast. Place the probe anew and read again after a minute.'
    case 'hot spot':
      return 'What was read right after shows that it was hot in one spot only. Stir, and read again.'
    case 'other unit':
      return 'Proven only by a reading that looks like the other of °C and °F. Read again.'
  }
}

/** What a held pot asks for once its next reading is due. */
export function readAgainWords(proves: boolean): string {
  return proves ? 'Read again to prove it' : 'Read it now: the hold goes on'
}
