import {
  CORE_VERSION,
  dayOf,
  type Instant,
  type Otherwise,
  type ProofCaution,
  type ProofFault,
  type ProofFound,
  type Standing,
} from '@logged-thermal/core'
import { proofMessages } from './catalogue/proof'
import { speaker } from './catalogue/say'
import { standingWord } from './findingWords'
import { fullDate, timeOfDay, type Reader } from './figures'

const say = speaker(proofMessages)

/** What does not hold, with its line: 'Line 9: entry 5 is not the text that was sealed.' */
export function proofFaultSentence(fault: ProofFault, reader: Reader): string {
  return say(reader, 'atLine', { line: fault.line, what: faultOf(fault, reader) })
}

function faultOf(fault: ProofFault, reader: Reader): string {
  switch (fault.code) {
    case 'no proof file':
      return say(reader, 'fault_noProof')
    case 'unknown form':
      return say(reader, 'fault_unknownForm')
    case 'unreadable line':
      return say(reader, 'fault_unreadable')
    case 'line out of place':
      return say(reader, 'fault_outOfPlace')
    case 'altered':
      return say(reader, 'fault_altered', { seq: fault.seq })
    case 'out of order':
      return say(reader, 'fault_order', { seq: fault.seq, found: fault.found })
    case 'broken link':
      return say(reader, 'fault_link', { seq: fault.seq })
    case 'other kitchen':
      return say(reader, 'fault_kitchen', { seq: fault.seq })
    case 'left out wrongly':
      return say(reader, 'fault_left', { seq: fault.seq })
    case 'signed otherwise':
      return say(reader, 'fault_signed', { seq: fault.seq })
    case 'not signed so':
      return say(reader, 'fault_notSigned')
    case 'nothing signed':
      return say(reader, 'fault_nothing')
    case 'tail cut':
      return say(reader, 'fault_tailCut', { seq: fault.seq })
    case 'tail not signed':
      return say(reader, 'fault_tailOpen', { seq: fault.seq })
    case 'broken off':
      return say(reader, 'fault_broken')
    case 'judged otherwise':
      return say(reader, 'fault_judged', {
        seq: fault.seq,
        batch: fault.batch,
        said: standings(fault.said, reader),
        found: standings(fault.found, reader),
      })
  }
}

/** What whoever checks should know, and that proves no change. */
export function proofCautionSentence(caution: ProofCaution, reader: Reader): string {
  switch (caution.code) {
    case 'key not introduced':
      return say(reader, 'caution_key', { key: caution.key })
    case 'recorded earlier':
      return say(reader, 'caution_earlier', { seq: caution.seq })
    case 'other zone':
      return say(reader, 'caution_zone', { seq: caution.seq })
    case 'not read':
      return say(reader, 'caution_unread', { seq: caution.seq })
    case 'other version': {
      const { seq, core, batch } = caution
      return say(reader, 'caution_version', {
        seq,
        core,
        batch,
        own: CORE_VERSION,
        said: standings(caution.said, reader),
        found: standings(caution.found, reader),
      })
    }
  }
}

/** What was found of a file that holds, a sentence each; the first says how much of the logbook it is. */
export function proofSentences(found: ProofFound, reader: Reader): string[] {
  const { header, shown, left, head, signed, judged, unjudged, batches } = found
  const all = left === 0 ? say(reader, 'shownAll', { count: shown }) : say(reader, 'shownSome', { shown, left })
  const ofHead = head ? [say(reader, 'headAt', { seq: head.seq, time: when(head.time, reader) })] : []
  const made = header ? [say(reader, 'ofKitchen', { kitchen: header.called, time: when(header.made, reader) })] : []
  return [
    ...made,
    all,
    [...ofHead, say(reader, 'headsMet', { count: signed })].join(' '),
    say(reader, 'judgedAgain', { count: judged }),
    ...(unjudged > 0 ? [say(reader, 'unjudged', { count: unjudged })] : []),
    ...(batches.length > 1 ? [batchesSentence(batches, reader)] : []),
    ...(batches.length > 0 && left > 0 ? [say(reader, 'onlyShown')] : []),
  ]
}

function batchesSentence(batches: ProofFound['batches'], reader: Reader): string {
  const { proven, unproven, missed, open } = counted(batches)
  return say(reader, 'batchesStand', { count: batches.length, proven, unproven, missed, open })
}

function counted(batches: ProofFound['batches']): Record<Standing, number> {
  const counts = { open: 0, proven: 0, unproven: 0, missed: 0 }
  for (const { standing } of batches) counts[standing]++
  return counts
}

function when(at: Instant, reader: Reader): string {
  return `${fullDate(dayOf(at, reader.zone), reader)} ${timeOfDay(at, reader)}`
}

function standings(stood: Otherwise['found'], reader: Reader): string {
  if (stood === null) return say(reader, 'nothingOf')
  if (typeof stood === 'string') return standingWord(stood, reader).toLowerCase()
  return stood.map(({ check, standing }) => `${check} ${standingWord(standing, reader).toLowerCase()}`).join(', ')
}
