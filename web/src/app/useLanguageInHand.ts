import { useEffect } from 'react'
import { keepLanguageInHand } from '../kit/language'
import { allKept } from './keep'
import { useHand, useLine } from './kitchen'
import { useAppSelector } from './store'

/** The tablet speaks as whoever logs on it chose: where that is another language the page is loaded anew, once all is written down. */
export function useLanguageInHand(): void {
  const { person } = useHand(useLine())
  const chosen = useAppSelector(({ tablet }) => (person ? (tablet.languages[person.id] ?? null) : undefined))
  useEffect(() => {
    if (chosen === undefined || !keepLanguageInHand(chosen)) return
    void Promise.resolve(allKept()).finally(() => location.reload())
  }, [chosen])
}
