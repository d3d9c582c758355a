import { useEffect } from 'react'
import { HelpSheet } from './Help'
import { overlay, type Overlay } from './overlay'
import type { PlaceKey } from './places'
import { SearchSheet } from './Search'
import { useAppDispatch, useAppSelector } from './store'
import { isTyping } from './typing'

const KEYS: Record<string, Overlay> = { '/': 'search', '?': 'help' }

/** Search and help over a view, by their keys or by the keyboard. */
export function Overlays({ place }: { place: PlaceKey }) {
  const open = useAppSelector((state) => state.overlay)
  const dispatch = useAppDispatch()
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      const asked = KEYS[event.key]
      if (!asked || isTyping(event)) return
      event.preventDefault()
      dispatch(overlay.actions.opened(asked))
    }
    window.addEventListener('keydown', pressed)
    return () => window.removeEventListener('keydown', pressed)
  }, [dispatch])
  const close = () => dispatch(overlay.actions.closed())
  if (open === 'search') return <SearchSheet onClose={close} />
  return open === 'help' ? <HelpSheet place={place} onClose={close} /> : null
}
