import { stageOf, type Check, type Doubt, type Finding, type Standing } from '@logged-thermal/core'
import { clock, clockWithSeconds, dayName, degrees, limitDegrees, span, type Reader } from './figures'

/** What a check asks as it stands: the row that closed it, the clock time that is known: '68° for 17 s', '21° by 15:02'. */
export function checkTitle({ check, deadline, because }: Finding, reader: Reader): string {
  const { rule } = check.limit
  if (rule.kind === 'hold' && 'row' in because) {
    const row = rule.rows.find(({ seconds }) => seconds === because.row.seconds)
    if (row) return `${limitDegrees(row.at, check.unit, reader, 'reach')} ${hold(row.seconds)}`
  }
  if (rule.kind === 'reach' && deadline !== null) {
    return `${limitDegrees(rule.to, check.unit, reader, 'under')} by ${clock(deadline, reader)}`
  }
  if (rule.kind === 'days' && 'lastDay' in because) return `Bin at the end of ${dayName(because.lastDay)}`
  return limitTitle(check, reader)
}

/** What a check asks before anything happened: '68° for 17 s, or 70° at once', '21° within 2 h of 57°'. */
export function limitTitle({ limit: { rule, force }, unit }: Check, reader: Reader): string {
  switch (rule.kind) {
    case 'hold':
      return rule.rows
        .map(({ at, seconds }) => `${limitDegrees(at, unit, reader, 'reach')} ${hold(seconds)}`)
        .slice(-2)
        .join(', or ')
    case 'reach': {
      const [to, from] = [
        limitDegrees(rule.to, unit, reader, 'under'),
        limitDegrees(rule.clock.crossing, unit, reader, 'reach'),
      ]
      return `${to} within ${rule.withinMinutes / 60} h of ${from}`
    }
    case 'stay':
      return `Stay at ${limitDegrees(rule.level, unit, reader, 'under')} or under`
    case 'days':
      return `Keep ${rule.days} days${force === 'law' ? ' at most' : ''}, the first being the day it is made`
    case 'no number':
      return 'No number in this rule set'
  }
}

/** The gate's short name on the ribbon: '68°', '21°', '5°'. */
export function gateName(check: Check, reader: Reader): string {
  const { rule } = check.limit
  if (rule.kind === 'reach') return limitDegrees(rule.to, check.unit, reader, 'under')
  if (rule.kind === 'stay') return limitDegrees(rule.level, check.unit, reader, 'under')
  if (rule.kind !== 'hold') return ''
  const lowestShort = rule.rows.findLast(({ seconds }) => seconds > 0) ?? rule.rows[0]!
  return limitDegrees(lowestShort.at, check.unit, reader, 'reach')
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
    case 'holding':
      return because.moreMs > 0
        ? `${degrees(because.celsius, reader)}: ${span(because.moreMs)} more if it stays there, then read again to prove it.`
        : `${degrees(because.celsius, reader)}: read again to prove it.`
    case 'closed too cold':
      return `Came off the heat too soon. Highest read ${degrees(because.highest, reader)}.`
    case 'closed unread':
      return `Came off the heat without a reading that proves it. Highest read ${degrees(because.highest, reader)}.`
    case 'on the heat':
      return 'The clock starts when it falls below the start after the heat.'
    case 'cooling':
      return `${degrees(because.celsius, reader, 'under')} at ${clock(because.at, reader)}.`
    case 'not cooling yet':
      return `Still ${degrees(because.celsius, reader, 'under')} at ${clock(because.at, reader)}; the clock may have started then.`
    case 'in time':
      return `${degrees(because.celsius, reader, 'under')} at ${clock(because.at, reader)}, ${span(because.spareMs)} to spare.`
    case 'read too warm':
      return `${degrees(because.celsius, reader, 'under')} at ${clock(because.at, reader)}, after the time was up.`
    case 'somewhere between': {
      const { limit, unit } = check
      const to = limit.rule.kind === 'reach' ? degrees(stageOf(check.key, limit.rule, unit).to, reader, 'under') : ''
      const from = because.from === null ? '' : `${clock(because.from, reader)} and `
      return `It passed ${to} somewhere between ${from}${clock(because.to, reader)}. Nobody can say it was in time.`
    }
    case 'not read in time':
      return `${degrees(because.celsius, reader, 'under')} at ${clock(because.at, reader)}, and nothing read${
        deadline === null ? ' since' : ` by ${clock(deadline, reader)}`
      }.`
    case 'start not read':
      return 'Nobody read when it began to cool, so no later reading can prove it was in time.'
    case 'not under yet':
      return 'Counts from the first reading at the limit.'
    case 'stayed under':
      return `Highest read ${degrees(because.highest, reader, 'under')} at ${clock(because.at, reader)}.`
    case 'went over':
      return `${degrees(because.celsius, reader, 'under')} at ${clock(because.at, reader)}, over the limit.`
    case 'in date':
      return `Day ${because.day} of ${because.days}.`
    case 'out of date':
      return `Its last day was ${dayName(because.lastDay)}, day ${because.days}.`
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

/** Where the limit is from: 'FDA Food Code 2022, 3-401.11(A)(2)'. */
export function sourceLine({ limit }: Check): string {
  const { document, edition, section } = limit.source
  return `${document} ${edition}, ${section} · ${limit.force}`
}

export const standingWord: Record<Standing, string> = {
  open: 'Running',
  proven: 'Proven',
  unproven: 'Not proven',
  missed: 'Missed',
}

function doubtSentence(doubt: Doubt): string {
  return doubt === 'late'
    ? 'Proven only by a reading entered more than 15 min after it was taken.'
    : 'Proven only by a reading without an instrument.'
}

function hold(seconds: number): string {
  return seconds === 0 ? 'at once' : `for ${span(seconds * 1000)}`
}
