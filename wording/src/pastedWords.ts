import type { Missing } from '@logged-thermal/core'
import { pastedMessages } from './catalogue/pasted'
import { speaker, type Spoken } from './catalogue/say'

const say = speaker(pastedMessages)

/** What a pasted recipe does not say, and what follows from it. */
export function missingSentence(missing: Missing, reader: Spoken): string {
  switch (missing.code) {
    case 'no materials':
      return say(reader, 'noMaterials')
    case 'no steps':
      return say(reader, 'noSteps')
    case 'no amount':
      return say(reader, 'noAmount', { of: missing.of })
    case 'not on the list':
      return say(reader, 'isNotOnList', { name: missing.name })
    case 'egg not heated':
      return say(reader, 'eggNotHeated')
    case 'no degrees':
      return say(reader, 'noDegrees', { line: missing.line })
    case 'starch not boiled':
      return say(reader, 'starchNotBoiled')
    case 'keeps':
      return say(reader, 'keepsSaid', { line: missing.line })
  }
}
