import { peopleMessages } from '@logged-thermal/wording'
import { useHand, useLine } from '../app/kitchen'
import { View } from '../app/View'
import { Halves } from '../kit/Halves'
import { People } from './People'
import { Tablets } from './Tablets'
import styles from './people.module.css'
import { speaks } from '../kit/language'

const say = speaks(peopleMessages)

/** Who works here, and the tablets that belong to the kitchen. */
export function PeopleView() {
  const line = useLine()
  const { open } = useHand(line)
  if (!line) return null
  return (
    <View
      place="people"
      sentence={
        <>
          <strong>{say('worksHere', { people: line.people.filter(({ role }) => role !== null).length })}</strong>
        </>
      }
    >
      <Halves className={styles.people}>
        <People people={line.people} open={open} />
        <Tablets lead={line.people.find(({ role }) => role === 'lead') ?? null} open={open} />
      </Halves>
    </View>
  )
}
