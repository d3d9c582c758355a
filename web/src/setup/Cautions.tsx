import type { RuleSet, TemperatureScale } from '@logged-thermal/core'
import { lineName, ruleWords, setUpMessages, type Reader } from '@logged-thermal/wording'
import { CheckField } from '../kit/CheckField'
import { language, speaks, spoken } from '../kit/language'

const say = speaks(setUpMessages)

interface Props {
  set: RuleSet
  /** The degrees of the kitchen. */
  scale: TemperatureScale
  /** The stricter lines that it offers a house are taken. */
  taken: boolean
  onTake: (taken: boolean) => void
}

/** What to know of a rule set before it is chosen: whose choice it is, what is not sure, what it leaves to the house. */
export function Cautions({ set, scale, taken, onTake }: Props) {
  // Whoever reads it before there is a kitchen.
  const reader: Reader = { scale, zone: 'UTC', locale: language, hours: 24, today: null }
  const unsure = set.limits.filter(({ source }) => source.confidence === 'medium').length
  const open = set.limits.filter(({ rule }) => rule.kind === 'no number').map(({ key }) => lineName(key, spoken))
  const offered = set.offers.map(({ key, rule, why }) =>
    say('offer', { line: lineName(key, spoken), rule: ruleWords(rule, set.unit, reader), why }),
  )
  return (
    <>
      <p className="muted">{say('rulesAre', { edition: set.edition })}</p>
      {unsure > 0 && <p className="muted">{say('unsureOf', { unsure, all: set.limits.length })}</p>}
      {open.length > 0 && <p className="muted">{say('leftOpen', { lines: open.join(', ') })}</p>}
      {offered.length > 0 && <CheckField label={offered.join(' ')} checked={taken} onCheck={onTake} />}
    </>
  )
}
