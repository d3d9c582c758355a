import { peopleMessages } from '@logged-thermal/wording'
import { timeOfDay, signingMessages } from '@logged-thermal/wording'
import { administers, type Instant } from '@logged-thermal/core'
import { useHand, useLine } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { useNow } from '../app/now'
import { View } from '../app/View'
import { Halves } from '../kit/Halves'
import { openingAt } from '../signing/opening'
import { SigningDay } from '../signing/SigningDay'
import { People } from './People'
import { Tablets } from './Tablets'
import styles from './people.module.css'
import { speaks } from '../kit/language'

const say = speaks(peopleMessages)
const sayOfSigning = speaks(signingMessages)

/** Who works here, and the tablets that belong to the kitchen. */
export function PeopleView() {
  const line = useLine()
  const { open, person } = useHand(line)
  const now = useNow(30_000)
  if (!line) return null
  const lead = line.people.find(({ role }) => role === 'lead') ?? null
  const signer = person && administers(line.people, person.id) ? person : lead
  return (
    <View place="people" sentence={<Sentence line={line} now={now} />}>
      <Halves className={styles.people}>
        <div>
          <SigningDay line={line} lead={lead} open={open} now={now} />
          <People people={line.people} open={open} />
        </div>
        <Tablets signer={signer} open={open} />
      </Halves>
    </View>
  )
}

/** Hours without anybody to sign come first: they can still be filled. */
function Sentence({ line, now }: { line: LineData; now: Instant }) {
  const { reader } = useHand(line)
  const opening = openingAt(line, now)
  const gap = opening !== null && opening !== 'not said' ? opening.gap : null
  if (!gap)
    return <strong>{say('worksHere', { people: line.people.filter(({ role }) => role !== null).length })}</strong>
  return (
    <>
      <strong>
        {gap.from > now
          ? sayOfSigning('nobodyFrom', { time: timeOfDay(gap.from, reader) })
          : sayOfSigning('nobodyUntil', { time: timeOfDay(gap.until, reader) })}
      </strong>{' '}
      {sayOfSigning('nameSomebody')}
    </>
  )
}
