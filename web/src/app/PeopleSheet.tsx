import { useNavigate } from 'react-router'
import { Key } from '../parts/Key'
import { Sheet } from '../parts/Sheet'
import { useHand, useLine } from './kitchen'
import { useAppDispatch } from './store'
import { tablet } from './tablet'

/** To log, a name is enough. */
export function PeopleSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const line = useLine()
  const dispatch = useAppDispatch()
  const { person } = useHand(line)
  const navigate = useNavigate()
  return (
    <Sheet open={open} onClose={onClose} title="Tap your name">
      <div className="names">
        {line?.people
          .filter(({ role }) => role !== 'inspector')
          .map(({ id, name, job }) => (
            <Key
              key={id}
              look={id === person?.id ? 'primary' : 'plain'}
              onClick={() => {
                dispatch(tablet.actions.loggingAs(id))
                onClose()
              }}
            >
              {name}
              <small>{job}</small>
            </Key>
          ))}
      </div>
      <Key
        look="outlined"
        onClick={() => {
          onClose()
          void navigate('/people')
        }}
      >
        PINs and tablets
      </Key>
    </Sheet>
  )
}
