import Stack from '@mui/material/Stack'
import { useState } from 'react'
import {
  dayOf,
  dispatchShut,
  DISPATCHED_TO,
  itemLevel,
  type Bodies,
  type DispatchedTo,
  type ItemState,
  type Measure,
  type Typed,
} from '@logged-thermal/core'
import { dispatchMessages, partShutSentence, type Reader } from '@logged-thermal/wording'
import { useEnter } from '../../app/enter'
import type { LineData } from '../../app/lineData'
import { ChoiceKeys } from '../../kit/ChoiceKeys'
import { Field } from '../../kit/Field'
import { Key } from '../../kit/Key'
import { Sheet } from '../../kit/Sheet'
import { speaks } from '../../kit/language'
import { AmountOf } from '../AmountOf'
import { ProbeRead, useProbe } from '../ProbeRead'
import putAwayStyles from '../putAway.module.css'
import { ancestryIn, storeOfLine } from '../useStore'

const say = speaks(dispatchMessages)

interface Props {
  item: ItemState
  line: LineData
  now: number
  reader: Reader
  /** It has left already, whatever stands against it. */
  happened: boolean
  onClose: () => void
}

interface Told {
  to: DispatchedTo
  name: string
  box: string
  vehicle: string
}

/** Some of an item leaves the kitchen: to whom, in what, how cold, how much. */
export function DispatchSheet({ item, line, now, reader, happened, onClose }: Props) {
  const [told, setTold] = useState<Told>({ to: 'customer', name: '', box: '', vehicle: '' })
  const [isTold, setIsTold] = useState(false)
  const named = `${item.name} ${item.code}`
  const title = isTold ? say('howColdHowMuch', { named, name: told.name.trim() }) : say('toWhom', { named })
  return (
    <Sheet open onClose={onClose} title={title}>
      {isTold ? (
        <Load item={item} line={line} now={now} reader={reader} happened={happened} told={told} onClose={onClose} />
      ) : (
        <Whom told={told} onTold={setTold} onNext={() => setIsTold(true)} />
      )}
    </Sheet>
  )
}

function Whom({ told, onTold, onNext }: { told: Told; onTold: (told: Told) => void; onNext: () => void }) {
  const missing = told.name.trim() === '' || told.box.trim() === ''
  return (
    <Stack spacing={2} useFlexGap>
      <ChoiceKeys
        name={say('whoItIs')}
        options={DISPATCHED_TO}
        chosen={told.to}
        words={(each) => say(`to_${each}`)}
        onChoose={(to) => onTold({ ...told, to })}
      />
      {told.to === 'care home' && <p role="status">{say('neverRawThere')}</p>}
      <Field label={say('name')} value={told.name} max={120} onValue={(name) => onTold({ ...told, name })} />
      <Field
        label={say('box')}
        value={told.box}
        max={120}
        hint={say('boxHint')}
        onValue={(box) => onTold({ ...told, box })}
      />
      <Field
        label={say('vehicle')}
        value={told.vehicle}
        max={120}
        onValue={(vehicle) => onTold({ ...told, vehicle })}
      />
      <Key look="primary" why={missing && say('whoAndBox')} onClick={onNext}>
        {say('next')}
      </Key>
    </Stack>
  )
}

function Load({ item, line, now, reader, happened, told, onClose }: Props & { told: Told }) {
  const enter = useEnter()
  const probe = useProbe(line)
  const [typed, setTyped] = useState<Typed | null>(null)
  const store = storeOfLine(line, now)
  if (!store) return null
  const level = itemLevel(item, store.limits, dayOf(now, store.zone))
  const body = (measure: Measure): Bodies['item-dispatched'] => ({
    measure,
    to: told.to,
    name: told.name.trim(),
    typed,
    instrument: typed ? (probe?.id ?? null) : null,
    box: told.box.trim(),
    vehicle: told.vehicle.trim() || null,
    ...(happened ? { happened: true as const } : {}),
  })
  const tried = { ...body({ ...item.measure, value: 0.01 }) }
  const shut = happened || (level && !typed) ? null : dispatchShut(item, tried, ancestryIn(line, item), store, now)
  const ready = (level === null || typed !== null || happened) && shut === null
  return (
    <div className={putAwayStyles.putAway}>
      <section>{level !== null && <ProbeRead typed={typed} line={line} reader={reader} onTyped={setTyped} />}</section>
      <section>
        {shut && <p role="alert">{partShutSentence(shut, reader)}</p>}
        {happened && <p role="status">{say('leadAnswersForIt')}</p>}
        {ready ? (
          <AmountOf
            item={item}
            whole
            onTake={(measure) => {
              enter('item-dispatched', item.id, body(measure))
              onClose()
            }}
          />
        ) : (
          shut === null && <p className="muted">{say('firstItsTemperature')}</p>
        )}
        <p className="muted">{say('itComesBackNever')}</p>
      </section>
    </div>
  )
}
