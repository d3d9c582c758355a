import Stack from '@mui/material/Stack'
import { useState } from 'react'
import type { BatchState } from '@logged-thermal/core'
import { grams, benchSheetsMessages, lotWords, type Reader } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { SelectField } from '../kit/SelectField'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'
import { usedFrom } from './goesIn'
import { useGoesIn } from './useGoesIn'

const say = speaks(benchSheetsMessages)

/** No lot: it is not told. */
const NONE = ''

/** From which lots what goes in at a step comes: that of last time stands there, another is two taps away. */
export function LotsSheet({
  batch,
  step,
  onClose,
  reader,
}: {
  batch: BatchState
  step: string
  onClose: () => void
  reader: Reader
}) {
  const { all, name } = useGoesIn(batch, step)
  const [picked, setPicked] = useState<Record<string, string>>({})
  const chosenOf = (key: string, usual: string) => picked[key] ?? usual
  const uses = all.flatMap(({ amount, named, offered, lots }) => {
    const id = chosenOf(amount.key, named?.lot ?? offered?.id ?? NONE)
    const lot = lots.find((each) => each.id === id)
    return lot && lot.id !== named?.lot ? [usedFrom(lot, amount)] : []
  })
  return (
    <Sheet open onClose={onClose} title={say('fromWhichLots')}>
      <Stack spacing={2} useFlexGap>
        {all.map(({ amount, food, grams: mass, named, offered, lots }) => (
          <SelectField
            key={amount.key}
            label={mass === null ? food.name : say('foodGrams', { food: food.name, grams: grams(mass) })}
            options={[
              { value: NONE, words: say('lotNotTold') },
              ...lots.map((lot) => ({ value: lot.id, words: lotWords(lot, reader) })),
            ]}
            chosen={chosenOf(amount.key, named?.lot ?? offered?.id ?? NONE)}
            onChoose={(id) => setPicked({ ...picked, [amount.key]: id })}
          />
        ))}
        {uses.some(({ instead }) => instead) && <p role="status">{say('anotherThing')}</p>}
        {uses.some(({ untreated }) => untreated) && <p role="status">{say('notTreatedLot')}</p>}
        <Key
          look="primary"
          why={uses.length === 0 && say('chooseLotFirst')}
          onClick={() => {
            name(uses)
            onClose()
          }}
        >
          {say('inFromThese')}
        </Key>
      </Stack>
    </Sheet>
  )
}
