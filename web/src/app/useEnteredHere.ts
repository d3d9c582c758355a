import { useState } from 'react'
import { useAppSelector } from './store'

/** Whether something was entered since this was opened: a sheet in which all is saved ends with Done, not with Not now. */
export function useEnteredHere(): boolean {
  const made = useAppSelector(({ justMade }) => justMade)
  const [before] = useState(made)
  return made !== before
}
