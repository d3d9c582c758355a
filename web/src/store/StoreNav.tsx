import { storeMessages } from '@logged-thermal/wording'
import { speaks } from '../kit/language'
import { PlaceNav } from '../parts/PlaceNav'

const say = speaks(storeMessages)

const PLACES: [to: string, name: string][] = [
  ['/store', say('byDoor')],
  ['/store/list', say('list')],
  ['/store/round', say('temperatureRound')],
  ['/store/bin', say('binRound')],
  ['/store/receive', say('receiveDelivery')],
]

/** The ways to look at the cold store. */
export function StoreNav() {
  return <PlaceNav name={say('coldStore')} places={PLACES} />
}
