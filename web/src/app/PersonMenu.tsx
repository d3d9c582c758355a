import { useNavigate } from 'react-router'
import { shellMessages } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { NameKeys } from '../kit/NameKeys'
import { Sheet } from '../kit/Sheet'
import { useLockShiftMutation } from './api'
import { useHand, useLine } from './kitchen'
import { logsHere } from './lineData'
import { overlay } from './overlay'
import { useAppDispatch, useAppSelector } from './store'
import { tablet } from './tablet'
import { TabletKeys } from './TabletKeys'
import { speaks } from '../kit/language'

const say = speaks(shellMessages)

/** To log, a name is enough. Beside the names: what belongs to the person and to the tablet in hand. */
export function PersonMenu({ onClose }: { onClose: () => void }) {
  const line = useLine()
  const dispatch = useAppDispatch()
  const navigate = useNavigate()
  const { person } = useHand(line)
  const there = useAppSelector(({ connection }) => connection.there)
  const [lock] = useLockShiftMutation()
  return (
    <Sheet open onClose={onClose} title={say('tapYourName')}>
      <NameKeys>
        {line?.people.filter(logsHere).map(({ id, name, job }) => (
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
      </NameKeys>
      <KeyRow>
        <Key
          look="primary"
          onClick={() => {
            dispatch(overlay.actions.opened('incident'))
            onClose()
          }}
        >
          {say('somethingHappened')}
        </Key>
      </KeyRow>
      <KeyRow label={say('thisTablet')}>
        <TabletKeys />
        <Key
          look="outlined"
          onClick={() => {
            onClose()
            void navigate('/people')
          }}
        >
          {say('peoplePlace')}
        </Key>
        <Key
          look="outlined"
          why={there ? null : say('lockNeedsServer')}
          onClick={() => {
            onClose()
            void lock()
          }}
        >
          {say('lock')}
        </Key>
      </KeyRow>
    </Sheet>
  )
}
