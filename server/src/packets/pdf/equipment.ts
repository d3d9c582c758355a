import type { Instant, InstrumentKind, Typed } from '@logged-thermal/core'
import { dayAndTime, errorWords, packetMessages, speaker, type Reader } from '@logged-thermal/wording'
import type { Paper } from '../../records/pdf/paper'

const say = speaker(packetMessages)

export interface EquipmentAsked {
  reader: Reader
  checks: { code: string; kind: InstrumentKind; at: Instant; by: string; passed: boolean; error: number }[]
  air: { unit: string; at: Instant; by: string; typed: Typed }[]
}

/** With what it was read, and where it was kept: every check of an instrument and every reading of a unit, in order. */
export function drawEquipment(paper: Paper, { checks, air, reader }: EquipmentAsked): void {
  paper.part(say(reader, 'equipment'))
  paper.heading(1, say(reader, 'equipment'))
  paper.rule()
  paper.heading(2, say(reader, 'checks'))
  paper.tableOr(
    say(reader, 'checksNone'),
    [
      { title: say(reader, 'time'), share: 20 },
      { title: say(reader, 'instrument'), share: 15 },
      { title: say(reader, 'found'), share: 40 },
      { title: say(reader, 'by'), share: 25 },
    ],
    checks.map(({ code, kind, at, by, passed, error }) => ({
      cells: [
        { text: dayAndTime(at, reader) },
        { text: code, bold: true },
        {
          text: say(reader, passed ? 'passed' : 'failed', { error: errorWords(kind, error, reader) }),
          bold: !passed,
        },
        { text: by },
      ],
    })),
  )
  paper.heading(2, say(reader, 'air'))
  paper.tableOr(
    say(reader, 'airNone'),
    [
      { title: say(reader, 'time'), share: 20 },
      { title: say(reader, 'unit'), share: 40 },
      { title: say(reader, 'read'), share: 15 },
      { title: say(reader, 'by'), share: 25 },
    ],
    air.map(({ unit, at, by, typed }) => ({
      cells: [
        { text: dayAndTime(at, reader) },
        { text: unit, bold: true },
        { text: `${typed.value.toFixed(1)}°${typed.unit}` },
        { text: by },
      ],
    })),
  )
}
