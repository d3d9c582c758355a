import Stack from '@mui/material/Stack'
import { useState } from 'react'
import {
  catalogue,
  dayOf,
  isLookedAt,
  lotShut,
  type Ingredient,
  type LotState,
  type ToppingFood,
} from '@logged-thermal/core'
import { finishMessages, lotWords, type Reader } from '@logged-thermal/wording'
import { useNow } from '../../app/now'
import type { LineData } from '../../app/lineData'
import { Key } from '../../kit/Key'
import { SelectField } from '../../kit/SelectField'
import { speaks } from '../../kit/language'
import { LooksKeys, type Looks } from '../LooksKeys'

const say = speaks(finishMessages)
const NONE = 'none'

interface Props {
  food: Ingredient
  line: LineData
  reader: Reader
  onTold: (topping: ToppingFood, lot: LotState | null) => void
  onOther: () => void
}

/** A dry thing goes on: from which lot, and how it looks. */
export function FoodForm({ food, line, reader, onTold, onOther }: Props) {
  const day = dayOf(useNow(), reader.zone)
  const lots = line.lots.filter((lot) => (lot.own?.key ?? lot.ingredient) === food.key && lotShut(lot, day) === null)
  const [picked, setPicked] = useState(lots.at(-1)?.id ?? NONE)
  const [looks, setLooks] = useState<Looks>(null)
  const lot = lots.find(({ id }) => id === picked) ?? null
  const looked = isLookedAt(food.key)
  const why =
    looks === 'not good' ? say('doesNotGoOn') : looked && looks === null ? say('lookAtItFirst') : (false as const)
  return (
    <Stack spacing={2} useFlexGap>
      {lots.length > 0 && (
        <SelectField
          label={say('fromWhichLot')}
          options={[
            { value: NONE, words: say('lotNotTold') },
            ...lots.map((each) => ({ value: each.id, words: lotWords(each, reader) })),
          ]}
          chosen={picked}
          onChoose={setPicked}
        />
      )}
      {looked && <LooksKeys looks={looks} onLooks={setLooks} />}
      {food.allergens.length > 0 && (
        <p role="status">{say('bringsAllergens', { allergens: food.allergens.join(', ') })}</p>
      )}
      <Key
        look="primary"
        why={why}
        onClick={() =>
          onTold(
            {
              of: 'food',
              ingredient: food.key,
              ...(food.key in catalogue ? {} : { own: food }),
              lot: lot?.id ?? null,
              grams: null,
              condition: looks ? { good: looks === 'good', why: null } : null,
            },
            lot,
          )
        }
      >
        {say('goesOn')}
      </Key>
      <Key look="outlined" onClick={onOther}>
        {say('anotherThing')}
      </Key>
    </Stack>
  )
}
