import { READS_AIR, type Id, type InstrumentState, type UnitState } from '@logged-thermal/core'
import { storeRoundMessages } from '@logged-thermal/wording'
import { SelectField } from '../kit/SelectField'
import { speaks } from '../kit/language'

const say = speaks(storeRoundMessages)

/** What stands for a display that nobody registered, among the ids of instruments. */
const OWN = 'its display'

interface Props {
  instruments: readonly InstrumentState[]
  /** null: the unit's own display, not registered. */
  chosen: Id | null
  onChoose: (instrument: Id | null) => void
}

/** What a unit's air is read with: a failed check of that takes its looks back. */
export function ReadWith({ instruments, chosen, onChoose }: Props) {
  const able = readingAir(instruments)
  if (able.length === 0) return null
  return (
    <SelectField
      label={say('readWith')}
      options={[
        { value: OWN, words: say('itsDisplay') },
        ...able.map(({ id, code, place }) => ({ value: id, words: place === null ? code : `${code}, ${place}` })),
      ]}
      chosen={chosen ?? OWN}
      onChoose={(value) => onChoose(value === OWN ? null : value)}
    />
  )
}

/** With what it was read last, else the display that is registered as being there; null: neither is known. */
export function usualInstrument({ airs, name }: UnitState, instruments: readonly InstrumentState[]): Id | null {
  const able = readingAir(instruments)
  const isThere = ({ kind, place }: InstrumentState) =>
    kind === 'display' && place?.trim().toLowerCase() === name.trim().toLowerCase()
  const last = airs.at(-1)?.instrument
  return (able.find(({ id }) => id === last) ?? able.find(isThere))?.id ?? null
}

function readingAir(instruments: readonly InstrumentState[]): InstrumentState[] {
  return instruments.filter(({ kind, gone }) => !gone && READS_AIR.includes(kind))
}
