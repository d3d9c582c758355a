import { shellMessages } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import { overlay } from './overlay'
import { useAppDispatch } from './store'

const say = speaks(shellMessages)

/** Opens the help of the view. */
export function HelpKey() {
  const dispatch = useAppDispatch()
  return (
    <Key look="quiet" aria-label={say('help')} onClick={() => dispatch(overlay.actions.opened('help'))}>
      ?
    </Key>
  )
}
