import { shellMessages } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import { overlay } from './overlay'
import { useAppDispatch } from './store'

const say = speaks(shellMessages)

/** Opens the search. */
export function SearchKey({
  look = 'quiet',
  className,
}: {
  look?: 'quiet' | 'outlined'
  className?: string | undefined
}) {
  const dispatch = useAppDispatch()
  return (
    <Key look={look} className={className} onClick={() => dispatch(overlay.actions.opened('search'))}>
      {say('find')}
    </Key>
  )
}
