import { LANGUAGES, shellMessages } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { useHand, useLine } from './kitchen'
import { useAppDispatch, useAppSelector } from './store'
import { tablet } from './tablet'
import { speaks, written } from '../kit/language'

const say = speaks(shellMessages)

/** In which unit and language this person reads, and whether the screen is for day or night. */
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
      {person &&
        LANGUAGES.filter((other) => other !== written).map((other) => (
          <Key
            key={other}
            look="outlined"
            lang={other}
            onClick={() => dispatch(tablet.actions.languageChosen({ person: person.id, language: other }))}
          >
            {say(`language_${other}`)}
          </Key>
        ))}
      <Key look="outlined" onClick={() => dispatch(tablet.actions.themeSwitched())}>
        {night ? say('day') : say('night')}
      </Key>
    </>
  )
}
