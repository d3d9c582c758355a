import { Suspense, useEffect } from 'react'
import { later, useReadAhead } from '../kit/later'
import { overlay, type Overlay } from './overlay'
import type { PlaceKey } from './places'
import { useAppDispatch, useAppSelector } from './store'
import { isTyping } from './typing'

const SearchSheet = later(() => import('./SearchSheet'), 'SearchSheet')
const HelpSheet = later(() => import('./HelpSheet'), 'HelpSheet')

const IncidentSheet = later(() => import('./IncidentSheet'), 'IncidentSheet')

const NEXT = [SearchSheet, HelpSheet]

const KEYS: Record<string, Overlay> = { '/': 'search', '?': 'help' }

/** Search and help over a view, by their keys or by the keyboard; and what is told of an incident. */
export function Overlays({ place }: { place: PlaceKey }) {
  const open = useAppSelector((state) => state.overlay)
  const dispatch = useAppDispatch()
  useReadAhead(NEXT)
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
  return (
    <Suspense>
      {open === 'search' && <SearchSheet onClose={close} />}
      {open === 'incident' && <IncidentSheet onClose={close} />}
      {open === 'help' && <HelpSheet place={place} onClose={close} />}
    </Suspense>
  )
}
