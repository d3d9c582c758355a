import type { BackShut, FitnessRule, Symptom } from '@logged-thermal/core'
import { fitnessMessages } from './catalogue/fitness'
import { speaker } from './catalogue/say'
import { clock, type Reader } from './figures'

const say = speaker(fitnessMessages)

/** Why somebody may not come back to open food yet. */
export function fitnessShut(shut: BackShut, reader: Reader): string {
  switch (shut.code) {
    case 'not free of it':
      return say(reader, 'shut_still')
    case 'too soon':
      return say(reader, 'shut_soon', { time: clock(shut.from, reader) })
    case 'no paper':
      return shut.of.includes('authority') ? say(reader, 'shut_authority') : say(reader, 'shut_doctor')
    case 'not covered':
      return say(reader, 'shut_covered')
  }
}

/** Until when one symptom keeps somebody from food: 'Vomiting: until 48 hours free of it.' */
export function fitnessUntil(symptom: Symptom, { until }: FitnessRule, reader: Reader): string {
  const what = say(reader, `short_${symptom}`)
  switch (until.when) {
    case 'free of it':
      return say(reader, 'until_free', { symptom: what, hours: until.hours })
    case 'doctor':
      return say(reader, 'until_doctor', { symptom: what })
    case 'authority':
      return say(reader, 'until_authority', { symptom: what })
    case 'covered':
      return say(reader, 'until_covered', { symptom: what })
  }
}

/** The document that a rule of fitness is printed in, or that the house's stands. */
export function fitnessSource({ source }: FitnessRule, reader: Reader): string {
  if (!source) return say(reader, 'houseRule')
  const named = `${source.document} ${source.edition}, ${source.section}`
  return source.confidence === 'high' ? named : say(reader, 'sourceMedium', { source: named })
}
