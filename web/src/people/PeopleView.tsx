import { useHand, useLine } from '../app/kitchen'
import { View } from '../app/View'
import { ChangePin } from './ChangePin'
import { Tablets } from './Tablets'
import styles from './people.module.css'

/** PINs, and the tablets that belong to the kitchen. */
export function PeopleView() {
  const line = useLine()
  const { open } = useHand(line)
  if (!line) return null
  return (
    <View
      place="people"
      sentence={
        <>
          <strong>PINs and tablets</strong>
        </>
      }
    >
      <div className={styles.people}>
        <ChangePin people={line.people} open={open} />
        <Tablets lead={line.people.find(({ role }) => role === 'lead') ?? null} open={open} />
      </div>
    </View>
  )
}
