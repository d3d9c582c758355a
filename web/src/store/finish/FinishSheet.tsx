import Stack from '@mui/material/Stack'
import { clsx } from 'clsx'
import { useState } from 'react'
import { itemLeft, type Ingredient, type ItemFinished, type ItemState, type LotState } from '@logged-thermal/core'
import { finishMessages, measureWords, partShutSentence, type Reader } from '@logged-thermal/wording'
import { useEnter, useGoOn } from '../../app/enter'
import type { LineData } from '../../app/lineData'
import { Field } from '../../kit/Field'
import { Key } from '../../kit/Key'
import { NameKeys } from '../../kit/NameKeys'
import { Sheet } from '../../kit/Sheet'
import { speaks } from '../../kit/language'
import { AmountOf } from '../AmountOf'
import putAwayStyles from '../putAway.module.css'
import { storeOfLine, useStored, whereIs } from '../useStore'
import { useOurs } from '../../ours/useOurs'
import { dryFoods, finishedBody, toppingOffers, type Offer } from './finishing'
import { FoodForm } from './FoodForm'
import { HeldForm } from './HeldForm'

const say = speaks(finishMessages)

interface Props {
  base: ItemState
  line: LineData
  now: number
  reader: Reader
  /** It is on already, whatever stands against it. */
  happened: boolean
  onClose: () => void
}

/** What goes on, as far as it is told; `happened`: it is on already. */
interface Put {
  topping: ItemFinished['topping']
  untreated: boolean
  lot: LotState | null
  happened: boolean
}

type Chosen = { of: 'item'; offer: Offer; happened: boolean } | { of: 'food'; food: Ingredient } | null

/** A topping, a sauce or a glaze goes onto an item: what, how cold, how much, and on how much of it. */
export function FinishSheet({ base, line, now, reader, happened, onClose }: Props) {
  const enter = useEnter()
  const goOn = useGoOn()
  const stored = useStored(line)
  const [chosen, setChosen] = useState<Chosen>(null)
  const [put, setPut] = useState<Put | null>(null)
  const store = storeOfLine(line, now)
  if (!store) return null
  const named = `${base.name} ${base.code}`
  if (put)
    return (
      <Sheet open onClose={onClose} title={say('onHowMuch', { named })}>
        <AmountOf
          item={base}
          whole
          onTake={(measure) => {
            const body = finishedBody(
              base,
              measure,
              put.topping,
              { ...put, happened: happened || put.happened },
              store,
              now,
            )
            // As it was judged: its time above the limit is that of this instant.
            enter('item-finished', base.id, body, { at: now })
            onClose()
            goOn(`/store/item/${body.into}`)
          }}
        />
        {itemLeft(base).unit === 'portion' && <p className="muted">{say('whatGetsItIsItsOwn')}</p>}
      </Sheet>
    )
  return (
    <Sheet open onClose={onClose} title={titleOf(chosen, named)}>
      {chosen?.of === 'item' && (
        <HeldForm
          base={base}
          offer={chosen.offer}
          line={line}
          store={store}
          now={now}
          reader={reader}
          happened={happened || chosen.happened}
          onTold={(topping) =>
            setPut({ topping, untreated: chosen.offer.untreated, lot: null, happened: chosen.happened })
          }
          onOther={() => setChosen(null)}
        />
      )}
      {chosen?.of === 'food' && (
        <FoodForm
          food={chosen.food}
          line={line}
          reader={reader}
          onTold={(topping, lot) => setPut({ topping, untreated: false, lot, happened: false })}
          onOther={() => setChosen(null)}
        />
      )}
      {!chosen && (
        <What
          base={base}
          offers={toppingOffers(base, stored, line, store, now)}
          line={line}
          reader={reader}
          onChoose={setChosen}
        />
      )}
    </Sheet>
  )
}

function titleOf(chosen: Chosen, named: string): string {
  if (!chosen) return say('whatGoesOn', { named })
  if (chosen.of === 'food') return say('howItGoesOn', { topping: chosen.food.name })
  const { name, code } = chosen.offer.one.item
  return say('howItGoesOn', { topping: `${name} ${code}` })
}

function What({
  base,
  offers,
  line,
  reader,
  onChoose,
}: Pick<Props, 'base' | 'line' | 'reader'> & { offers: readonly Offer[]; onChoose: (chosen: Chosen) => void }) {
  const [text, setText] = useState('')
  const foods = dryFoods(text, base, useOurs())
  const shut = offers.filter((offer) => offer.shut !== null)
  return (
    <Stack spacing={2} useFlexGap>
      <div className={clsx(putAwayStyles.partsList, putAwayStyles.beside)}>
        {offers
          .filter((offer) => offer.shut === null)
          .map((offer) => (
            <Key
              key={offer.one.item.id}
              look="outlined"
              onClick={() => onChoose({ of: 'item', offer, happened: false })}
            >
              {offer.one.item.name}
              <small>
                {offer.one.item.code} · {measureWords(itemLeft(offer.one.item), reader)} ·{' '}
                {whereIs(offer.one.item, line.units)}
              </small>
            </Key>
          ))}
      </div>
      <Field label={say('orDryThing')} value={text} max={80} hint={say('whatNeedsCold')} onValue={setText} />
      {text.trim() !== '' && foods.length === 0 && <p role="status">{say('noneOfThatName')}</p>}
      <NameKeys>
        {foods.map((food) => (
          <Key key={food.key} onClick={() => onChoose({ of: 'food', food })}>
            {food.name}
          </Key>
        ))}
      </NameKeys>
      {shut.length > 0 && (
        <details className={putAwayStyles.unfit}>
          <summary>{say('mayNotGoOn', { count: shut.length })}</summary>
          <ul>
            {shut.map((offer) => (
              <li key={offer.one.item.id}>
                {offer.one.item.name} {offer.one.item.code}: {offer.shut && partShutSentence(offer.shut, reader)}{' '}
                <Key look="outlined" onClick={() => onChoose({ of: 'item', offer, happened: true })}>
                  {say('isOnAlready')}
                </Key>
              </li>
            ))}
          </ul>
        </details>
      )}
    </Stack>
  )
}
