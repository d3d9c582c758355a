import { useHand, useLine } from '../app/kitchen'
import { Header } from '../app/Header'
import { ChangePin } from './ChangePin'
import { Tablets } from './Tablets'
import './people.css'

/** PINs, and the tablets that belong to the kitchen. */
export function PeopleView() {
  const line = useLine()
  const { open } = useHand(line)
  if (!line) return null
  return (
    <main className="view">
      <Header>
        <h1>
          <strong>PINs and tablets</strong>
        </h1>
      </Header>
      <div className="people">
        <ChangePin people={line.people} open={open} />
        <Tablets lead={line.people.find(({ role }) => role === 'lead') ?? null} open={open} />
      </div>
    </main>
  )
}
