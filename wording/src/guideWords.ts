import {
  type AcidBy,
  type AcidDocument,
  type AcidKeeping,
  type AcidityResult,
  type CleaningWhy,
  type Cover,
  type EggPart,
  type EggRule,
  type Instant,
  type Instruction,
  type OutOfOrder,
  type Permits,
  type Practice,
  type Rise,
  type StepKind,
  type TemperVerdict,
  type WarmUp,
} from '@logged-thermal/core'
import { clock, degrees, fullDate, limitDegreesOf, span, type Reader } from './figures'
import { stepName } from './methodWords'
import { speaker, type Spoken } from './catalogue/say'
import { guideMessages } from './catalogue/guide'

const say = speaker(guideMessages)

/** What ends a step, as the key says it. */
export function endWord(key: StepKind, reader: Spoken): string {
  return say(reader, `end_${key}`)
}

/** What a key that ends a step says: what joins ends together, and is made once it was read. */
export function markWord(kind: StepKind, edge: 'combined' | 'done', reader: Spoken): string {
  if (kind !== 'combine' && kind !== 'temper') return endWord(kind, reader)
  return edge === 'combined' ? say(reader, 'allCombined') : say(reader, 'itIsMade')
}

/** What begins a step whose time counts from a tap. */
export function beginWord(key: StepKind, reader: Spoken): string | undefined {
  const said = `begin_${key}`
  return said in guideMessages ? say(reader, said as keyof typeof guideMessages) : undefined
}

export function partWord(key: EggPart, reader: Spoken): string {
  return say(reader, `part_${key}`)
}

export function coverWord(key: Cover, reader: Spoken): string {
  return say(reader, `cover_${key}`)
}

export function cleaningWords(why: CleaningWhy, reader: Spoken): { action: string; reason: string } {
  return why === 'raw to cooked'
    ? {
        action: say(reader, 'cleanBeforeYouGo'),
        reason: say(reader, 'handsClothSieveSpatula'),
      }
    : { action: say(reader, 'washYourHands'), reason: say(reader, 'separatedByHandShell') }
}

export function warmUpSentence({ of, mostMs, long, noted }: WarmUp, warmMinutes: number, reader: Reader): string {
  const { scale } = reader
  const what = of === 'mixture' ? say(reader, 'theMixture') : say(reader, 'thePart', { part: of.part })
  return say(reader, 'between55741', { what, isC: scale === 'C', span: span(mostMs, reader), warmMinutes, noted, long })
}

/** The reasons a cook taps for it. */
export function warmUpReasons(reader: Spoken): string[] {
  return [say(reader, 'slowFlame'), say(reader, 'setAside'), say(reader, 'restedOnPurpose')]
}

/** How fast it rises, and when the floor and the ceiling come as it goes. */
export function riseSentence({ likely }: Rise, reader: Reader): string {
  const { scale } = reader
  const perMinute = scale === 'C' ? likely : likely * 1.8
  return say(reader, 'risingMinute', { perMinute: perMinute.toFixed(1) })
}

/** Where the method aims at a step; nothing where it does not say. */
export function targetSentence(target: Instruction['target'], reader: Reader): string {
  const { scale } = reader
  if (!target) return ''
  return scale === 'C'
    ? say(reader, 'aimFor', { c: target.from.c, c2: target.to.c })
    : say(reader, 'aimFor2', { f: target.from.f, f2: target.to.f })
}

/** A length of time that nobody knows to the second: '40 s', '3 min'. */
export function roughSpan(ms: number, reader: Spoken): string {
  const seconds = ms < 20_000 ? Math.round(ms / 1000) : 5 * Math.round(ms / 5000)
  return ms < 90_000
    ? say(reader, 'seconds', { seconds })
    : say(reader, 'minutes', { minutes: Math.round(ms / 60_000) })
}

/** 'about 40 s', 'about 3 min', 'about now'. */
export function aboutSpan(ms: number, reader: Spoken): string {
  return ms < 3_000 ? say(reader, 'aboutNow') : say(reader, 'aboutSpan', { span: roughSpan(ms, reader) })
}

/** Whether pouring is the kill, plainly: it is reckoned, so it never is by itself. */
export function temperSentence({ combined, lowest, short }: TemperVerdict, reader: Reader): string {
  const at = say(reader, 'allCombinedComesAt', { degrees: degrees(combined, reader) })
  if (!lowest) return say(reader, 'noFloorSetHere', { at })
  const row = `${limitDegreesOf(lowest.celsius, reader)}${lowest.seconds > 0 ? say(reader, 'forSpan', { span: span(lowest.seconds * 1000, reader) }) : ''}`
  return short > 0
    ? say(reader, 'notKillStepLowest', { at, row, value: (reader.scale === 'C' ? short : short * 1.8).toFixed(1) })
    : say(reader, 'reckonedReachesButNo', { at, row })
}

export function eggRuleSentence(rule: EggRule, susceptible: boolean, heated: boolean, reader: Spoken): string {
  if (rule === 'pasteurized')
    return susceptible ? say(reader, 'pasteurizedLotsOnlyFor') : say(reader, 'pasteurizedLotsOnlyNo')
  if (rule === 'shell with advisory') return say(reader, 'rawEggServedShell')
  return heated ? say(reader, 'shellOrPasteurizedLater') : say(reader, 'shellOrPasteurized')
}

/** What a written permission is for, and what holds without it. */
export function permitName(key: keyof Permits, reader: Spoken): string {
  return say(reader, `permit_${key}`)
}

export function withoutPermit(key: keyof Permits, reader: Spoken): string {
  return say(reader, `without_${key}`)
}

/** How the house works, in a sentence. */
export function practiceSentence(
  {
    susceptible,
    cleanFirst,
    warmMinutes,
    serveMinutes,
    rewarmings,
    cookChill,
    fruitDays,
    openedDays,
    hotHours,
    freezerAir,
    clock: onClock,
    permits,
  }: Practice,
  reader: Spoken,
): string {
  const held = Object.values(permits).filter((variance) => variance !== null).length
  return [
    susceptible ? say(reader, 'servesHighlySusceptiblePeople') : say(reader, 'servesPublic'),
    cleanFirst ? say(reader, 'nextStepWaitsFor') : say(reader, 'cleanTickAskedFor'),
    say(reader, 'notePastMinOn', { warmMinutes }),
    say(reader, 'minServe', { serveMinutes }),
    ...(cookChill ? [say(reader, 'byCookChillLine')] : []),
    rewarmings === 0 ? say(reader, 'nothingWarmedAgain') : say(reader, 'warmedAgainAtMost', { rewarmings }),
    say(reader, 'openedPackagesDayDays', { openedDays }),
    say(reader, 'untreatedFrozenFruitDay', { fruitDays }),
    say(reader, 'hotFoodH', { hotHours }),
    say(reader, 'freezersAtCOr', { freezerAir }).replace('-', '−'),
    ...(onClock === 12 ? [say(reader, 'n12HClock')] : []),
    held === 0 ? say(reader, 'noWrittenPermission') : say(reader, 'writtenPermissionPermissions', { held }),
  ]
    .join(', ')
    .concat('.')
}

export function fruitNote(reader: Spoken): string {
  return say(reader, 'fruitNote')
}

/** What a label says of alcohol; empty where there is none. */
export function alcoholNote(alcohol: { byVolume: number | null } | undefined, reader: Spoken): string {
  if (!alcohol) return ''
  const { byVolume } = alcohol
  return say(reader, 'alcoholNote', {
    known: byVolume !== null,
    percent: byVolume === null ? '' : (byVolume * 100).toFixed(1),
  })
}

export function advisory(reader: Spoken): string {
  return say(reader, 'advisory')
}

export function pooledNote(reader: Spoken): string {
  return say(reader, 'pooledNote')
}

/** Why a step cannot be marked without a word. */
export function orderSentence(why: OutOfOrder, reader: Reader): string {
  const name = stepName(why.kind, reader)
  switch (why.code) {
    case 'before':
      return say(reader, 'comesFirstNotEnded', { stepName: name })
    case 'left out':
      return say(reader, 'mattersSayWhyLeft', { stepName: name })
    case 'cut short':
      return say(reader, 'endsSoonerSayWhy', { stepName: name, time: clock(why.ready, reader) })
    case 'too long':
      return say(reader, 'endsLaterSayWhy', { stepName: name, time: clock(why.until, reader) })
  }
}

export function aciditySentence(result: AcidityResult, reader: Spoken): string {
  switch (result.control) {
    case 'not needed':
      return say(reader, 'byItsFiguresNeeds')
    case 'assessment':
      return say(reader, 'noRowTableMet')
    case 'needed':
      return {
        'not measured': say(reader, 'notMeasuredNeedsTemperature'),
        'no table': say(reader, 'ruleSetPrintsNo'),
        'not finished': say(reader, 'onlyFinishedCooledProduct'),
        'meter not checked': say(reader, 'meterReadTwoBuffers'),
        'no water activity': say(reader, 'byPhAloneNo'),
      }[result.because]
  }
}

/** What a document of pH does to a batch, or why it does nothing yet. */
export function acidKeepingSentence(keeping: AcidKeeping, reader: Spoken): string {
  if (keeping.holds) {
    const { document, days: loosens, warm } = keeping
    const { issuer, number, days } = document
    return say(reader, 'acidHolds', { issuer, number, days, loosens, warm })
  }
  return {
    'no document': say(reader, 'acidHoldsNoDocument'),
    ended: say(reader, 'acidEnded'),
    'not measured': say(reader, 'acidNotMeasured'),
    'not finished': say(reader, 'acidNotFinished'),
    'changed since': say(reader, 'acidChangedSince'),
    'meter not checked': say(reader, 'acidMeterNotChecked'),
    outside: say(reader, 'acidOutside'),
    raw: say(reader, 'acidRaw'),
  }[keeping.why]
}

/** A document of pH as the lead signs it: 'A product assessment, Hill laboratory 12: pH at most 4.2, 21 days, kept cold.' */
export function acidWords(
  { by, issuer, number, least, most, days, needsCold, validUntil }: AcidDocument,
  reader: Reader,
): string {
  const range = least === null ? say(reader, 'acidAtMost', { most }) : say(reader, 'acidAtEdge', { least, most })
  const day = fullDate(validUntil, reader)
  return say(reader, 'acidWords', { by: acidByWord(by, reader), issuer, number, range, days, needsCold, day })
}

export function acidByWord(by: AcidBy, reader: Spoken): string {
  return say(reader, `acidBy_${by}`)
}

export function serveBySentence(by: Instant, reader: Reader): string {
  return say(reader, 'serveByWhatLeft', { time: clock(by, reader) })
}
