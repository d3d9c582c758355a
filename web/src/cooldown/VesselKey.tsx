import type { VesselState } from '@logged-thermal/core'
import { centimetres, cooldownMessages } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { colourOf } from '../parts/temperatureScale'
import { VesselPicture } from '../parts/VesselPicture'
import { speaks, spoken } from '../kit/language'

const say = speaks(cooldownMessages)

/** A vessel to choose, with how deep it is filled then. */
export function VesselKey({
  vessel,
  chosen,
  depth,
  celsius,
  onChoose,
}: {
  vessel: VesselState
  chosen: boolean
  depth: number
  celsius: number
  onChoose: () => void
}) {
  return (
    <Key look={chosen ? 'primary' : 'plain'} role="radio" aria-checked={chosen} onClick={onChoose}>
      <VesselPicture inside={vessel.inside} depth={depth} colour={colourOf(celsius)} />
      <span>
        {vessel.name}
        <small>{depth > vessel.inside.height ? say('overfull') : centimetres(depth, spoken)}</small>
      </span>
    </Key>
  )
}
