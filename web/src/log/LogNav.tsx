import { useSearchParams } from 'react-router'
import { logMessages } from '@logged-thermal/wording'
import { speaks } from '../kit/language'
import { PlaceNav } from '../parts/PlaceNav'

const say = speaks(logMessages)

const PLACES: [to: string, name: string][] = [
  ['/log', say('byDay')],
  ['/log/review', say('review')],
  ['/log/changes', say('changes')],
  ['/log/trends', say('trends')],
  ['/log/week', say('week')],
  ['/log/packets', say('packets')],
  ['/log/transcribed', say('transcribed')],
]

/** The ways to look at what happened; the day that is looked at goes along. */
export function LogNav() {
  const [params] = useSearchParams()
  const day = params.get('day')
  const search = day === null ? '' : `?day=${encodeURIComponent(day)}`
  return <PlaceNav name={say('log')} places={PLACES.map(([to, name]) => [`${to}${search}`, name] as const)} />
}
