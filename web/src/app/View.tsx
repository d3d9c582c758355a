import { shellMessages } from '@logged-thermal/wording'
import { useEffect, type ReactNode } from 'react'
import { Header } from './Header'
import { ViewTitle } from './ViewTitle'
import { Overlays } from './Overlays'
import { places, type PlaceKey } from './places'
import styles from './view.module.css'
import { speaks } from '../kit/language'

const say = speaks(shellMessages)

interface Props {
  place: PlaceKey
  /** The answer that the view gives: its title. */
  sentence: ReactNode
  /** Keys of the view, beside its sentence. */
  keys?: ReactNode
  /** The clock shows seconds. */
  seconds?: boolean
  /** It speaks again when its sentence changes. */
  spoken?: boolean
  /** Still loading. */
  busy?: boolean
  className?: string | undefined
  children?: ReactNode
}

/** A view: its sentence, the way back, help, and what it shows. */
export function View({
  place,
  sentence,
  keys,
  seconds = false,
  spoken = false,
  busy = false,
  className,
  children,
}: Props) {
  const { name } = places[place]
  useEffect(() => {
    document.title = say('loggedThermal', { name })
  }, [name])
  return (
    <main className={[styles.view, className].filter(Boolean).join(' ')} id="main" tabIndex={-1} aria-busy={busy}>
      <Header place={place} keys={keys} seconds={seconds}>
        <ViewTitle spoken={spoken}>{sentence}</ViewTitle>
      </Header>
      {children}
      <Overlays place={place} />
    </main>
  )
}
