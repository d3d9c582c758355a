import { factsOf, type BatchState, type Method } from '@logged-thermal/core'
import { useAppDispatch, useAppSelector } from '../app/store'
import { tablet } from '../app/tablet'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import type { BenchSheet } from './benchSheet'
import { useMethodOf } from '../app/instructions'
import { NameKeys } from '../kit/NameKeys'

interface Props {
  batch: BatchState
  open: boolean
  onClose: () => void
  onSheet: (sheet: BenchSheet) => void
  awake: boolean
  mayWrite: boolean
}

const NOTHING_ELSE = () => null

/** What is needed now and then, each with what it is for. */
export function MoreSheet({ batch, open, onClose, onSheet, awake, mayWrite }: Props) {
  const dispatch = useAppDispatch()
  const loudness = useAppSelector((state) => state.tablet.loudness)
  const method = useMethodOf(batch)
  const keys: { sheet: BenchSheet; name: string; why: string; writes?: true }[] = [
    { sheet: 'steps', name: 'Steps', why: 'all of them, and what was done otherwise' },
    { sheet: 'eggs', name: 'Eggs', why: 'lots, tally, what is left over' },
    { sheet: 'temper', name: 'Tempering', why: 'how much hot liquid at once' },
    { sheet: 'add', name: 'Add', why: 'butter, spirit, zest, purée, with lot and time', writes: true },
    { sheet: 'cooling', name: 'Cooling', why: 'where it stands, cover, pans, stirred', writes: true },
    { sheet: 'parts', name: 'Parts', why: 'items from the cold store that go in', writes: true },
    { sheet: 'put away', name: 'Put away', why: 'portions, with their date and label', writes: true },
    { sheet: 'rewarm', name: 'Warmed again', why: 'melted to be moulded, baked once more', writes: true },
    { sheet: 'acidity', name: 'pH', why: 'whether it needs temperature control' },
  ]
  return (
    <Sheet open={open} onClose={onClose} title={`More about ${batch.code}`}>
      <NameKeys>
        {keys.map(({ sheet, name, why, writes }) => (
          <Key key={name} disabled={writes && !mayWrite} onClick={() => onSheet(sheet)}>
            {name}
            <small>{why}</small>
          </Key>
        ))}
        <Key look="outlined" onClick={() => dispatch(tablet.actions.loudnessTurned())}>
          Sound: {loudness}
          <small>at the floor, at the ceiling, at the end of a hold; tap to change</small>
        </Key>
      </NameKeys>
      <p className="muted">
        {awake
          ? 'The screen stays awake while this batch is on the heat.'
          : 'This screen may fall asleep: a browser keeps it awake only over a secure connection, and only on the heat.'}
      </p>
      {method && <Strength method={method} />}
    </Sheet>
  )
}

/** Alcohol is for the label: it earns nothing on the date. */
function Strength({ method }: { method: Method }) {
  const { alcoholByVolume } = factsOf(method, NOTHING_ELSE)
  if (alcoholByVolume < 0.001) return null
  return (
    <p>About {(alcoholByVolume * 100).toFixed(1)} % alcohol by volume, for the label. It earns nothing on the date.</p>
  )
}
