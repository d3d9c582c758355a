import { shellMessages } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { useHand, useLine } from './kitchen'
import { useAppDispatch, useAppSelector } from './store'
import { tablet } from './tablet'
import { speaks } from '../kit/language'

const say = speaks(shellMessages)

/** In which unit this person reads, and whether the screen is for day or night. */
export function TabletKeys() {
  const dispatch = useAppDispatch()
  const night = useAppSelector(({ tablet: { theme } }) => theme === 'night')
  const { person, reader } = useHand(useLine())
  const other = reader.scale === 'C' ? 'F' : 'C'
  return (
    <>
      {person && (
        <Key look="outlined" onClick={() => dispatch(tablet.actions.unitChosen({ person: person.id, unit: other }))}>
          {say('showScale', { scale: other })}
        </Key>
      )}
      <Key look="outlined" onClick={() => dispatch(tablet.actions.themeSwitched())}>
        {night ? say('day') : say('night')}
      </Key>
    </>
  )
}
