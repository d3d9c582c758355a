import { temperMessages } from '@logged-thermal/wording'
import { celsiusOf, floorOf, rowsOf, temperParts, type BatchState, type Finding } from '@logged-thermal/core'
import type { Reader } from '@logged-thermal/wording'
import { useMethodOf } from '../app/instructions'
import { Sheet } from '../kit/Sheet'
import { TemperCalculator } from './TemperCalculator'
import { speaks } from '../kit/language'

const say = speaks(temperMessages)

interface Props {
  batch: BatchState
  findings: readonly Finding[]
  open: boolean
  onClose: () => void
  reader: Reader
}

/** The ladles of this batch, with its own masses and the milk as it was last read. */
export function TemperSheet({ batch, findings, open, onClose, reader }: Props) {
  const method = useMethodOf(batch)
  const parts = method && temperParts(method, batch.factor)
  const floor = floorOf(findings)
  const rule = floor?.check.limit.rule
  const rows = floor && rule?.kind === 'hold' ? rowsOf(rule, floor.check) : []
  const milk = batch.facts['reading-taken'].filter(({ void: gone, value }) => !gone && value.of !== 'mixture').at(-1)
  return (
    <Sheet open={open} onClose={onClose} title={say('pourOnEggsLadle')}>
      {parts ? (
        <TemperCalculator
          parts={parts}
          hotCelsius={milk ? celsiusOf(milk.value.typed) : null}
          rows={rows}
          reader={reader}
        />
      ) : (
        <p>{say('nothingPouredOnEgg')}</p>
      )}
    </Sheet>
  )
}
