import { useState } from 'react'
import { dayOf, type ItemState } from '@logged-thermal/core'
import { tracesMessages } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useNow } from '../app/now'
import { Field } from '../kit/Field'
import { NumberPad } from '../kit/NumberPad'
import { Sheet } from '../kit/Sheet'
import { speaks } from '../kit/language'

const say = speaks(tracesMessages)

/** Some of an item is kept as a sample: how much, and where. */
export function KeepSample({ item, zone, onClose }: { item: ItemState; zone: string; onClose: () => void }) {
  const enter = useEnter()
  const now = useNow(60_000)
  const [place, setPlace] = useState('')
  const { unit } = item.measure
  return (
    <Sheet open onClose={onClose} title={say('keepSample')}>
      <Field
        label={say('samplePlace')}
        placeholder={say('samplePlaceExample')}
        value={place}
        max={80}
        first
        onValue={setPlace}
      />
      {place.trim() === '' && <p className="muted">{say('sayPlace')}</p>}
      <NumberPad
        name={say('keepSample')}
        unit={unit}
        take={say('takeSample')}
        disabled={place.trim() === ''}
        onTake={(value) => {
          // Through which day it is kept core finds out by the dates of the item and the rule set.
          const sample = { name: `${item.name} ${item.code}`, place: place.trim(), until: dayOf(now, zone) }
          enter('item-used', item.id, { measure: { value, unit }, then: 'sample', sample })
          onClose()
        }}
      />
    </Sheet>
  )
}
