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
import { speaker, type Spoken } from './catalogue/say'
import { findingsMessages } from './catalogue/findings'

const say = speaker(findingsMessages)

/** What a check asks as it stands: the row that closed it, the clock time that is known: '68° for 17 s', '21° by 15:02'. */
export function checkTitle({ check, deadline, because }: Finding, reader: Reader): string {
  const { rule } = check.limit
  if (rule.kind === 'hold' && 'row' in because) {
    const row = rule.rows.find(({ seconds }) => seconds === because.row.seconds)
    if (row) return `${limitDegrees(row.at, check.unit, reader, 'reach')} ${held(row.seconds, reader)}`
  }
  if (rule.kind === 'reach' && deadline !== null) {
    return say(reader, 'byDegreesTime', {
      degrees: limitDegrees(rule.to, check.unit, reader, 'under'),
      time: clock(deadline, reader),
    })
  }
  if (rule.kind === 'days' && 'lastDay' in because)
    return say(reader, 'binAtEnd', { day: dayName(because.lastDay, reader) })
  if (rule.kind === 'no number') return lineName(check.limit.key, reader)
  return limitTitle(check, reader)
}

/** Why it stands as it does, in one sentence. */
export function findingSentence({ check, because, deadline }: Finding, reader: Reader): string {
  switch (because.code) {
    case 'nothing read':
      return because.waitingFor === 'combined'
        ? say(reader, 'countsFromWhenEverything')
        : say(reader, 'nothingReadMixtureYet')
    case 'reached':
      return say(reader, 'atDegreesTime', {
        degrees: degrees(because.celsius, reader),
        time: clockWithSeconds(because.at, reader),
      })
    case 'held':
      return say(reader, 'betweenReadings', {
        degrees: degrees(because.lowest, reader),
        degrees2: degrees(because.highest, reader),
        span: span(because.heldMs, reader),
      })
    case 'not there yet':
      return say(reader, 'atNotThereYet', {
        degrees: degrees(because.celsius, reader),
        time: clockWithSeconds(because.at, reader),
      })
    case 'baked as validated':
      return say(reader, 'minOvenToldAs', { minutes: because.minutes, bakeWords: bakeWords(because.bake, reader) })
    case 'holding':
      return because.moreMs > 0
        ? say(reader, 'moreIfStaysThere', {
            degrees: degrees(because.celsius, reader),
            // A clock time: what counts down stands beside it, and cannot say another number.
            time: clockWithSeconds(because.since + because.row.seconds * 1000, reader),
          })
        : say(reader, 'readAgainProve', { degrees: degrees(because.celsius, reader) })
    case 'closed too cold':
      return say(reader, 'cameOffHeatToo', { degrees: degrees(because.highest, reader) })
    case 'closed unread':
      return because.unread
        ? say(reader, 'unreadBetweenAtMost', {
            degrees: limitDegreesOf(because.unread.row.celsius, reader),
            span: held(because.unread.row.seconds, reader),
            span2: span(because.unread.ms, reader),
            span3: span(because.unread.atMostMs, reader),
          })
        : say(reader, 'cameOffHeatWithout', { degrees: degrees(because.highest, reader) })
    case 'never read':
      if (check.limit.force === 'quality') return say(reader, 'notReadItsCore')
      return say(reader, 'nobodyReadItsCore')
    case 'pans unread':
      return because.needed < because.of
        ? say(reader, 'piecesReadStandFor', { read: because.read, needed: because.needed, of: because.of })
        : say(reader, 'readReadOthersOr', { read: because.read, of: because.of })
    case 'missed before it was accepted':
      return say(reader, 'missedByWhatKnown')
    case 'on the heat':
      return check.limit.rule.kind === 'reach' && check.limit.rule.clock === 'event'
        ? say(reader, 'clockStartsWhenPut')
        : say(reader, 'clockStartsWhenFalls')
    case 'cooling':
      return say(reader, 'atDegreesTime', {
        degrees: degrees(because.celsius, reader, 'under'),
        time: clock(because.at, reader),
      })
    case 'not cooling yet':
      return say(reader, 'stillAtClockMay', {
        degrees: degrees(because.celsius, reader, 'under'),
        time: clock(because.at, reader),
      })
    case 'in time':
      return say(reader, 'atSpare', {
        degrees: degrees(because.celsius, reader, 'under'),
        time: clock(because.at, reader),
        span: span(because.spareMs, reader),
      })
    case 'read too warm':
      return say(reader, 'atAfterTimeUp', {
        degrees: degrees(because.celsius, reader, 'under'),
        time: clock(because.at, reader),
      })
    case 'somewhere between': {
      const { limit } = check
      const to = limit.rule.kind === 'reach' ? degrees(stageOf(check.key, limit.rule, check).to, reader, 'under') : ''
      const from = because.from === null ? '' : say(reader, 'andTime', { time: clock(because.from, reader) })
      return say(reader, 'passedSomewhereBetweenNobody', { to, from, time: clock(because.to, reader) })
    }
    case 'not read in time':
      return say(reader, 'atNothingReadBy', {
        degrees: degrees(because.celsius, reader, 'under'),
        time: clock(because.at, reader),
        time2: deadline === null ? null : clock(deadline, reader),
        hasDeadline: deadline !== null,
      })
    case 'start not read':
      return say(reader, 'nobodyReadWhenBegan')
    case 'accrued': {
      const { least, likely } = because.minutes
      const more = because.target - least
      if (more <= 0)
        return say(reader, 'worthAtLeastNeeded', {
          span: minutesSpan(least, reader),
          span2: minutesSpan(because.target, reader),
        })
      return say(reader, 'worthForCertainLikely', {
        span: minutesSpan(least, reader),
        span2: minutesSpan(likely, reader),
        span3: minutesSpan(because.target, reader),
      })
    }
    case 'not there to stay':
      return say(reader, 'countsFromFirstReading')
    case 'stayed':
      return say(reader, 'furthestReadAt', {
        degrees: degrees(because.worst, reader, 'under'),
        time: clock(because.at, reader),
      })
    case 'passed':
      return say(reader, 'atPastLimit', {
        degrees: degrees(because.celsius, reader, 'under'),
        time: clock(because.at, reader),
      })
    case 'passed within grace':
      return say(reader, 'atAllowedUntilOne', {
        degrees: degrees(because.celsius, reader, 'under'),
        time: clock(because.at, reader),
        time2: because.until === null ? null : clock(because.until, reader),
        hasUntil: because.until !== null,
      })
    case 'passed perhaps too long':
      return say(reader, 'atNobodyCanSay', {
        degrees: degrees(because.celsius, reader, 'under'),
        time: clock(because.at, reader),
      })
    case 'exposed':
      return say(reader, 'bandForCertainAt', {
        span: span(because.time.least, reader),
        span2: span(because.time.most, reader),
        then: because.then,
      })
    case 'in date':
      return say(reader, 'dayOf', { day: because.day, days: because.days })
    case 'out of date':
      return say(reader, 'itsLastDayDay', { day: dayName(because.lastDay, reader), days: because.days })
    case 'in time to use':
      return say(reader, 'usableUntilFromWhen', {
        time: clock(because.until, reader),
        span: span(because.hours * 3_600_000, reader),
      })
    case 'past its hours':
      return say(reader, 'itsEndedAt', {
        span: span(because.hours * 3_600_000, reader),
        time: clock(because.until, reader),
      })
    case 'no lot named':
      return say(reader, 'noPasteurizedLotNamed')
    case 'pasteurized lots':
      return because.lots === 1
        ? say(reader, 'fromOnePasteurizedLot')
        : say(reader, 'fromPasteurizedLots', { lots: because.lots })
    case 'shell egg used':
      return say(reader, 'shellEggWentAt', { time: clock(because.at, reader) })
    case 'no number':
      return say(reader, 'ruleSetSetsNo')
    case 'doubtful':
      return because.doubts.map((doubt) => doubtSentence(doubt, reader)).join(' ')
  }
}

/** The same in as few words as a row of the Line holds. */
export function findingInShort(finding: Finding, reader: Reader): string {
  const { because, check } = finding
  if (because.code === 'somewhere between')
    return say(reader, 'passedUnreadBefore', { gateName: gateName(check, reader), time: clock(because.to, reader) })
  if (because.code === 'read too warm') {
    return say(reader, 'atLimit', {
      degrees: degrees(because.celsius, reader, 'under'),
      time: clock(because.at, reader),
      gateName: gateName(check, reader),
    })
  }
  return findingSentence(finding, reader)
}

export function standingWord(key: Standing, reader: Spoken): string {
  return say(reader, `standing_${key}`)
}

function doubtSentence(doubt: Doubt, reader: Spoken): string {
  switch (doubt) {
    case 'late':
      return say(reader, 'provenOnlyByWhat')
    case 'which pan':
      return say(reader, 'provenOnlyByReading')
    case 'no instrument':
      return say(reader, 'provenOnlyByReadingWithout')
    case 'unchecked':
      return say(reader, 'provenOnlyUnchecked')
    case 'lapsed':
      return say(reader, 'provenOnlyLapsed')
    case 'failed':
      return say(reader, 'provenOnlyFailed')
    case 'too fast':
      return say(reader, 'provenOnlyByReadingNo')
    case 'hot spot':
      return say(reader, 'whatReadRightAfter')
    case 'other unit':
      return say(reader, 'provenOnlyByReadingLooks')
    case 'contested':
      return say(reader, 'contradicted')
  }
}

/** What a held pot asks for once its next reading is due. */
export function readAgainWords(proves: boolean, reader: Spoken): string {
  return proves ? say(reader, 'readAgainProve2') : say(reader, 'readNowHoldGoes')
}
